/** Hatchings for cut faces and walls, defined once for the page. */
export function Hatches() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <pattern id="hatch-metal" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" />
        </pattern>
        <pattern
          id="hatch-metal-back"
          width="5"
          height="5"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <line x1="0" y1="0" x2="0" y2="5" stroke="var(--ink)" />
        </pattern>
        <pattern id="hatch-rubber" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1="0" y1="0" x2="0" y2="4" stroke="var(--slate)" />
        </pattern>
        <pattern id="hatch-wall" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--slate)" strokeWidth="1.6" />
        </pattern>
        <marker id="arrow" markerWidth="9" markerHeight="9" refX="8" refY="4.5" orient="auto-start-reverse">
          <path d="M0,1.5L8.5,4.5L0,7.5Z" fill="var(--ink)" />
        </marker>
        <marker
          id="arrow-predicted"
          markerUnits="userSpaceOnUse"
          markerWidth="16"
          markerHeight="12"
          refX="13"
          refY="6"
          orient="auto-start-reverse"
        >
          <path d="M0,1L14,6L0,11Z" fill="var(--predicted)" />
        </marker>
      </defs>
    </svg>
  )
}
