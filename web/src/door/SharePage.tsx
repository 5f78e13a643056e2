import { sayDay } from '@overhaul/core/stand/when'
import { useMutation } from '@tanstack/react-query'
import styled from 'styled-components'
import { api } from '../data/api.ts'
import { refreshDoor, useDoor } from '../data/queries.ts'
import { Page } from '../ui/layout.ts'
import { Press } from '../ui/Press.tsx'
import { Title } from '../ui/Title.tsx'
import { Complaint, Label, Slate } from '../ui/words.tsx'

const Columns = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(290px, 1fr));
  gap: 24px 48px;
`
const Part = styled.section`
  display: grid;
  gap: 12px;
  align-content: start;
  justify-items: start;
`
const Code = styled.p`
  font: 600 2.5rem/1.1 var(--label);
  letter-spacing: 0.08em;
`
const Picture = styled.img`
  width: 220px;
  height: 220px;
  background: #fff;
`
const Screens = styled.ul`
  display: grid;
  width: 100%;
  li {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 16px;
    align-items: center;
    justify-content: space-between;
    border-top: 1px solid var(--rule);
    padding: 8px 0;
  }
`

/** As it is read aloud: in two halves. */
const spoken = (code: string) => `${code.slice(0, 4)} ${code.slice(4)}`

/** On the workshop's own screen: how others come in, and who is in. */
export default function SharePage() {
  const { data: door } = useDoor()
  const showOut = useMutation({ mutationFn: api.showOut, onSuccess: refreshDoor })
  const change = useMutation({ mutationFn: api.changeCodes, onSuccess: refreshDoor })
  if (!door?.codes) {
    return (
      <Page>
        <Title>Share</Title>
        <Label>Share</Label>
        <p>
          {door
            ? 'This is told on the workshop’s own screen only, and while it was started with --share.'
            : 'Looking at the door…'}
        </p>
      </Page>
    )
  }
  const { codes, places = [], qr, devices = [] } = door
  return (
    <Page>
      <Columns>
        <Part>
          <Label>Let another screen in</Label>
          <p>On the same network, open {places.length > 0 ? places.join(' or ') : 'this machine’s address'} and type</p>
          <Code>{spoken(codes.write)}</Code>
          {qr && (
            <Picture
              src={`data:image/svg+xml;utf8,${encodeURIComponent(qr)}`}
              alt="The address and the code, for the other screen’s camera"
            />
          )}
          <p>To let it only read:</p>
          <Code>{spoken(codes.read)}</Code>
        </Part>
        <Part>
          <Label>Screens let in</Label>
          {devices.length === 0 && <p>None yet.</p>}
          <Screens>
            {devices.map(({ id, name, may, since }) => (
              <li key={id}>
                <span>
                  <b>{name}</b> {may === 'read' ? 'reads' : 'reads and writes'} since {sayDay(since)}
                </span>
                <Press onPress={() => showOut.mutate(id)} isDisabled={showOut.isPending}>
                  Show out
                </Press>
              </li>
            ))}
          </Screens>
          <Press onPress={() => change.mutate()} isDisabled={change.isPending}>
            New codes, everybody out
          </Press>
          {(showOut.error ?? change.error) && <Complaint>{(showOut.error ?? change.error)?.message}</Complaint>}
          <Slate as="p">
            The network is trusted for nothing more. A workshop speaks plain http: whoever listens in on this network
            can read what is said on it, codes included. Share on a network that is yours.
          </Slate>
        </Part>
      </Columns>
    </Page>
  )
}
