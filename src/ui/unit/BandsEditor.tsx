'use client';

import { pointer, type Mode, type Unit, type UnitTraits } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { Rows } from '../fields/Rows';
import { Refused, useAttempt } from '../fields/useAttempt';
import type { ChangeUnit } from './change';
import { MODE_WORDS } from '../words/unit';
import { Select } from '../parts/Select';
import { Section } from '../parts/Section';

type Select = UnitTraits['modeSelect'];

/** Equal bands to start from; the leaflet's own values go in their place. */
const cut = (edges: readonly number[]) =>
  edges.slice(1).map((toUs, slot) => ({ fromUs: edges[slot]!, toUs, slot }));

const WAYS: readonly { words: string; slots: number; make: () => Select }[] = [
  { words: 'it cannot be chosen', slots: 1, make: () => ({ by: 'fixed' }) },
  {
    words: 'one channel, two bands',
    slots: 2,
    make: () => ({ by: 'bands', bands: cut([800, 1500, 2200]) }),
  },
  {
    words: 'one channel, three bands',
    slots: 3,
    make: () => ({ by: 'bands', bands: cut([800, 1333, 1667, 2200]) }),
  },
  {
    words: 'two channels together, three by two',
    slots: 6,
    make: () => ({
      by: 'two-channels',
      bands: cut([800, 1333, 1667, 2200]).flatMap((band) =>
        cut([800, 1500, 2200]).map((second) => ({
          ...band,
          secondFromUs: second.fromUs,
          secondToUs: second.toUs,
          slot: band.slot + 3 * second.slot,
        })),
      ),
    }),
  },
  {
    words: 'the sign of the gain channel',
    slots: 3,
    make: () => ({ by: 'gain-sign', deadPct: 5 }),
  },
];

/** How the mode is chosen: the bands of the mode channel, and what each stands for. */
export function BandsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { modeSelect, modes } = unit.traits;
  const { slots } = unit.settings;
  const { attempt, refused } = useAttempt(change);
  const now = WAYS.findIndex(
    (w) =>
      w.make().by === modeSelect.by &&
      (modeSelect.by !== 'bands' || w.slots === modeSelect.bands.length),
  );
  const choose = (at: number) => {
    const way = WAYS[at]!;
    const fitted = Array.from({ length: way.slots }, (_, i): Mode => slots[i] ?? modes.at(-1)!);
    attempt(
      [
        { op: 'replace', path: '/settings/slots', value: fitted },
        { op: 'replace', path: '/traits/modeSelect', value: way.make() },
      ],
      `Mode chosen by ${way.words}`,
    );
  };
  const bands = 'bands' in modeSelect ? modeSelect.bands : [];
  const setBand = (i: number, field: string, words: string) => (v: number) =>
    attempt(
      [{ op: 'replace', path: pointer('traits', 'modeSelect', 'bands', i, field), value: v }],
      `Mode band ${i + 1}: ${words} ${v} µs`,
    );
  const modeOf = (slot: number, words: string) => (
    <label className="text-sm font-semibold">
      {words}
      <Select
        value={slots[slot]}
        onChange={(e) =>
          void attempt(
            [{ op: 'replace', path: pointer('settings', 'slots', slot), value: e.target.value }],
            `Mode ${slot + 1}: ${e.target.value}`,
          )
        }
      >
        {modes.map((m) => (
          <option key={m} value={m}>
            {MODE_WORDS[m]}
          </option>
        ))}
      </Select>
    </label>
  );
  return (
    <Section title="How the mode is chosen" level={3} className="flex flex-col gap-2">
      <Select
        aria-label="How the mode is chosen"
        value={now}
        onChange={(e) => choose(Number(e.target.value))}
      >
        {now < 0 && <option value={-1}>{bands.length} bands of one channel</option>}
        {WAYS.map((w, i) => (
          <option key={w.words} value={i}>
            {w.words}
          </option>
        ))}
      </Select>
      {bands.length === 0 &&
        slots.map((_, slot) => (
          <div key={slot} className="max-w-60">
            {modeOf(
              slot,
              modeSelect.by === 'gain-sign'
                ? (['below the middle', 'in the middle', 'above the middle'][slot] ?? 'spare')
                : 'always',
            )}
          </div>
        ))}
      <Rows
        list={bands}
        at="/traits/modeSelect/bands"
        columns={({ secondFromUs }) =>
          secondFromUs === undefined
            ? 'grid-cols-2 @lg:grid-cols-[7rem_7rem_1fr_3rem]'
            : 'grid-cols-2 @lg:grid-cols-[repeat(4,6.5rem)_1fr_3rem]'
        }
        name={(_, i) => `band ${i + 1}`}
        least={1}
        most={9}
        attempt={attempt}
        row={(band, i) => (
          <>
            <NumberField
              label="from"
              unit="µs"
              at="/unit/traits/modeSelect/bands/0/fromUs"
              value={band.fromUs}
              onCommit={setBand(i, 'fromUs', 'from')}
            />
            <NumberField
              label="to"
              unit="µs"
              at="/unit/traits/modeSelect/bands/0/toUs"
              value={band.toUs}
              onCommit={setBand(i, 'toUs', 'to')}
            />
            {band.secondFromUs !== undefined && band.secondToUs !== undefined && (
              <>
                <NumberField
                  label="second from"
                  unit="µs"
                  at="/unit/traits/modeSelect/bands/0/secondFromUs"
                  value={band.secondFromUs}
                  onCommit={setBand(i, 'secondFromUs', 'second channel from')}
                />
                <NumberField
                  label="second to"
                  unit="µs"
                  at="/unit/traits/modeSelect/bands/0/secondToUs"
                  value={band.secondToUs}
                  onCommit={setBand(i, 'secondToUs', 'second channel to')}
                />
              </>
            )}
            <div>{modeOf(band.slot, 'means')}</div>
          </>
        )}
        add={
          modeSelect.by === 'bands'
            ? {
                words: 'Split the highest band',
                label: 'Mode band added',
                patch() {
                  const top = Math.max(...bands.map((b) => b.toUs));
                  const last = bands.findIndex((b) => b.toUs === top);
                  const middle = Math.round((bands[last]!.fromUs + top) / 2);
                  return [
                    { op: 'add', path: '/settings/slots/-', value: modes.at(-1) },
                    {
                      op: 'replace',
                      path: pointer('traits', 'modeSelect', 'bands', last, 'toUs'),
                      value: middle,
                    },
                    {
                      op: 'add',
                      path: '/traits/modeSelect/bands/-',
                      value: { fromUs: middle, toUs: top, slot: slots.length },
                    },
                  ];
                },
              }
            : undefined
        }
      />
      {modeSelect.by === 'bands' && (
        <div className="max-w-60">
          <NumberField
            label="edges known to ±"
            unit="µs"
            at="/unit/traits/modeSelect/withinUs"
            value={modeSelect.withinUs ?? 0}
            onCommit={(v) =>
              attempt(
                [{ op: 'add', path: '/traits/modeSelect/withinUs', value: v }],
                `Edges of the mode bands known to ±${v} µs`,
              )
            }
          />
        </div>
      )}
      <Refused reason={refused} />
    </Section>
  );
}
