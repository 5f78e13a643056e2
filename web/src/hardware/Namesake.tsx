import { useDeferredValue } from 'react'
import { Link } from 'react-router'
import { useNamesake } from '../data/queries.ts'
import { Slate } from '../ui/words.tsx'

/** Says where another bicycle is called so already: two of one name are not told apart on the rail. */
export function Namesake({ name, except }: { name: string; except?: string }) {
  const called = useDeferredValue(name.trim())
  const { data } = useNamesake(called, except)
  if (!data) return null
  return (
    <p role="status">
      <Slate>
        Another bicycle is called <Link to={`/bicycles/${data.id}`}>{data.name}</Link>
        {data.retiredAt && ', off the rack'}. Give this one a name of its own, or say in its description how they
        differ.
      </Slate>
    </p>
  )
}
