import type { Footprint } from '@/core/recovery';

/** Seen from above, wind from the left: where the model can be when it is down. */
export function FootprintDrawing({ place, bankDeg }: { place: Footprint; bankDeg: number }) {
  const { downwindM, upwindM } = place;
  const reach = Math.max(downwindM, upwindM, 1);
  const scale = 130 / reach;
  const circle = Number.isFinite(place.radiusM);
  // Straight: a disc of the still-air reach, moved by the wind. Circle: two radii either way.
  const radius = ((downwindM + upwindM) / 2) * scale;
  const centre = ((downwindM - upwindM) / 2) * scale;
  const round = niceStep(reach);
  return (
    <svg
      viewBox="-160 -110 320 220"
      role="img"
      aria-label={`Comes down up to ${downwindM.toFixed(0)} metres downwind and ${upwindM.toFixed(0)} metres upwind${circle ? `, circling at ${Math.abs(bankDeg)}° of bank` : ''}`}
      className="w-full"
    >
      {[round, 2 * round].map((r) => (
        <g key={r} className="text-(--line)">
          <circle r={r * scale} fill="none" stroke="currentColor" strokeDasharray="3 4" />
          <text x={0} y={-r * scale - 3} textAnchor="middle" fontSize={10} fill="currentColor">
            {r} m
          </text>
        </g>
      ))}
      <ellipse
        cx={centre}
        rx={radius}
        ry={Math.min(radius, 100)}
        fill="var(--accent)"
        fillOpacity={0.18}
        stroke="var(--accent)"
        strokeWidth={2}
      />
      <path d="M -6 6 L 0 -8 L 6 6 Z" fill="currentColor" />
      <g stroke="currentColor" strokeWidth={2} fill="none">
        <path d="M -155 -95 h 40 m -8 -5 l 8 5 l -8 5" />
      </g>
      <text x={-155} y={-100} fontSize={11} fill="currentColor">
        wind
      </text>
    </svg>
  );
}

/** A round number of metres for the rings. */
function niceStep(reach: number): number {
  const size = 10 ** Math.floor(Math.log10(reach / 2));
  const times = reach / 2 / size;
  return (times >= 5 ? 5 : times >= 2 ? 2 : 1) * size;
}
