'use client';

import type { Steering } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

type Measure = Exclude<keyof Steering, 'by' | 'knuckles'>;

const BY = [
  ['arm', 'the servo arm'],
  ['bell-crank', 'a bell-crank'],
  ['rack', 'a rack'],
] as const;

const KNUCKLES = [
  ['behind', 'behind the axle'],
  ['ahead', 'in front of it'],
] as const;

const FIELDS: readonly (readonly [Measure, words: string, unit: string, step: number])[] = [
  ['armMm', 'servo arm', 'mm', 0.5],
  ['linkMm', 'link from the arm', 'mm', 0.5],
  ['crankInMm', 'crank, servo side', 'mm', 0.5],
  ['crankOutMm', 'crank, tie-rod side', 'mm', 0.5],
  ['innerMm', 'between inner balls', 'mm', 0.5],
  ['aheadMm', 'inner balls in front by', 'mm', 0.5],
  ['kingpinMm', 'between kingpins', 'mm', 1],
  ['knuckleMm', 'knuckle arm', 'mm', 0.5],
  ['knuckleDeg', 'knuckle arm inward', '°', 1],
  ['lockLeftDeg', 'stop, turned left', '°', 1],
  ['lockRightDeg', 'stop, turned right', '°', 1],
  ['toeDeg', 'toe-in of each wheel', '°', 0.25],
  ['slopDeg', 'play allowed', '°', 0.5],
];

/** What each way of moving the tie rods has no use for. */
const UNUSED: Record<Steering['by'], readonly Measure[]> = {
  arm: ['linkMm', 'crankInMm', 'crankOutMm'],
  'bell-crank': [],
  rack: ['crankInMm', 'crankOutMm'],
};

/** The measures the drawing is made of. */
export function SteeringMeasures({ steering }: { steering: Steering }) {
  const edit = useModel((s) => s.edit);
  const set = (field: keyof Steering, value: unknown, words: string) =>
    edit([{ op: 'replace', path: `/airframe/steering/${field}`, value }], words)[0]?.reason;
  return (
    <Section title="Measures" className="card flex flex-col gap-3">
      <Choice
        label="The tie rods are moved by"
        value={steering.by}
        options={BY}
        onChange={(by) => set('by', by, `Tie rods moved by ${BY.find(([b]) => b === by)![1]}`)}
      />
      <Choice
        label="Knuckle arms"
        value={steering.knuckles}
        options={KNUCKLES}
        onChange={(k) => set('knuckles', k, `Knuckle arms ${k}`)}
      />
      <div className="grid grid-cols-2 items-end gap-2">
        {FIELDS.filter(([field]) => !UNUSED[steering.by].includes(field)).map(
          ([field, words, unit, step]) => (
            <NumberField
              key={field}
              label={words}
              unit={unit}
              step={step}
              at={`/airframe/steering/${field}`}
              value={steering[field]}
              onCommit={(v) => set(field, v, `Steering: ${words} ${v} ${unit}`)}
            />
          ),
        )}
      </div>
    </Section>
  );
}
