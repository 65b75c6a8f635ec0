'use client';

import { useMemo } from 'react';
import { modeWords, pulseUs } from '@/core/chain';
import { edgeRead, edgesToRead, withEdges } from '@/core/interrogate';
import { difference } from '@/core/patch';
import { groundOf, withGround, type Setup } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { useDraft } from '../open/useDraft';
import { Section } from '../parts/Section';
import { Select } from '../parts/Select';

/** What was typed for an edge: turning up, and turning back. */
type Typed = readonly [up: string, down: string];

const NONE: Typed = ['', ''];
const NOTHING: readonly Typed[] = [];

/** Where the modes change on the mode channel, read by hand with the channel on a knob. */
export function Edges() {
  const setup = useModel((s) => s.setup);
  const id = useModel((s) => s.id);
  const edit = useModel((s) => s.edit);
  const [typed, setTyped] = useDraft<readonly Typed[]>(`edges:${id}`, NOTHING);
  const [unit, setUnit] = useDraft<'µs' | '%'>(`edges-unit:${id}`, 'µs');
  const toRead = useMemo(() => edgesToRead(setup), [setup]);
  if (!toRead) return null;
  const us = (text: string) => {
    const value = Number(text.replace(',', '.'));
    if (text.trim() === '' || !Number.isFinite(value)) return undefined;
    return unit === '%' ? pulseUs(setup.transmitter.pulse, value) : value;
  };
  const read = toRead.edges.map((_, i) => {
    const [up, down] = (typed[i] ?? NONE).map(us);
    return up === undefined || down === undefined
      ? undefined
      : edgeRead({ upUs: up, downUs: down });
  });
  const good = read.map((r) => (typeof r === 'object' ? r : undefined));
  const next = good.some(Boolean) ? withEdges(setup, good) : undefined;
  const put = (i: number, at: 0 | 1, text: string) =>
    setTyped(
      toRead.edges.map((_, n) => {
        const now = typed[n] ?? NONE;
        return n === i ? (now.with(at, text) as unknown as Typed) : now;
      }),
    );
  const write = () => {
    if (typeof next !== 'object') return;
    const all = good.every(Boolean);
    const seen: Setup = all
      ? { ...next, unit: withGround(next.unit, [['traits', 'modeSelect']], 'seen') }
      : next;
    edit(difference(setup, seen), 'Where the modes change, as read on the unit');
  };
  return (
    <Section title="Where the modes change" className="card">
      <p className="mt-1">
        For this alone, set channel {toRead.channel} of the transmitter to{' '}
        {toRead.knob ?? 'a knob or slider that you can spare'}, over its whole travel. {toRead.hold}{' '}
        Turn slowly until the mode changes, read the channel monitor, then turn back until it
        changes again. Put the channel back afterwards.
      </p>
      <label className="mt-2 block text-sm">
        The monitor shows{' '}
        <Select value={unit} onChange={(e) => setUnit(e.target.value as 'µs' | '%')}>
          <option value="µs">microseconds</option>
          <option value="%">percent</option>
        </Select>
      </label>
      <Bands setup={setup} good={good} />
      <ol className="mt-2 flex flex-col gap-3">
        {toRead.edges.map((edge, i) => {
          const name = `${modeWords(setup.unit, edge.below)} to ${modeWords(setup.unit, edge.above)}`;
          const result = read[i];
          return (
            <li key={i} className="flex flex-wrap items-end gap-3">
              <p className="min-w-60 flex-1">
                <strong>{name}</strong>: {edge.sign}.
              </p>
              {(['turning up', 'turning back'] as const).map((way, at) => (
                <label key={way} className="text-sm">
                  <span className="sr-only">{name}, </span>
                  {way}
                  <input
                    className="field num mt-1 block w-24"
                    inputMode="decimal"
                    value={(typed[i] ?? NONE)[at as 0 | 1]}
                    onChange={(e) => put(i, at as 0 | 1, e.target.value)}
                  />
                </label>
              ))}
              <output className="font-num min-w-32">
                {typeof result === 'object' ? (
                  `${result.us} ± ${result.withinUs} µs`
                ) : (
                  <span className={result ? 'text-stop' : 'text-soft'}>
                    {result ?? `described: ${edge.nowUs} µs`}
                  </span>
                )}
              </output>
            </li>
          );
        })}
      </ol>
      {typeof next === 'string' && (
        <p role="alert" className="text-stop mt-2">
          {next}
        </p>
      )}
      <button
        type="button"
        className="btn mt-3"
        disabled={typeof next !== 'object' || difference(setup, next).length === 0}
        onClick={write}
      >
        Write the edges down
      </button>
      {groundOf(setup.unit, ['traits', 'modeSelect']) === 'seen' && (
        <span className="text-proven ml-3 text-sm font-bold">seen on the unit</span>
      )}
    </Section>
  );
}

/** The mode channel from end to end: each band, and the edges between them. */
function Bands({
  setup,
  good,
}: {
  setup: Setup;
  good: readonly ({ us: number; withinUs: number } | undefined)[];
}) {
  const select = setup.unit.traits.modeSelect;
  if (select.by !== 'bands') return null;
  const [low, high] = [select.bands[0]!.fromUs, select.bands.at(-1)!.toUs];
  const share = (us: number) => `${(100 * us) / (high - low)}%`;
  const edges = select.bands.slice(1).map((band, i) => good[i] ?? { us: band.fromUs });
  return (
    <div className="mt-3 text-center text-sm" role="img" aria-label="Bands of the mode channel">
      <div className="flex">
        {select.bands.map((band, i) => {
          const [from, to] = [edges[i - 1]?.us ?? low, edges[i]?.us ?? high];
          return (
            <span
              key={band.fromUs}
              className="overflow-hidden border bg-(--paper) py-1 text-ellipsis whitespace-nowrap"
              style={{ width: share(to - from) }}
            >
              {modeWords(setup.unit, setup.unit.settings.slots[band.slot] ?? 'off')}
            </span>
          );
        })}
      </div>
      <div className="font-num relative h-6">
        {edges.map((edge, i) => (
          <span
            key={i}
            className="absolute -translate-x-1/2 whitespace-nowrap"
            style={{ left: share(edge.us - low) }}
          >
            {edge.us}
            {'withinUs' in edge && ` ± ${edge.withinUs}`}
          </span>
        ))}
      </div>
    </div>
  );
}
