import type { ControlKind } from '@/core/setup';

/** A control as a small drawing, standing where it rests: far up, near down. */
export function ControlMark({ kind, rest }: { kind: ControlKind; rest: number }) {
  const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 2 };
  // Far is away from the body, drawn up; a switch at −100 stands far.
  const y = 18 + (rest / 100) * 8;
  switch (kind) {
    case 'stick':
      return (
        <svg width={44} height={36} aria-hidden>
          <rect x={4} y={2} width={36} height={32} rx={6} {...line} />
          <circle cx={22} cy={18 - (rest / 100) * 9} r={6} fill="currentColor" />
        </svg>
      );
    case 'knob':
      return (
        <svg width={36} height={36} aria-hidden>
          <circle cx={18} cy={18} r={13} {...line} />
          <line
            x1={18}
            y1={18}
            x2={18 + 12 * Math.sin((rest / 100) * 2.4)}
            y2={18 - 12 * Math.cos((rest / 100) * 2.4)}
            {...line}
          />
        </svg>
      );
    case 'slider':
      return (
        <svg width={36} height={36} aria-hidden>
          <line x1={18} y1={4} x2={18} y2={32} {...line} />
          <rect x={9} y={18 - (rest / 100) * 10 - 4} width={18} height={8} fill="currentColor" />
        </svg>
      );
    case 'trim':
      return (
        <svg width={36} height={20} aria-hidden>
          <line x1={4} y1={10} x2={32} y2={10} {...line} />
          <rect x={15 + (rest / 100) * 10} y={4} width={6} height={12} fill="currentColor" />
        </svg>
      );
    case 'momentary':
      return (
        <svg width={36} height={36} aria-hidden>
          <circle cx={18} cy={18} r={12} {...line} />
          <circle cx={18} cy={18} r={5} fill="currentColor" />
        </svg>
      );
    default:
      return (
        <svg width={36} height={36} aria-hidden>
          <rect x={11} y={4} width={14} height={28} rx={7} {...line} />
          {kind === 'switch-3' && <line x1={6} y1={18} x2={11} y2={18} {...line} />}
          <circle cx={18} cy={y} r={5} fill="currentColor" />
        </svg>
      );
  }
}
