'use client';

import { useMemo } from 'react';
import { pulseUs, throwsOf, type SurfaceThrows } from '@/core/chain';
import { channelsReaching } from '@/core/logbook';
import { functionOf, pointer, type Setup } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

/** Where the servos of a channel stand with the sticks released, asked of the chain. */
function standsAt(setup: Setup, throws: readonly SurfaceThrows[], channel: number): string {
  const turned = throws
    .filter((t) => channelsReaching(setup, t.surface).includes(channel))
    .map((t) => {
      const surface = setup.airframe.surfaces.find((s) => s.id === t.surface)!;
      return `the servo of the ${surface.label.toLowerCase()} ${Math.abs(t.centre.servoDeg).toFixed(1)}° off its own`;
    });
  return turned.length > 0 ? `, ${turned.join(', ')}` : '';
}

/** Reverse, subtrim and endpoints of every channel, as the transmitter's output menu has them. */
export function ChannelTable() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { outputs } = setup.program;
  const throws = useMemo(() => throwsOf(setup), [setup]);
  const { pulse } = setup.transmitter;
  const change = (i: number, field: string, value: unknown, words: string) =>
    edit(
      [{ op: 'replace', path: pointer('program', 'outputs', i, field), value }],
      `Channel ${outputs[i]!.channel}: ${words}`,
    )[0]?.reason;

  return (
    <Section title="Channels in the transmitter">
      <p
        aria-hidden
        className="text-soft mt-2 hidden grid-cols-[8rem_9rem_repeat(3,1fr)] gap-2 text-sm @lg:grid"
      >
        <span>Channel</span>
        <span>Direction</span>
        <span>Lower end</span>
        <span>Subtrim</span>
        <span>Upper end</span>
      </p>
      <ul className="flex flex-col divide-y divide-(--card-edge)">
        {outputs.map((o, i) => {
          const lostPct = Math.abs(o.subtrimPct);
          return (
            <li
              key={o.channel}
              className="grid grid-cols-2 items-end gap-2 py-2 @lg:grid-cols-[8rem_9rem_repeat(3,1fr)]"
            >
              <p className="self-center">
                <span className="num mr-2 text-lg font-bold">{o.channel}</span>
                {functionOf(o.carries).words}
              </p>
              <button
                type="button"
                className="btn text-sm"
                aria-pressed={o.reversed}
                onClick={() =>
                  change(i, 'reversed', !o.reversed, o.reversed ? 'set to normal' : 'reversed')
                }
              >
                {o.reversed ? 'reversed' : 'normal'}
                <span className="sr-only">, channel {o.channel}</span>
              </button>
              <NumberField
                hideLabel
                label="lower end"
                unit="%"
                at="/program/outputs/0/minPct"
                value={o.minPct}
                onCommit={(v) => change(i, 'minPct', v, `lower end ${v} %`)}
              />
              <NumberField
                hideLabel
                label="subtrim"
                unit="%"
                at="/program/outputs/0/subtrimPct"
                value={o.subtrimPct}
                onCommit={(v) => change(i, 'subtrimPct', v, `subtrim ${v} %`)}
              />
              <NumberField
                hideLabel
                label="upper end"
                unit="%"
                at="/program/outputs/0/maxPct"
                value={o.maxPct}
                onCommit={(v) => change(i, 'maxPct', v, `upper end ${v} %`)}
              />
              {o.subtrimPct !== 0 && (
                <p className="text-soft col-span-full text-sm">
                  Centre at{' '}
                  <span className="num">{pulseUs(pulse, o.subtrimPct).toFixed(0)} µs</span>
                  {standsAt(setup, throws, o.channel)}; {lostPct} % of travel lost{' '}
                  {o.subtrimPct > 0 ? 'above' : 'below'}. Past about 10 % move the arm on its
                  splines instead.
                </p>
              )}
            </li>
          );
        })}
      </ul>
      <p className="text-soft mt-2 text-sm">
        100 % is <span className="num">{pulse.usAt100} µs</span> either side of{' '}
        <span className="num">{pulse.centreUs} µs</span> on this transmitter.
      </p>
    </Section>
  );
}
