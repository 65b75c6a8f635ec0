import type { Pad } from '@/core/controls';
import { handsOn, type Transmitter } from '@/core/setup';

/** What a pad of this transmitter is: a stick, or on a pistol grip the wheel or the trigger. */
export function handKind(
  { across, along }: Pad,
  transmitter: Pick<Transmitter, 'hands' | 'controls'>,
): 'stick' | 'wheel' | 'trigger' {
  if (handsOn(transmitter) === 'sticks' || (across && along)) return 'stick';
  return across ? 'wheel' : 'trigger';
}

/** The wheel turned, or the trigger pulled (towards you, up on the drawing) or pushed. */
export function HandMark({ kind, value }: { kind: 'wheel' | 'trigger'; value: number }) {
  return (
    <svg viewBox="-50 -50 100 100" className="h-full w-full" aria-hidden>
      {kind === 'wheel' ? (
        <g transform={`rotate(${value * 0.9})`} stroke="var(--ink)" fill="none">
          <circle r={42} strokeWidth={9} />
          {[0, 120, 240].map((deg) => (
            <line key={deg} y2={-38} strokeWidth={6} transform={`rotate(${deg})`} />
          ))}
          <circle r={9} fill="var(--card)" strokeWidth={3} />
          <circle cy={-42} r={6} fill="var(--accent)" stroke="none" />
        </g>
      ) : (
        <>
          <rect
            x={-13}
            y={-46}
            width={26}
            height={92}
            rx={13}
            fill="var(--shade)"
            stroke="var(--ink)"
            strokeWidth={3}
          />
          <line x1={-20} x2={20} stroke="var(--line)" strokeWidth={2} />
          <circle cy={-value * 0.32} r={14} fill="var(--accent)" />
        </>
      )}
    </svg>
  );
}
