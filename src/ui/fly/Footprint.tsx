'use client';

import { useState } from 'react';
import { footprintWords, LOST_IN, type Landing, type LostIn } from '@/core/motion';
import type { Setup } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { Section } from '../parts/Section';
import { LOST, useFootprint } from './useFlights';

/** Where a model without a signal comes down: in words, and every one as a dot from above. */
export function Footprint({ setup, className = '' }: { setup: Setup; className?: string }) {
  const [heightM, setHeight] = useState(LOST_IN.heightM);
  const [windMps, setWind] = useState(LOST_IN.windMps);
  const [asked, setAsked] = useState<LostIn>();
  const found = useFootprint(setup, asked);
  const put = (lostIn: LostIn) => {
    setHeight(lostIn.heightM);
    setWind(lostIn.windMps);
    if (asked) setAsked(lostIn);
  };
  return (
    <Section title="Signal lost: where it comes down" className={`card ${className}`}>
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-28">
          <NumberField
            label="height"
            unit="m"
            min={5}
            max={500}
            step={5}
            value={heightM}
            onCommit={(v) => put({ heightM: v, windMps })}
          />
        </div>
        <div className="w-28">
          <NumberField
            label="wind"
            unit="m/s"
            min={0}
            max={30}
            value={windMps}
            onCommit={(v) => put({ heightM, windMps: v })}
          />
        </div>
        {!asked && (
          <button type="button" className="btn" onClick={() => setAsked({ heightM, windMps })}>
            Follow it down
          </button>
        )}
      </div>
      <p className="text-soft text-sm">Any heading; {LOST} models it may be.</p>
      {found?.failed !== undefined && <p role="alert">Not flown: {found.failed}.</p>}
      {asked && !found && <p aria-live="polite">Flying …</p>}
      {found?.so && (
        <div className="mt-1 flex flex-wrap items-start gap-4">
          <ul className="min-w-60 flex-1 list-disc pl-5">
            {footprintWords(found.so).map((words) => (
              <li key={words}>{words}</li>
            ))}
            {!found.done && (
              <li className="text-soft">
                {found.so.length} of {LOST}: still flying.
              </li>
            )}
          </ul>
          <Above landings={found.so} />
        </div>
      )}
    </Section>
  );
}

const RINGS = 3;

/** From above, the wind blowing to the right; circles around the place where the signal was lost. */
function Above({ landings }: { landings: readonly Landing[] }) {
  const far = Math.max(40, ...landings.map((l) => Math.hypot(l.downwindM, l.acrossM)));
  const step =
    [10, 20, 30, 50, 75, 100, 150, 200, 300, 400, 500, 1000].find((s) => s * RINGS >= far) ?? far;
  const most = step * RINGS * 1.12;
  return (
    <svg
      viewBox={`${-most} ${-most} ${2 * most} ${2 * most}`}
      className="h-64 w-64"
      role="img"
      aria-label={`From above, circles every ${step} m, the wind from the left`}
    >
      {Array.from({ length: RINGS }, (_, i) => (
        <g key={i}>
          <circle
            r={step * (i + 1)}
            fill="none"
            stroke="var(--card-edge)"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={0}
            y={-step * (i + 1)}
            textAnchor="middle"
            fontSize={most * 0.07}
            fill="var(--ink-soft)"
          >
            {step * (i + 1)} m
          </text>
        </g>
      ))}
      <path
        d={`M ${-most * 0.97} ${most * 0.9} h ${most * 0.3} m ${-most * 0.07} ${-most * 0.05} l ${most * 0.07} ${most * 0.05} l ${-most * 0.07} ${most * 0.05}`}
        fill="none"
        stroke="var(--ink-soft)"
        vectorEffect="non-scaling-stroke"
      />
      <text x={-most * 0.97} y={most * 0.82} fontSize={most * 0.08} fill="var(--ink-soft)">
        wind
      </text>
      {landings.map((l, i) => (
        <circle
          key={i}
          cx={l.downwindM}
          cy={-l.acrossM}
          r={most * 0.014}
          fill={l.flying ? 'none' : l.how === 'crashed' ? 'var(--stop)' : 'var(--accent)'}
          stroke={l.flying ? 'var(--ink)' : 'none'}
          vectorEffect="non-scaling-stroke"
        />
      ))}
      <path
        d={`M ${-most * 0.04} 0 H ${most * 0.04} M 0 ${-most * 0.04} V ${most * 0.04}`}
        stroke="var(--ink)"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
