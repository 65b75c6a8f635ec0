import { kindOf, type Axis, type Mode } from '../../setup';
import type { Act, Attitude, Claim, Facts, Found, Moment, Script } from '../engine';
import { GAIN_NONE_PCT, orderScope, type Requirement } from './requirement';

/** Held longer than this before it acts, panic comes too late. Planning figure, no source. */
const SLOW_S = 1.5;
/** Pressing longer than this is no panic recovery any more. */
const GIVEN_UP_S = 8;
/** A surface gives at least this share of its throw against a model on its side. Planning figure, no source. */
const USEFUL_SHARE = 0.08;
/** A gain that differs by less is the same. */
const SAME_PCT = 1;
const LONG_S = 60;

/** Attitudes panic is asked in: the axis it must be brought back about, and the side it lies on. */
const TIPPED: readonly { axis: Axis; sense: 1 | -1; look: Attitude }[] = [
  { axis: 'roll', sense: 1, look: { rollDeg: 60 } },
  { axis: 'roll', sense: -1, look: { rollDeg: -60 } },
  { axis: 'roll', sense: 1, look: { rollDeg: 170 } },
  { axis: 'roll', sense: -1, look: { rollDeg: -170 } },
  { axis: 'pitch', sense: 1, look: { pitchDeg: 50 } },
  { axis: 'pitch', sense: -1, look: { pitchDeg: -50 } },
];
/** The model still, then in each of them: what one time of a script shows. */
const LOOKS: readonly Act[] = [{ look: {} }, ...TIPPED.map(({ look }): Act => ({ look }))];

/** What pressing panic does from a state. */
export interface PanicAnswer {
  righted: boolean;
  mode: Mode;
  /** Least gain of roll and pitch while it acts, percent. */
  gainPct: number;
  /** From the press until the unit levels the model, in milliseconds, the unit's delay included. */
  afterMs: number;
}

/** Times after the press at which is looked: at once, whenever something may have run out, in time, and long after. */
const timesOf = (facts: Facts): number[] =>
  [...new Set([0, ...facts.times(GIVEN_UP_S), SLOW_S, GIVEN_UP_S])].toSorted((a, b) => a - b);

/** Panic pressed and held, with every look at every time. */
function held(facts: Facts): Script {
  const { at, value } = facts.panic!;
  let passed = 0;
  return [
    { hand: at, to: value },
    ...timesOf(facts).flatMap((s): Act[] => {
      const waitS = s - passed;
      passed = s;
      return [...(waitS > 0 ? [{ waitS }] : []), ...LOOKS];
    }),
  ];
}

/** A brush, and a press that is held on. */
const HOLDS_S = [0, GIVEN_UP_S] as const;
const SETTLE: readonly Act[] = [{ waitS: 2 * GIVEN_UP_S }, { look: {} }];

/** Pressed for a while and released, for each of some whiles; last the same wait without a press. */
const releasedAfter = ({ panic }: Facts, holds: readonly number[]): Script[] => [
  ...holds.map((waitS): Script => [
    { hand: panic!.at, to: panic!.value },
    ...(waitS > 0 ? [{ waitS }] : []),
    { back: panic!.at },
    ...SETTLE,
  ]),
  [{ waitS: holds.at(-1)! }, ...SETTLE],
];

/** How strongly the surfaces work the model back, from the still look and the tipped ones: below zero it is not enough. */
function strength(facts: Facts, looks: readonly Moment[]): number {
  const { airframe, unit } = facts.setup;
  const still = looks[0]!.frame.surfaceDeg;
  let least = Infinity;
  TIPPED.forEach(({ axis, sense }, n) => {
    if (!unit.traits.axes.includes(axis) || !facts.surfaces.authority.some((a) => a[axis])) return;
    const { surfaceDeg } = looks[n + 1]!.frame;
    let answers = false;
    airframe.surfaces.forEach((_, s) => {
      const moment = facts.surfaces.authority[s]![axis];
      if (!moment || !facts.surfaces.stabilized[s]) return;
      answers = true;
      const moved = surfaceDeg[s]! - still[s]!;
      least = Math.min(least, -moment * sense * moved - USEFUL_SHARE * facts.surfaces.throwDeg[s]!);
    });
    if (!answers) least = Math.min(least, -1);
  });
  // A unit that knows neither axis rights nothing.
  return Number.isNaN(least) || least === Infinity ? -1 : least;
}

/** The least gain of roll and pitch. */
function gainOf(facts: Facts, { frame }: Moment): number {
  const gains = (['roll', 'pitch'] as const).flatMap((axis, i) =>
    facts.setup.unit.traits.axes.includes(axis) ? [frame.gainPct[i]!] : [],
  );
  return Math.min(...gains, 1000);
}

/** The looks of a script, time by time. */
const byTime = (seen: readonly Moment[]): Moment[][] =>
  Array.from(
    { length: Math.floor(seen.length / LOOKS.length) },
    (_, i) => seen.slice(i * LOOKS.length, (i + 1) * LOOKS.length) as Moment[],
  );

/** From when on the surfaces right the model while panic is held: seconds after the press; undefined: never for good. */
function rightsFrom(facts: Facts, seen: readonly Moment[]): number | undefined {
  const strengths = byTime(seen).map((looks) => strength(facts, looks));
  const last = strengths.findLastIndex((s) => s < 0);
  return last === strengths.length - 1 ? undefined : timesOf(facts)[last + 1];
}

const modeAt = (facts: Facts, seen: readonly Moment[]): Moment =>
  byTime(seen)[timesOf(facts).indexOf(SLOW_S)]![0]!;

/** How much what is left after a release differs from what there would have been without the press. */
function leftBehind(after: Moment, untouched: Moment): number {
  const [a, b] = [after.frame, untouched.frame];
  if (a.mode !== b.mode || a.slot !== b.slot) return -100;
  return SAME_PCT - Math.max(...a.gainPct.map((g, i) => Math.abs(g - b.gainPct[i]!)));
}

/** The release after which most is left behind. */
const worstRelease = (seen: readonly Moment[]): Moment =>
  seen
    .slice(0, -1)
    .reduce((a, b) => (leftBehind(b, seen.at(-1)!) < leftBehind(a, seen.at(-1)!) ? b : a));

/** What is played from a state to tell what panic does from it. */
export const panicScripts = (facts: Facts): Script[] => [held(facts)];

/** What pressing panic does, from what its scripts show. */
export function panicAnswer(facts: Facts, seen: readonly Moment[]): PanicAnswer {
  const from = rightsFrom(facts, seen);
  const now = modeAt(facts, seen);
  return {
    righted: from !== undefined,
    mode: now.frame.mode,
    gainPct: gainOf(facts, now),
    afterMs: Math.round((from ?? GIVEN_UP_S) * 1000),
  };
}

const gainless = (facts: Facts, m: Moment): boolean =>
  gainOf(facts, m) <= GAIN_NONE_PCT && m.frame.mode !== 'off';

export const panicRights: Requirement = {
  id: 'panic',
  title: 'Panic brings the model back to level from everywhere',
  must: `From every state, with panic pressed for ${SLOW_S} s at most and for as long as it is held, the surfaces work the model back from either side, from nose up and down and from inverted, with useful authority; and releasing it, after a moment or after a long time, restores what was there.`,
  from: 'The choice of panic recovery.',
  leavesOut: 'How fast the model comes round; a position fix that is not there yet.',
  applies: (setup) => !kindOf(setup.airframe).onSurface && setup.airframe.surfaces.length > 0,
  looksAt: (facts) => facts.steering,
  claims(facts) {
    const { panic } = facts;
    if (!panic) return [];
    const control = panic.id;
    const says = (found: Found, m: Moment, how: string) => {
      const { mode } = m.frame;
      const gain = gainOf(facts, m);
      const [of, all] = found.failing;
      const cases = `(${of} of ${all} cases)`;
      return {
        says:
          how === 'no-gain'
            ? `Panic gives ${facts.mode(mode)} with a gain of ${gain.toFixed(0)} % when ${found.state} ${cases}.`
            : mode === 'level' || mode === 'home'
              ? `Panic gives ${facts.mode(mode)} when ${found.state}, and the surfaces do not bring the model back ${cases}.`
              : `Panic gives ${facts.mode(mode)} when ${found.state} ${cases}.`,
        about: { mode, how, figure: gain, states: [of, all] as const },
      };
    };
    const scripts = panicScripts(facts);
    const common = {
      form: 'twin',
      asked: 'always',
      scope: orderScope(facts),
      severity: 'stop',
      where: '/program/lines',
    } as const;
    const rights = (key: 'hole' | 'no-gain'): Claim => ({
      ...common,
      key,
      about: { control },
      shows: 'this, then panic',
      scripts,
      shownUntilS: SLOW_S,
      when: (now) => !now.panicking,
      holds(seen: readonly Moment[]) {
        // What brings no levelling at all, and what brings it without strength, are told apart.
        if (gainless(facts, modeAt(facts, seen)) !== (key === 'no-gain')) return 1;
        const from = rightsFrom(facts, seen);
        if (from !== undefined) return 1;
        return Math.min(
          ...byTime(seen)
            .slice(1)
            .map((looks) => strength(facts, looks)),
          -0.001,
        );
      },
      says: (found) => says(found, modeAt(facts, found.seen), key),
    });
    return [
      rights('hole'),
      rights('no-gain'),
      {
        ...common,
        key: 'slow',
        where: '/program/logic',
        about: { control, how: 'slow' },
        shows: 'this, then panic',
        scripts,
        shownUntilS: SLOW_S,
        when: (now) => !now.panicking,
        holds: (seen: readonly Moment[]) => SLOW_S - (rightsFrom(facts, seen) ?? 0),
        says: ({ seen }) => {
          const s = rightsFrom(facts, seen)!;
          return {
            says: `Panic takes ${s.toFixed(1)} s to act: too late.`,
            about: { figure: s * 1000 },
          };
        },
      },
      {
        ...common,
        key: 'held',
        about: { control },
        shows: 'panic held',
        scripts: [[{ waitS: LONG_S }, ...LOOKS]],
        // Pressed, and held for so long that nothing changes any more by itself.
        when: ({ hands }) => hands[panic.at] === panic.value,
        holds: (seen: readonly Moment[]) => strength(facts, seen),
        says: (found) =>
          says(found, found.seen[0]!, gainless(facts, found.seen[0]!) ? 'no-gain' : 'hole'),
      },
      {
        ...common,
        key: 'released',
        severity: 'caution',
        about: { control, how: 'stuck' },
        shows: 'panic pressed, then released',
        scripts: releasedAfter(facts, HOLDS_S),
        shownUntilS: GIVEN_UP_S,
        when: (now) => !now.panicking && !now.launching,
        holds: (seen: readonly Moment[]) => leftBehind(worstRelease(seen), seen.at(-1)!),
        says({ seen, state }) {
          const [after, untouched] = [worstRelease(seen), seen.at(-1)!].map((m) => m.frame.mode);
          return {
            // A unit left off, or on, where it was not, is found out when it is needed.
            severity: after === untouched ? 'caution' : 'stop',
            says:
              after === untouched
                ? `After panic is released the gain is not what it was (${state}).`
                : `After panic is released the unit stays in ${facts.mode(after!)}; it was in ${facts.mode(untouched!)} (${state}).`,
          };
        },
      },
    ];
  },
  /** A hole while panic is held is the same as one before it is pressed; a fault on release is reported once. */
  told(failures) {
    const seen = new Set<string>();
    return failures.filter((f) => {
      const key = f.about.how ?? '';
      if (seen.has(key)) return false;
      seen.add(key);
      return true;
    });
  },
};
