/** The model from its left side, as it stands (dashed) and as it must lie, with the block under it. */
export function StanceDrawing({
  standingDeg,
  flyingDeg,
  under,
  underWords,
  heightMm,
}: {
  standingDeg: number;
  flyingDeg: number;
  under: 'tail' | 'nose' | 'nothing';
  /** What that end is called. */
  underWords: string;
  heightMm: number;
}) {
  const body = 'M -90 0 q 4 -12 30 -13 l 90 4 l 44 -22 l 12 0 l -4 30 z';
  return (
    <svg
      viewBox="-120 -70 240 110"
      role="img"
      aria-label={
        under === 'nothing'
          ? 'The model stands as it flies'
          : `The model with a block of ${heightMm.toFixed(0)} millimetres under its ${underWords}`
      }
      className="w-full max-w-md"
    >
      <line x1={-120} x2={120} y1={24} y2={24} stroke="currentColor" strokeWidth={1.5} />
      <g transform={`rotate(${standingDeg})`} opacity={0.5}>
        <path d={body} fill="none" stroke="currentColor" strokeDasharray="4 3" />
      </g>
      <g transform={`rotate(${flyingDeg})`}>
        <path d={body} fill="var(--shade)" stroke="currentColor" strokeWidth={2} />
        <line x1={-105} x2={105} y1={-5} y2={-5} stroke="var(--accent)" strokeDasharray="6 4" />
      </g>
      {under !== 'nothing' && (
        <rect
          x={under === 'tail' ? 58 : -82}
          y={8}
          width={26}
          height={16}
          fill="var(--accent)"
          stroke="currentColor"
        />
      )}
      <text x={-118} y={-56} fontSize={9} fill="currentColor">
        nose
      </text>
      <text x={98} y={-56} fontSize={9} fill="currentColor">
        tail
      </text>
    </svg>
  );
}
