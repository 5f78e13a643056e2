import { Navigate, useParams } from 'react-router'
import { useTag } from '../data/queries.ts'
import { LinkPress, Page } from '../ui/layout.ts'
import { Title } from '../ui/Title.tsx'
import { Complaint } from '../ui/words.tsx'

/** What a tag’s code opens: its bicycle. */
export default function CodePage() {
  const { code = '' } = useParams()
  const { data, error } = useTag(code.toUpperCase())
  if (data) return <Navigate to={`/bicycles/${data.bicycleId}`} replace />
  return (
    <Page>
      <Title>{code}</Title>
      {error ? (
        <>
          <Complaint>{error.message}</Complaint>
          <LinkPress href="/">To the rack</LinkPress>
        </>
      ) : (
        <p>Looking for the bicycle…</p>
      )}
    </Page>
  )
}
