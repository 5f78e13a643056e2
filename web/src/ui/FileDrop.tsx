import { DropZone, FileTrigger, isFileDropItem, Text } from 'react-aria-components'
import styled from 'styled-components'
import { Press } from './Press.tsx'

const Zone = styled(DropZone)`
  border: 1.5px dashed var(--control);
  padding: 14px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px 14px;
  &[data-drop-target] {
    border-color: var(--predicted);
    border-style: solid;
    background: var(--wash);
  }
`

interface Props {
  readonly label: string
  /** What it says on the button. */
  readonly choose: string
  readonly types: readonly string[]
  readonly onFile: (file: File) => void
}

/** A file chosen, or dropped on it. */
export function FileDrop({ label, choose, types, onFile }: Props) {
  return (
    <Zone
      onDrop={async ({ items }) => {
        const item = items.find(isFileDropItem)
        if (item) onFile(await item.getFile())
      }}
    >
      <FileTrigger acceptedFileTypes={types} onSelect={(files) => files?.[0] && onFile(files[0])}>
        <Press>{choose}</Press>
      </FileTrigger>
      <Text slot="label">{label}</Text>
    </Zone>
  )
}
