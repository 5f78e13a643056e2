import styled from 'styled-components'

const Link = styled.a`
  position: absolute;
  left: 8px;
  top: -60px;
  z-index: 9;
  padding: 12px 16px;
  background: var(--sheet);
  border: 2px solid var(--ink);
  &:focus {
    top: 4px;
  }
`

/** The way past the head of the sheet, for whoever walks by keys: to the act in hand, or to the room. */
export const SkipLink = () => (
  <Link
    href="#room"
    onClick={(event) => {
      event.preventDefault()
      const room = document.querySelector<HTMLElement>('[data-act]') ?? document.querySelector<HTMLElement>('main')
      if (room && !room.hasAttribute('tabindex')) room.tabIndex = -1
      room?.focus()
    }}
  >
    To the work
  </Link>
)
