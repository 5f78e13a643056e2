import { PICTURE, type Picture } from '@overhaul/core/brake/drawings'
import { type Scale, Shapes } from './paint.tsx'

const K = 1.4
const SCALE: Scale = { x: (mm) => mm * K, y: (mm) => -mm * K, k: K }
const [WIDE, HIGH] = [PICTURE.width * K + 4, PICTURE.height * K + 4]

/** One answer as it is seen; what it shows is said by the answer itself. */
export function Pictured({ picture }: { picture: Picture }) {
  return (
    <svg
      viewBox={`${-WIDE / 2} ${-HIGH / 2} ${WIDE} ${HIGH}`}
      width={WIDE}
      height={HIGH}
      aria-hidden="true"
      style={{ background: 'var(--sheet)', color: 'var(--ink)', display: 'block' }}
    >
      <Shapes shapes={picture} scale={SCALE} />
    </svg>
  )
}
