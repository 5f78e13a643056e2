/** A shoe of each side seen from outside the wheel: the rim runs forward past it, so its closed end faces forward. */
export function WayRound() {
  const shoe = (x: number, forward: 1 | -1, side: string) => (
    <g transform={`translate(${x},0)`}>
      <text x={95} y={18} textAnchor="middle" fontSize="16" fontWeight="600">
        {side} shoe, from outside
      </text>
      <rect x={30} y={34} width={130} height={26} fill="url(#hatch-rubber)" stroke="var(--ink)" strokeWidth="1.6" />
      <path
        d={forward > 0 ? 'M30,28H168V66H30' : 'M160,28H22V66H160'}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="4"
      />
      <path
        d={forward > 0 ? 'M60,84H150' : 'M130,84H40'}
        stroke="var(--ink)"
        strokeWidth="1.6"
        markerEnd="url(#arrow)"
      />
      <text x={95} y={104} textAnchor="middle" fontSize="15" fontWeight="500" style={{ fill: 'var(--slate)' }}>
        front of the bicycle
      </text>
    </g>
  )
  return (
    <svg
      viewBox="0 0 352 112"
      width="100%"
      style={{ maxWidth: 440 }}
      role="img"
      aria-label="Closed ends of both shoes face the front of the bicycle; the rim runs that way past them"
    >
      {shoe(-18, -1, 'left')}
      {shoe(176, 1, 'right')}
    </svg>
  )
}
