'use client';

import { isUpright, movementOf } from '@/core/chain';
import { channelsReaching } from '@/core/logbook';
import type { Setup } from '@/core/setup';
import type { Snapshot } from '@/core/standin';
import { Section } from '../parts/Section';

const signed = (n: number) => `${n < -0.5 ? '−' : n > 0.5 ? '+' : ''}${Math.abs(n).toFixed(0)}`;

/** The chain from stick to surface, a row for each surface, a cell for each link with its live value. */
export function ChainCells({ setup, snapshot }: { setup: Setup; snapshot: Snapshot }) {
  const controlAt = new Map(setup.transmitter.controls.map((c, i) => [c.id, i]));
  return (
    <Section title="The chain" className="card overflow-x-auto" tabIndex={0}>
      <table className="mt-1 w-full border-separate border-spacing-y-1 text-sm">
        <thead className="text-soft text-left">
          <tr>
            {[
              'Surface',
              'Hand',
              'Rate, expo',
              'Channel',
              'Sent',
              'Arrives',
              'Out of the unit',
              'Servo',
              'Angle',
            ].map((h, i) => (
              <th
                key={i}
                scope="col"
                className={`px-2 font-normal whitespace-nowrap ${i > 0 ? 'text-right' : ''}`}
              >
                {h}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {setup.airframe.surfaces.map((surface, i) => {
            const servo = setup.airframe.servos.findIndex((s) => s.id === surface.servo);
            const plug = setup.installation.plugs.find((p) => p.drives.includes(surface.servo));
            const port = setup.unit.traits.ports.findIndex((p) => p.id === plug?.port);
            const channels = channelsReaching(setup, surface.id);
            const inputs = channels.flatMap((channel) =>
              setup.program.lines.flatMap((l) =>
                l.channel === channel && l.follows.kind === 'input'
                  ? setup.program.inputs.filter(
                      (n) => l.follows.kind === 'input' && n.id === l.follows.id,
                    )
                  : [],
              ),
            );
            const sticks = inputs.map((n) => snapshot.controls[controlAt.get(n.control)!]!);
            const shaped = inputs.map((n) => snapshot.inputsPct[setup.program.inputs.indexOf(n)]!);
            const list = (values: number[], unit: string) =>
              values.length === 0
                ? '–'
                : values.map((v) => (Number.isNaN(v) ? 'none' : signed(v))).join(' / ') +
                  ` ${unit}`;
            const plain = (v: number | undefined) =>
              v === undefined || Number.isNaN(v) ? 'none' : `${v.toFixed(0)} µs`;
            const deg = snapshot.surfaceDeg[i]!;
            const movement = movementOf(surface, deg);
            const cells = [
              list(sticks, '%'),
              list(shaped, '%'),
              list(
                channels.map((c) => snapshot.channelsPct[c - 1]!),
                '%',
              ),
              channels.map((c) => plain(snapshot.sentUs[c - 1])).join(' / ') || '–',
              channels.map((c) => plain(snapshot.receivedUs[c - 1])).join(' / ') || '–',
              port < 0 ? 'no plug' : plain(snapshot.portsUs[port]),
              `${signed(snapshot.servoDeg[servo]!)}°`,
              `${Math.abs(deg).toFixed(0)}° ${movement === 'centre' ? (isUpright(surface) ? 'straight' : 'level') : movement}`,
            ];
            return (
              <tr key={surface.id}>
                <th scope="row" className="px-2 py-2 text-left font-semibold whitespace-nowrap">
                  {surface.label}
                  {channels.length > 0 && (
                    <span className="text-soft font-normal"> · ch {channels.join(', ')}</span>
                  )}
                </th>
                {cells.map((value, j) => (
                  <td
                    key={j}
                    className={`num bg-(--shade) px-2 ${j > 0 ? 'border-l-2 border-dashed border-(--line)' : ''} ${j === 7 ? 'text-base font-bold' : ''}`}
                  >
                    {value}
                  </td>
                ))}
              </tr>
            );
          })}
        </tbody>
      </table>
    </Section>
  );
}
