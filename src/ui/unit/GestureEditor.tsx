'use client';

import { STICKS, STICK_ENDS } from '@/core/capture';
import { isSteeringUnit, type StickHolds, type Unit, type UnitTraits } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { Select } from '../parts/Select';
import type { ChangeUnit } from './change';
import { MODE_WORDS } from '../words/unit';
import { Section } from '../parts/Section';

type LevelCapture = NonNullable<UnitTraits['levelCapture']>;
type Gesture = NonNullable<UnitTraits['gestures']>[number];

/** Settings that a button or a stick corner may be for, as the unit's page names them. */
const SET_BY_HAND = ['the wing', 'roll', 'pitch', 'yaw'] as const;

/** How its gestures go in figures: sticks, seconds, times, and presses of its button. */
export function GestureEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { levelCapture, presses = [], gestures = [], correctionDirection } = unit.traits;
  const hasButton =
    correctionDirection === 'button' ||
    (unit.traits.captureGestures.includes('button') && !isSteeringUnit(unit));
  const level = (value: LevelCapture, label: string) =>
    change([{ op: 'add', path: '/traits/levelCapture', value }], label)[0]?.reason;
  const figured =
    levelCapture !== undefined && levelCapture.by !== 'menu' && levelCapture.by !== 'power-up';
  if (!figured && !hasButton && correctionDirection !== 'gestures') return null;
  return (
    <Section
      title="Its gestures, as the leaflet has them"
      level={3}
      className="flex flex-col gap-3"
    >
      <div className="grid items-end gap-2 @lg:grid-cols-3">
        {levelCapture?.by === 'button' && (
          <NumberField
            label="level: presses of the button"
            unit=""
            at="/unit/traits/levelCapture/presses"
            value={levelCapture.presses}
            onCommit={(v) => level({ ...levelCapture, presses: v }, `Level by ${v} presses`)}
          />
        )}
        {levelCapture?.by === 'corner' && (
          <Corner capture={levelCapture} modes={unit.traits.modes} put={level} />
        )}
        {(levelCapture?.by === 'flick' || levelCapture?.by === 'channel') && (
          <>
            <NumberField
              label="level: how often"
              unit="times"
              at="/unit/traits/levelCapture/times"
              value={levelCapture.times}
              onCommit={(v) => level({ ...levelCapture, times: v }, `Level: ${v} times`)}
            />
            <NumberField
              label="level: within"
              unit="s"
              at="/unit/traits/levelCapture/withinS"
              step={0.5}
              value={levelCapture.withinS}
              onCommit={(v) => level({ ...levelCapture, withinS: v }, `Level: within ${v} s`)}
            />
          </>
        )}
        {hasButton &&
          SET_BY_HAND.map((what) => (
            <NumberField
              key={what}
              label={`presses for ${what}`}
              unit=""
              min={0}
              max={20}
              value={presses.find((p) => p.for === what)?.presses ?? 0}
              onCommit={(v) => {
                const others = presses.filter((p) => p.for !== what);
                const value = v > 0 ? [...others, { for: what, presses: v }] : others;
                return change(
                  [{ op: 'add', path: '/traits/presses', value }],
                  `Presses for ${what}: ${v}`,
                )[0]?.reason;
              }}
            />
          ))}
      </div>
      {correctionDirection === 'gestures' &&
        SET_BY_HAND.map((what) => (
          <StickGesture key={what} what={what} gestures={gestures} change={change} />
        ))}
    </Section>
  );
}

/** The stick corner for one thing, how long it is held, and how often the unit twitches in answer. */
function StickGesture({
  what,
  gestures,
  change,
}: {
  what: string;
  gestures: readonly Gesture[];
  change: ChangeUnit;
}) {
  const known = gestures.find((g) => g.for === what);
  const put = (gesture: Gesture | undefined) => {
    const others = gestures.filter((g) => g.for !== what);
    return change(
      [{ op: 'add', path: '/traits/gestures', value: gesture ? [...others, gesture] : others }],
      `Stick gesture for ${what}`,
    )[0]?.reason;
  };
  return (
    <fieldset className="grid items-end gap-2 border-t border-(--card-edge) pt-2 @lg:grid-cols-3 @4xl:grid-cols-6">
      <legend className="font-semibold first-letter:uppercase">
        {what === 'the wing' ? 'wing type' : `${what} correction`}
      </legend>
      <Holds
        of={what}
        holds={known?.holds ?? []}
        put={(holds) =>
          put(holds.length > 0 ? { seconds: 3, ...known, for: what, holds } : undefined)
        }
      />
      {known && (
        <>
          <NumberField
            label={`${what}: held for`}
            unit="s"
            at="/unit/traits/gestures/0/seconds"
            step={0.5}
            value={known.seconds}
            onCommit={(seconds) => put({ ...known, seconds })}
          />
          <NumberField
            label={`${what}: twitches in answer`}
            unit="×"
            min={0}
            max={9}
            value={known.twitches ?? 0}
            onCommit={(n) => {
              const { twitches: _, ...silent } = known;
              return put(n > 0 ? { ...silent, twitches: n } : silent);
            }}
          />
        </>
      )}
    </fieldset>
  );
}

/** Where each stick is held for a gesture. */
function Holds({
  of,
  holds,
  put,
}: {
  of: string;
  holds: StickHolds;
  put: (holds: StickHolds) => string | undefined;
}) {
  return STICKS.map((stick) => {
    const held = holds.find((h) => h.stick === stick);
    return (
      <label key={stick} className="text-sm font-semibold">
        {of}: {stick} stick
        <Select
          value={held ? String(held.at) : ''}
          onChange={(e) => {
            const others = holds.filter((h) => h.stick !== stick);
            const at = e.target.value === '100' ? (100 as const) : (-100 as const);
            put(e.target.value ? [...others, { stick, at }] : others);
          }}
        >
          <option value="">released</option>
          <option value="-100">{STICK_ENDS[stick][0]}</option>
          <option value="100">{STICK_ENDS[stick][1]}</option>
        </Select>
      </label>
    );
  });
}

/** The corner that teaches level: each stick, the mode it wants, and how long it is held. */
function Corner({
  capture,
  modes,
  put,
}: {
  capture: Extract<LevelCapture, { by: 'corner' }>;
  modes: UnitTraits['modes'];
  put: (value: LevelCapture, label: string) => string | undefined;
}) {
  return (
    <>
      <Holds
        of="level"
        holds={capture.holds}
        put={(holds) => put({ ...capture, holds }, 'Level corner')}
      />
      <label className="text-sm font-semibold">
        level: in the mode
        <Select
          value={capture.mode ?? ''}
          onChange={(e) => {
            const { mode: _, ...any } = capture;
            const mode = modes.find((m) => m === e.target.value);
            put(mode ? { ...any, mode } : any, 'Mode of the level corner');
          }}
        >
          <option value="">any</option>
          {modes.map((m) => (
            <option key={m} value={m}>
              {MODE_WORDS[m]}
            </option>
          ))}
        </Select>
      </label>
      <NumberField
        label="level: held for"
        unit="s"
        at="/unit/traits/levelCapture/seconds"
        step={0.5}
        value={capture.seconds}
        onCommit={(seconds) => put({ ...capture, seconds }, `Level corner: ${seconds} s`)}
      />
    </>
  );
}
