import { plainLight } from '@/core/chain';
import type { UnitTraits } from '@/core/setup';

type Light = UnitTraits['lights'][number];

const FILL: Record<Light['colour'], string> = {
  none: 'transparent',
  red: '#d6322a',
  green: '#1f9d4d',
  blue: '#2563c9',
  amber: '#e09a12',
  white: '#ffffff',
};

/** The unit's light: a dot for every blink, its first letter in it, so that colour is not alone. */
export function UnitLight({ colour, blinks }: Pick<Light, 'colour' | 'blinks'>) {
  const dots = Math.max(1, blinks);
  return (
    <svg
      role="img"
      aria-label={`light ${plainLight({ colour, blinks })}`}
      width={dots * 18 + 2}
      height={20}
      className={colour === 'none' ? '' : 'motion-safe:animate-pulse'}
    >
      {Array.from({ length: dots }, (_, i) => (
        <g key={i}>
          <circle
            cx={10 + i * 18}
            cy={10}
            r={8}
            fill={FILL[colour]}
            stroke="currentColor"
            strokeWidth={1.5}
            strokeDasharray={colour === 'none' ? '3 2' : undefined}
          />
          {colour !== 'none' && (
            <text
              x={10 + i * 18}
              y={14}
              textAnchor="middle"
              fontSize={11}
              fontWeight={700}
              fill={colour === 'white' || colour === 'amber' ? '#1c1a17' : '#fff'}
            >
              {colour[0]!.toUpperCase()}
            </text>
          )}
        </g>
      ))}
    </svg>
  );
}
