'use client';

import type { Reading } from '@/core/infer';
import { printed, type Setup } from '@/core/setup';
import { handWords } from '@/core/sheets';
import { Fold } from '../../parts/Fold';

/** The rows read so far, as a table: one posture a row, its channels along it. */
export function ReadRows({ setup, readings }: { setup: Setup; readings: readonly Reading[] }) {
  if (readings.length === 0) return null;
  const { outputs } = setup.program;
  const { controls } = setup.transmitter;
  return (
    <Fold title={`What was read: ${readings.length} ${readings.length === 1 ? 'row' : 'rows'}`}>
      <div className="overflow-x-auto">
        <table className="text-sm">
          <thead>
            <tr>
              <th scope="col" className="pr-3 text-left">
                Row
              </th>
              {outputs.map(({ channel }) => (
                <th key={channel} scope="col" className="num px-2 text-right">
                  {channel}
                </th>
              ))}
              <th scope="col" className="pl-3 text-left">
                Controls
              </th>
            </tr>
          </thead>
          <tbody>
            {readings.map((r, i) => (
              <tr key={i} className="border-t border-(--card-edge)">
                <th scope="row" className="num pr-3 text-left font-normal">
                  {i + 1}
                </th>
                {outputs.map(({ channel }) => (
                  <td key={channel} className="num px-2 text-right">
                    {printed(r.channels[channel - 1] ?? '')}
                  </td>
                ))}
                <td className="min-w-60 pl-3">
                  {controls
                    .flatMap((c) => (c.id in r.controls ? [handWords(c, r.controls[c.id]!)] : []))
                    .join(', ') || 'everything at rest'}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Fold>
  );
}
