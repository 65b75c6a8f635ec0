'use client';

import { Printer } from 'lucide-react';
import type { Setup } from '@/core/setup';
import { mountingWords } from '@/core/settings';
import { gainLeadWords, leadsOf, leadWords, type Lead } from '@/core/wiring';
import { useModel } from '../frame/modelStore';
import { PaperLinks } from '../paper/PaperLinks';
import { GainLead } from './GainLead';

const ROW = 56;
const TOP = 40;

/** What goes into which plug: drawn, and as a list in the order of plugging. Prints on one page. */
export function WiringStation() {
  const setup = useModel((s) => s.setup);
  const rows = leadsOf(setup);
  const gainLead = gainLeadWords(setup);
  return (
    <div className="flex flex-col gap-4">
      <div className="flex justify-between gap-2 print:hidden">
        <p className="text-lg">
          Battery out while you plug. Leads with slack, aerials square to each other.
        </p>
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={18} aria-hidden />
            Print
          </button>
          <PaperLinks what="wiring" words="PDF" papers={['A4', 'LETTER']} />
        </div>
      </div>
      <section className="card overflow-x-auto" aria-label="Wiring diagram" tabIndex={0}>
        <h2 className="hidden text-xl font-bold print:block">{setup.name}: wiring</h2>
        <Diagram setup={setup} rows={rows} />
      </section>
      <section className="card" aria-labelledby="order-title">
        <h2 id="order-title" className="text-lg font-bold">
          In this order
        </h2>
        <ol className="mt-2 list-decimal pl-6">
          {rows.map((r) => (
            <li key={r.port}>{leadWords(r)}.</li>
          ))}
          {gainLead && (
            <li>
              {gainLead}
              <GainLead />
            </li>
          )}
          <li>
            Aerials: two straight ends at right angles, clear of carbon, motor leads and battery.
          </li>
          <li>Unit: {mountingWords(setup.installation.mounting)}, square to the model.</li>
        </ol>
      </section>
    </div>
  );
}

function Diagram({ setup, rows }: { setup: Setup; rows: Lead[] }) {
  const count = rows.reduce((n, r) => n + r.ends.length, 0);
  const height = TOP + count * ROW + 20;
  const separate = rows.some((r) => r.onReceiver) || setup.unit.traits.place !== 'receiver';
  const text = { fill: 'var(--ink)', fontSize: 16 };
  const [arrow] = setup.installation.mounting.split('-');
  return (
    <svg
      viewBox={`0 0 900 ${height}`}
      className="w-full min-w-[40rem]"
      role="img"
      aria-label={`Wiring of ${setup.name}; the list below says the same`}
    >
      <g fill="none" stroke="var(--ink)" strokeWidth="2">
        {/* Two aerials at right angles. */}
        <path d={`M60 ${TOP} v-24 h-20 M130 ${TOP} v-34`} />
        <rect x="20" y={TOP} width="240" height={height - TOP - 20} rx="4" fill="var(--shade)" />
      </g>
      <text x="36" y={TOP + 26} {...text} fontWeight="700">
        {separate ? 'Receiver and unit' : 'Receiver with unit'}
      </text>
      <text x="36" y={TOP + 48} {...text} fontSize="13">
        arrow to the {arrow} ➜
      </text>
      {rows.map((r, index) => {
        const above = rows.slice(0, index).reduce((n, other) => n + other.ends.length, 0);
        const start = TOP + above * ROW + ROW / 2;
        const middle = start + ((r.ends.length - 1) * ROW) / 2;
        return (
          <g key={r.port}>
            <rect
              x="196"
              y={middle - 16}
              width="92"
              height="32"
              fill="var(--card)"
              stroke="var(--ink)"
              strokeWidth="2"
              strokeDasharray={r.onReceiver ? '5 4' : undefined}
            />
            <text
              x="242"
              y={middle + 5}
              {...text}
              fontSize="13"
              textAnchor="middle"
              fontWeight="700"
            >
              {r.portLabel}
            </text>
            <text x="300" y={middle - 8} {...text} fontSize="13">
              {r.carries}
              {r.steadied ? ' ≈ steadied' : ''}
            </text>
            {r.ends.map((end, i) => {
              const y = start + i * ROW;
              return (
                <g key={end}>
                  <path
                    d={`M288 ${middle} H${r.yLead ? 470 : 600} ${r.yLead ? `L520 ${y} H600` : ''}`}
                    fill="none"
                    stroke="var(--ink)"
                    strokeWidth="2.5"
                  />
                  <rect
                    x="600"
                    y={y - 19}
                    width="270"
                    height="38"
                    rx="4"
                    fill="var(--card)"
                    stroke="var(--ink)"
                    strokeWidth="2"
                  />
                  <text x="616" y={y + 6} {...text}>
                    {end.length > 28 ? `${end.slice(0, 27)}…` : end}
                  </text>
                </g>
              );
            })}
            {r.yLead && (
              <text x="426" y={middle + 20} {...text} fontSize="13">
                Y-lead
              </text>
            )}
          </g>
        );
      })}
    </svg>
  );
}
