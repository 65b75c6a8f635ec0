'use client';

import { useState } from 'react';
import {
  doesWords,
  motorOutWords,
  motorPlaceOf,
  thrustWords,
  movedMotor,
  movedPart,
  placeOf,
} from '@/core/model';
import { difference } from '@/core/patch';
import {
  measureTaken,
  pointer,
  type Motor,
  type MotorPlace,
  type Place,
  type Surface,
} from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import { useModel } from '../open/modelStore';
import { Fold } from '../parts/Fold';
import { Section } from '../parts/Section';
import { AddPart, PartButtons } from './Building';
import { MEASURE_WORDS } from './measures';
import { Servos } from './Servos';
import { PartsDrawing } from './PartsDrawing';

const FIELDS: readonly (readonly [keyof Place, words: string, unit: string, step: number])[] = [
  ['forwardMm', 'ahead of the balance point', 'mm', 10],
  ['rightMm', 'to the right of it', 'mm', 10],
  ['downMm', 'below it', 'mm', 5],
  ['spanMm', 'length of its hinge', 'mm', 10],
  ['tiltDeg', 'hinge out of level', '°', 5],
];

const SAID = 'Said by you.';
const ASSUMED = 'Assumed: where a model of its kind usually has it. It is kept once you change it.';

/** The model from above and every part of it that moves: what it is called, where it is, what it does there. */
export function Places() {
  const airframe = useModel((s) => s.setup.airframe);
  const edit = useModel((s) => s.edit);
  /** Parts that are looked at, the last one last. */
  const [open, setOpen] = useState<readonly string[]>([]);
  const show = (id: string, is: boolean) =>
    setOpen((now) => [...now.filter((o) => o !== id), ...(is ? [id] : [])]);
  const { move, refused } = useMove();
  return (
    <Section title="Its parts" className="card flex flex-col gap-1">
      <PartsDrawing
        airframe={airframe}
        open={open.at(-1)}
        onOpen={(id) => show(id, !open.includes(id))}
        onMove={(id, to) => void move(id, to)}
        onMeasure={(measure, value) =>
          void edit(
            measureTaken(airframe, measure, value),
            `${MEASURE_WORDS[measure]}: ${value} mm`,
          )
        }
      />
      <p className="text-soft text-sm">
        Drag a part to where it is on yours, or press it for its measures; the one across goes with
        it. Pull the lines to the size of yours. Dashed: assumed. What a part does, and so every
        direction that is checked, follows from where it is.
      </p>
      {refused && (
        <p role="alert" className="text-stop text-sm">
          Not moved: {refused}.
        </p>
      )}
      <AddPart onAdded={setOpen} />
      <ul className="divide-y divide-(--card-edge)">
        {airframe.surfaces.map((surface, i) => (
          <li key={surface.id}>
            <Fold
              open={open.includes(surface.id)}
              onOpen={(is) => show(surface.id, is)}
              title={
                <span className="flex flex-wrap items-baseline gap-x-2">
                  {surface.label}
                  <span className="text-soft text-sm font-normal">
                    {doesWords(airframe, surface)}
                  </span>
                </span>
              }
            >
              <Part surface={surface} at={i} />
            </Fold>
          </li>
        ))}
        {airframe.motors.map((motor) => (
          <li key={motor.id}>
            <Fold
              open={open.includes(motor.id)}
              onOpen={(is) => show(motor.id, is)}
              title={
                <span className="flex flex-wrap items-baseline gap-x-2">
                  {motor.label}
                  <span className="text-soft text-sm font-normal">
                    {thrustWords(airframe, motor)}
                  </span>
                </span>
              }
            >
              <MotorPart motor={motor} />
            </Fold>
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** Puts a part elsewhere; keeps why it cannot be there. */
function useMove() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const [refused, setRefused] = useState<string>();
  const move = (id: string, to: Partial<Place> & Partial<MotorPlace>): string | undefined => {
    const { airframe } = setup;
    const motor = airframe.motors.find((m) => m.id === id);
    const moved = motor
      ? ({ ok: true, airframe: movedMotor(airframe, id, to) } as const)
      : movedPart(airframe, id, to);
    const { label } = motor ?? airframe.surfaces.find((s) => s.id === id)!;
    const reason = moved.ok
      ? edit(difference(setup, { ...setup, airframe: moved.airframe }), `${label} moved`)[0]?.reason
      : moved.reason;
    setRefused(reason);
    return reason;
  };
  return { move, refused };
}

const MOTOR_FIELDS: readonly (readonly [
  keyof MotorPlace,
  words: string,
  unit: string,
  step: number,
])[] = [
  ['forwardMm', 'ahead of the balance point', 'mm', 10],
  ['rightMm', 'to the right of it', 'mm', 10],
  ['downMm', 'below it', 'mm', 5],
  ['upDeg', 'thrust line up', '°', 1],
  ['rightDeg', 'thrust line to the right', '°', 1],
];

function MotorPart({ motor }: { motor: Motor }) {
  const { airframe } = useModel((s) => s.setup);
  const place = motorPlaceOf(airframe, motor);
  const out = motorOutWords(airframe, motor);
  const { move } = useMove();
  return (
    <div className="flex flex-col gap-3 pb-3">
      <div className="grid grid-cols-2 items-end gap-2">
        {MOTOR_FIELDS.map(([field, words, unit, step]) => (
          <NumberField
            key={field}
            label={words}
            unit={unit}
            step={step}
            at={`/airframe/motors/0/place/${field}`}
            value={place[field]}
            onCommit={(value) => move(motor.id, { [field]: value })}
          />
        ))}
      </div>
      <p className="text-soft text-sm">{motor.place ? SAID : ASSUMED}</p>
      {out && <p className="text-sm">{out}</p>}
      <PartButtons id={motor.id} label={motor.label} />
    </div>
  );
}

function Part({ surface, at }: { surface: Surface; at: number }) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { airframe } = setup;
  const place = placeOf(airframe, surface);
  const { move } = useMove();
  return (
    <div className="flex flex-col gap-3 pb-3">
      <TextField
        label="name"
        value={surface.label}
        onCommit={(value) =>
          edit(
            [{ op: 'replace', path: pointer('airframe', 'surfaces', at, 'label'), value }],
            `${surface.label} is called ${value}`.slice(0, 80),
          )[0]?.reason
        }
      />
      <div className="grid grid-cols-2 items-end gap-2">
        {FIELDS.map(([field, words, unit, step]) => (
          <NumberField
            key={field}
            label={words}
            unit={unit}
            step={step}
            at={`/airframe/surfaces/0/place/${field}`}
            value={place[field]}
            onCommit={(value) => move(surface.id, { [field]: value })}
          />
        ))}
      </div>
      <p className="text-soft text-sm">{surface.place ? SAID : ASSUMED}</p>
      <Servos surface={surface} at={at} />
      <PartButtons id={surface.id} label={surface.label} />
    </div>
  );
}
