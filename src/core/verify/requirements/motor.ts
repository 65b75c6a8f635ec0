import { pointer, roleOf, type Setup } from '../../setup';
import type { Claim, Facts, Found, Moment, Scope } from '../engine';
import { orderScope, type Requirement } from './requirement';

/** A motor that turns by more than this runs. Controllers stand still below some percent; no source. */
const RUNS_PCT = 5;
/** With the cut on nothing at all may turn. */
const CUT_PCT = 1;
/** Thrust that falls by no more than this while the throttle opens is rounding. */
const FALLS_PCT = 2;
/** A throttle that never gives so much has lost most of its motor. Planning figure, no source. */
const WORTH_PCT = 50;

const hasMotor = (setup: Setup) => setup.airframe.motors.length > 0;
/** What the sticks give; what the unit may give by itself is claimed for itself. */
const most = ({ frame }: Moment): number => Math.max(0, ...frame.motorPct);

const scopeOf = (facts: Facts, more: Partial<Scope>): Scope => ({
  channels: facts.motorChannels,
  sticks: 'anywhere',
  unit: 'in-use',
  ...more,
});

/** Trims of an engine set its idle; a motor must stand still wherever they are. */
const engineTrims = ({ setup }: Facts): { trimsAtRest?: true } =>
  setup.airframe.motors.every((m) => m.power === 'engine') ? { trimsAtRest: true } : {};

/** The control that runs the motor, with its position `at` and the value it rests at; undefined: none. */
function throttleOf({ setup, throttle: at }: Facts) {
  const control = setup.transmitter.controls[at];
  return control && { at, id: control.id, rest: control.rest, label: control.label };
}

/**
 * The switch that lets the motors run against each other with the throttle closed: where it is off nothing
 * may turn, and where it is on nothing but by the stick that turns the model.
 */
function opposing(facts: Facts) {
  const mix = facts.mixes.of('differential-thrust');
  if (mix?.way !== 'against' || !mix.only) return undefined;
  const { control, position } = mix.only;
  const at = facts.at(control);
  return {
    off: [at, facts.setup.transmitter.controls[at]!.rest] as const,
    on: [at, facts.position(control, position).value] as const,
    /** The stick that turns the model, let go. */
    straight: facts.hands.flatMap((h) => (h.axis === 'yaw' ? [[h.at, 0] as const] : [])),
  };
}

const throttlePath = ({ setup }: Facts): string => {
  const at = setup.program.outputs.findIndex((o) => roleOf(o.carries) === 'motor');
  return at < 0 ? '/airframe/motors' : pointer('program', 'outputs', at);
};

/** The motor stands still in a scope, by a limit. */
const still = (
  claim: Pick<Claim & { form: 'moment' }, 'scope' | 'where' | 'about' | 'shows'>,
  limitPct: number,
  says: (found: Found, pct: number) => string,
  then?: readonly [control: number, value: number],
): Claim => ({
  ...claim,
  key: 'still',
  form: 'moment',
  asked: 'always',
  severity: 'stop',
  byPulses: true,
  holds: (now) => limitPct - most(now),
  says: (found) => ({
    says: says(found, most(found.now)),
    about: { figure: most(found.now) },
    ...(then ? { then } : {}),
  }),
});

export const motorCut: Requirement = {
  id: 'motor-cut',
  title: 'The motor stays off while it is cut',
  must: 'With the throttle cut on, no motor turns, wherever every other control stands, whatever was done before and however long you wait.',
  from: 'The choice of a throttle cut, or the line that is one.',
  leavesOut: 'A motor not connected through the unit; how its controller is set up.',
  applies: hasMotor,
  looksAt: (facts) => facts.motorChannels,
  claims(facts) {
    const { cut } = facts;
    if (!cut) return [];
    return [
      still(
        {
          scope: scopeOf(facts, { hands: [[cut.at, cut.value]] }),
          where: '/program/lines',
          about: { control: facts.setup.transmitter.controls[cut.at]!.id },
          shows: 'the throttle cut on',
        },
        CUT_PCT,
        (_, pct) =>
          `${facts.stands(cut.at, cut.value)}: throttle cut on, and the motor can still be made to run at ${pct.toFixed(0)} %.`,
        [cut.at, cut.value],
      ),
    ];
  },
};

export const motorLow: Requirement = {
  id: 'motor-low',
  title: 'The motor stands still with the throttle closed',
  must: 'With the throttle closed (a trigger released), no motor turns, wherever every other control stands, whatever was done before and however long you wait.',
  from: 'Nobody expects a motor to start with the throttle closed.',
  leavesOut: 'The idle of an engine, set by its trim.',
  applies: hasMotor,
  looksAt: (facts) => facts.motorChannels,
  claims(facts) {
    const throttle = throttleOf(facts);
    if (!throttle) return [];
    const { at, id, rest, label } = throttle;
    const both = opposing(facts);
    const closed = (key: string, more: Partial<Scope>): Claim => ({
      ...still(
        {
          scope: scopeOf(facts, { ...more, ...engineTrims(facts) }),
          where: throttlePath(facts),
          about: { control: id },
          shows: `${label} at its low end`,
        },
        RUNS_PCT,
        (_, pct) => `With the throttle closed the motor can be made to run at ${pct.toFixed(0)} %.`,
      ),
      key,
    });
    return both
      ? [
          closed('still', { hands: [[at, rest], both.off] }),
          closed('opposed', { hands: [[at, rest], both.on, ...both.straight] }),
        ]
      : [closed('still', { hands: [[at, rest]] })];
  },
};

export const motorAtRest: Requirement = {
  id: 'motor-rest',
  title: 'Something holds the motor off at rest',
  must: 'While no switch has been touched since power-up, no motor turns, wherever everything else stands and however long you wait.',
  from: 'A sleeve catches the throttle, a model stands on the bench, fingers are in the way.',
  leavesOut: 'What follows once a switch was touched: a cut that was released on purpose.',
  applies: hasMotor,
  looksAt: (facts) => facts.motorChannels,
  claims(facts) {
    const throttle = throttleOf(facts);
    return [
      still(
        {
          scope: scopeOf(facts, { before: 'switches-at-rest', ...engineTrims(facts) }),
          where: '/program/lines',
          about: throttle ? { control: throttle.id } : {},
          shows: 'throttle full, switches at rest',
        },
        RUNS_PCT,
        (_, pct) =>
          `With every switch at rest the motor can be made to run at ${pct.toFixed(0)} %: nothing holds it off.`,
      ),
    ];
  },
};

export const motorLost: Requirement = {
  id: 'motor-lost',
  title: 'The motor stops when the signal is lost',
  must: 'From every state, no motor turns two seconds after the signal is lost, but where the chosen failsafe leaves it to an autopilot.',
  from: 'The choice of a failsafe; a model that goes its own way under power is a danger to others.',
  leavesOut: 'What an autopilot does with the motor on its way home.',
  applies: hasMotor,
  looksAt: (facts) => [...facts.motorChannels, ...facts.orderChannels],
  claims(facts) {
    const scripts = [[{ signal: false }, { waitS: 2 }, { look: {} }]] as const;
    return [
      {
        key: 'still',
        form: 'twin',
        asked: 'always',
        scope: scopeOf(facts, {}),
        severity: 'stop',
        where: '/program/failsafe',
        about: {},
        shows: 'this, then turn the transmitter off',
        scripts,
        holds: ([lost]) => (lost!.frame.unitDrives ? RUNS_PCT : RUNS_PCT - most(lost!)),
        says: ({ seen }) => ({
          says: `Signal lost with the motor running: it runs on at ${most(seen[0]!).toFixed(0)} %.`,
          about: { figure: most(seen[0]!) },
        }),
      },
      // What the unit does by itself is anything from nothing to full, unless that was chosen.
      ...(facts.setup.intents.program.failsafe?.school === 'home'
        ? []
        : [
            {
              key: 'unit',
              form: 'twin',
              asked: 'always',
              scope: orderScope(facts),
              severity: 'stop',
              where: '/program/failsafe',
              about: { how: 'unit' },
              shows: 'this, then turn the transmitter off',
              scripts,
              // Whoever has it fly home already has chosen that.
              when: (now: Moment) => !now.frame.unitDrives,
              holds: ([lost]: readonly Moment[]) => (lost!.frame.unitDrives ? -1 : 1),
              says: ({ state }: Found) =>
                `With the signal lost the unit flies home by itself and may run the motor (${state}); you did not choose that.`,
            } as const,
          ]),
    ];
  },
};

/** Opens the throttle from where it rests: thrust at each place, and what its other side gives. */
function opened(rest: number, places: readonly number[], seen: readonly Moment[]) {
  let peak = 0;
  let fall = 0;
  let behind = 0;
  places.forEach((place, i) => {
    const pct = most(seen[i]!);
    if (place < rest) behind = Math.max(behind, pct);
    else {
      fall = Math.max(fall, peak - pct);
      peak = Math.max(peak, pct);
    }
  });
  return { fall, behind, full: most(seen.at(-1)!) };
}

export const throttleRises: Requirement = {
  id: 'throttle',
  title: 'More throttle is more thrust',
  must: `In every state thrust rises, or stays, all the way as the throttle opens; the other side of a trigger gives none; and in some state full throttle gives at least ${WORTH_PCT} %.`,
  from: 'Whoever opens the throttle expects more, never less.',
  leavesOut: 'Reverse and brake of a controller below its stop pulse.',
  applies: hasMotor,
  looksAt: (facts) => facts.motorChannels,
  claims(facts) {
    const throttle = throttleOf(facts);
    if (!throttle) return [];
    const { at, id, rest, label } = throttle;
    const both = opposing(facts);
    const common = {
      form: 'sweep',
      control: at,
      spread: 9,
      scope: scopeOf(facts, both ? { hands: [both.off] } : {}),
      severity: 'stop',
      where: throttlePath(facts),
      shows: `${label} opened`,
    } as const;
    return [
      {
        ...common,
        key: 'rises',
        asked: 'always',
        about: { control: id, how: 'falls' },
        holds(places: readonly number[], seen: readonly Moment[]) {
          const { fall, behind } = opened(rest, places, seen);
          return Math.min(FALLS_PCT - fall, RUNS_PCT - behind);
        },
        says({ seen, state }) {
          const places = seen.map((m) => m.hands[at]!);
          const { fall, behind } = opened(rest, places, seen);
          return behind > RUNS_PCT
            ? {
                says: `${label} moved the other way runs the motor at ${behind.toFixed(0)} % (${state}).`,
                about: { how: 'behind', figure: behind },
                then: [at, -100],
              }
            : {
                says: `Thrust falls by ${fall.toFixed(0)} % while the throttle opens (${state}).`,
                about: { how: 'falls', figure: fall },
                then: [at, 100],
              };
        },
      },
      {
        ...common,
        key: 'runs',
        asked: 'somewhere',
        about: { control: id, how: 'weak' },
        holds: (places: readonly number[], seen: readonly Moment[]) =>
          opened(rest, places, seen).full - WORTH_PCT,
        says: ({ seen }) => ({
          says: `Full throttle gives ${most(seen.at(-1)!).toFixed(0)} % at most, wherever everything else stands.`,
          about: { figure: most(seen.at(-1)!) },
          then: [at, 100],
        }),
      },
    ];
  },
};
