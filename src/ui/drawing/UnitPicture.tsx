import type { Unit } from '@/core/setup';

/** How far apart its sockets sit in the picture, and how much the case has above and below them. */
const SOCKET = 6;
const EDGE = 7;
/** More leads than these are drawn as these. */
const MOST_LEADS = 5;

/** A unit as it looks on the table, as far as its traits say: sockets, leads or aerials, what is turned, pressed and lit. */
export function UnitPicture({ unit, className }: { unit: Unit; className?: string }) {
  const { traits } = unit;
  const sockets = traits.ports.filter((p) => p.on !== 'receiver').length;
  const height = Math.max(34, sockets * SOCKET + 2 * EDGE);
  const width = traits.place === 'single-axis' ? 34 : 56;
  const left = 34;
  const middle = height / 2;
  const dials = traits.dials === 'none' ? 0 : traits.axisGains ? traits.axes.length : 1;
  const hasButton = traits.captureGestures.includes('button');
  const switches = traits.correctionDirection === 'switches' ? traits.axes.length : 0;
  const leads = Math.min(MOST_LEADS, traits.inputChannels);
  return (
    <svg
      viewBox={`0 -4 ${left + width + 12} ${height + 8}`}
      className={className}
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth={1.4}
    >
      {traits.place === 'receiver' &&
        [-1, 1].map((side) => (
          <path
            key={side}
            d={`M${left} ${middle} C 20 ${middle}, 16 ${middle + side * 4}, 3 ${middle + side * (middle - 2)}`}
          />
        ))}
      {(traits.place === 'between' || traits.place === 'single-axis') &&
        Array.from({ length: leads }, (_, i) => {
          const y = middle + (i - (leads - 1) / 2) * 5;
          return <path key={i} d={`M${left} ${y} H 10 M10 ${y - 1.6} h-6 v3.2 h6 z`} />;
        })}
      {traits.place === 'satellite' && (
        <>
          <rect x={2} y={middle - 8} width={16} height={16} rx={2} />
          <path d={`M18 ${middle} H ${left}`} />
        </>
      )}
      <rect x={left} y={0} width={width} height={height} rx={4} fill="var(--paper)" />
      {Array.from({ length: sockets }, (_, i) => {
        const y = middle + (i - (sockets - 1) / 2) * SOCKET;
        return [0, 1, 2].map((pin) => (
          <rect
            key={`${i} ${pin}`}
            x={left + width - 14 + pin * 4}
            y={y - 1.2}
            width={2.4}
            height={2.4}
            fill="currentColor"
            stroke="none"
          />
        ));
      })}
      {Array.from({ length: dials }, (_, i) => (
        <g
          key={i}
          transform={`translate(${left + 9 + (i % 2) * 13} ${10 + Math.floor(i / 2) * 13})`}
        >
          <circle r={4.5} />
          <path d="M-3 3 L3 -3" />
        </g>
      ))}
      {Array.from({ length: switches }, (_, i) => (
        <path key={i} d={`M${left + 6 + i * 7} ${height - 9} h4 v4 h-4 z m0 2 h4`} />
      ))}
      {hasButton && <circle cx={left + 10} cy={height - 10} r={4} fill="currentColor" />}
      {(traits.lights ?? []).length > 0 && (
        <circle cx={left + 10} cy={dials > 0 ? height - 10 : 9} r={2.2} fill="var(--accent)" />
      )}
    </svg>
  );
}
