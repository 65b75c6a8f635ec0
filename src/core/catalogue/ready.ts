import { applyPatch, type PatchOperation } from '../patch';
import { composeSetup, setSteeringEnds, writeWishes } from '../plan';
import type { AirframeKind, ProgramWishes, Setup } from '../setup';
import { buildAirframe, usualAnswers, USUAL_STEERING, type AirframeAnswers } from './airframes';
import { TRANSMITTERS } from './transmitters';
import { UNITS } from './units';

/** A model that ships ready-made: composed and chosen, never written out. */
interface Ready {
  title: string;
  /** What it is good for, in a sentence. */
  says: string;
  kind: AirframeKind;
  more?: Partial<AirframeAnswers>;
  unit: string;
  transmitter: string;
  wishes?: Partial<ProgramWishes>;
  /** Most bank in self-levelling, where panic may find the stick fully over. */
  bankDeg?: number;
  /** Whether the steering is there as measured, its ends at the stops. */
  measured?: true;
}

const panic = (control: string): Partial<ProgramWishes> => ({
  panic: { way: 'replace', control, holdS: 0.3, gainPct: 60 },
});

const READY = {
  trainer: {
    title: 'Trainer with panic',
    says: 'High wing, flaps, three modes on one switch, a panic button, a level glide when the signal is lost.',
    kind: 'conventional',
    more: { flaps: true },
    unit: 'menu-receiver',
    transmitter: 'line-sixteen',
    bankDeg: 35,
    wishes: panic('sm'),
  },
  aerobatic: {
    title: 'Aerobatic, two ailerons',
    says: 'Each aileron on a channel of its own, two amounts of expo on a switch, gain on a knob until it is found.',
    kind: 'conventional',
    more: { ailerons: 'two-outputs' },
    unit: 'menu-receiver',
    transmitter: 'line-sixteen',
    wishes: {
      rates: {
        by: 'switch',
        control: 'sg',
        at: [
          { pct: 100, expoPct: 45 },
          { pct: 100, expoPct: 25 },
        ],
      },
    },
  },
  sailplane: {
    title: 'V-tail sailplane, hand launched',
    says: 'V-tail mixed by the unit, launch help on a switch, a panic button.',
    kind: 'v-tail',
    unit: 'menu-receiver',
    transmitter: 'line-sixteen',
    bankDeg: 35,
    wishes: {
      ...panic('sm'),
      launch: { control: 'sh', holdS: 1, elevatorPct: 20, releasePct: 10 },
    },
  },
  delta: {
    title: 'Delta on a self-mixing receiver',
    says: 'Plain sticks; the receiver mixes the elevons itself.',
    kind: 'flying-wing',
    unit: 'fixed-order-receiver',
    transmitter: 'line-sixteen',
  },
  twin: {
    title: 'Twin with retracts',
    says: 'Two motors on one throttle, flaps and gear on switches of their own.',
    kind: 't-tail',
    more: { motors: 2, flaps: true, gear: true },
    unit: 'menu-receiver',
    transmitter: 'line-sixteen',
  },
  'drift-car': {
    title: 'Drift car',
    says: 'Steering measured and its ends at the stops, gain on a dial with off in the middle, brake on when the signal is lost.',
    kind: 'car',
    unit: 'steering-receiver',
    transmitter: 'surface-four',
    measured: true,
    wishes: {
      failsafe: { school: 'brake', steerPct: 0, pitchDeg: 0, rollDeg: 0 },
    },
  },
  'pilot-boat': {
    title: 'Pilot boat',
    says: 'Rudder stabilized, gain on a dial with off in the middle, circles when the signal is lost.',
    kind: 'boat',
    unit: 'steering-receiver',
    transmitter: 'surface-four',
    wishes: {
      failsafe: { school: 'motor-off', steerPct: 40, pitchDeg: 0, rollDeg: 0 },
    },
  },
} as const satisfies Record<string, Ready>;

export type ReadyId = keyof typeof READY;
export const READY_IDS = Object.keys(READY) as [ReadyId, ...ReadyId[]];
export const readyOf = (id: ReadyId): Pick<Ready, 'title' | 'says' | 'kind'> => READY[id];

/**
 * A Setup of a ready-made model under a name of one's own; its measures are assumed, as of any new one.
 * @throws Error where one of its choices is refused, which a test rules out
 */
export function readyMade(id: ReadyId, name: string): Setup {
  const ready: Ready = READY[id];
  const composed = composeSetup(
    name,
    buildAirframe({ ...usualAnswers(ready.kind), ...ready.more }),
    UNITS[ready.unit]!,
    TRANSMITTERS[ready.transmitter]!,
  );
  const wished = writeWishes(composed, { ...composed.intents.program, ...ready.wishes });
  if (!wished.ok) throw new Error(`${id}: ${wished.reasons.join('; ')}`);
  const patch: PatchOperation[] = [
    ...(ready.bankDeg === undefined
      ? []
      : [
          {
            op: 'replace' as const,
            path: '/unit/settings/angleLimitsDeg/roll',
            value: ready.bankDeg,
          },
        ]),
    ...(ready.measured
      ? [{ op: 'add' as const, path: '/airframe/steering', value: { ...USUAL_STEERING } }]
      : []),
  ];
  const setup = applyPatch(wished.setup, patch) as Setup;
  return applyPatch(setup, setSteeringEnds(setup)) as Setup;
}
