import { AXES, pointer, turnedWords, type Axis, type Mode } from '../../setup';
import type { Claim, Facts, Found, Moment, Script } from '../engine';
import { GAIN_NONE_PCT, orderScope, type Requirement } from './requirement';

/** How fast a hand turns the model, degrees a second; how far it is tipped. */
const TURN_DEG_S = 120;
const TIP_DEG = { roll: 75, pitch: 60 } as const;
/** A correction smaller than this cannot be seen, and stabilizes nothing. */
const SEEN_DEG = 0.5;
/** A surface that has no part in it may take this share of what the others do: a few degrees of skew. */
const STRAY_SHARE = 0.35;

const RATE = { roll: 'rollRateDegPerS', pitch: 'pitchRateDegPerS', yaw: 'yawRateDegPerS' } as const;
const LEVELS: ReadonlySet<Mode> = new Set(['level', 'home', 'trainer']);

/** The model still, turned quickly, and tipped over. */
const TURNED: Readonly<Record<Axis, readonly Script[]>> = {
  roll: [
    [{ look: {} }, { look: { [RATE.roll]: TURN_DEG_S } }, { look: { rollDeg: TIP_DEG.roll } }],
  ],
  pitch: [
    [{ look: {} }, { look: { [RATE.pitch]: TURN_DEG_S } }, { look: { pitchDeg: TIP_DEG.pitch } }],
  ],
  yaw: [[{ look: {} }, { look: { [RATE.yaw]: TURN_DEG_S } }]],
};

/** How far a surface answers: to the turn, and in modes that level to being kept tipped. */
function answer([still, quick, tipped]: readonly Moment[], surface: number): number {
  const rest = still!.frame.surfaceDeg[surface]!;
  const { mode } = still!.frame;
  const damp = quick!.frame.surfaceDeg[surface]! - rest;
  if (!tipped || !LEVELS.has(mode)) return damp;
  const tip = tipped.frame.surfaceDeg[surface]! - rest;
  // A trainer may have nothing to say about a tip; levelling that gives no answer gives none.
  if (Math.abs(tip) < SEEN_DEG) return mode === 'trainer' ? damp : tip;
  // Damping that works against levelling is the one that must be heard of.
  return damp * tip < 0 && Math.abs(damp) >= SEEN_DEG ? -tip : tip;
}

const isOn = ({ frame }: Moment): boolean => frame.mode !== 'off';
const wayKey = ({ frame }: Moment): string => `${frame.mode} ${frame.slot} ${frame.recovering}`;

export const corrections: Requirement = {
  id: 'corrections',
  title: 'Every stabilized surface opposes',
  must: 'In every state in which the unit stabilizes, each stabilized surface works against each turn it can oppose, never with it, and no other surface or motor takes part; in each mode there is a state in which it can be seen.',
  from: 'A correction that goes with the disturbance loses the model; the turning moment of each surface (ISO 1151-1 signs).',
  leavesOut: 'How much: that is found in flight. Sticks held out: the unit lets go.',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: (facts) => facts.steering,
  claims(facts) {
    const { setup } = facts;
    const { airframe, unit, intents } = setup;
    const locked = intents.program.lock !== undefined;
    const scope = orderScope(facts);
    const able = unit.traits.axes.filter((axis) => facts.surfaces.authority.some((a) => a[axis]));
    const gains: Claim = {
      key: 'gain',
      form: 'moment',
      asked: 'somewhere',
      each: ({ frame }) => frame.mode,
      scope,
      severity: locked ? 'caution' : 'stop',
      where: locked ? '/intents/program/lock' : '/program/lines',
      about: { how: 'no-gain' },
      shows: 'gain as high as it goes',
      // Panic has a requirement of its own; an axis tuned to nothing on purpose is no fault here.
      when: (now) => isOn(now) && !now.frame.recovering && able.length > 0,
      holds: ({ frame }) =>
        Math.max(...able.map((a) => frame.gainPct[AXES.indexOf(a)]!)) - GAIN_NONE_PCT,
      says: ({ now }) => ({
        says: locked
          ? 'The gain is locked at off: nothing is corrected, and no correction is proved, until you remove the lock.'
          : `In ${facts.mode(now.frame.mode)} the unit does nothing: no control gives it any gain.`,
        about: { mode: now.frame.mode },
      }),
    };
    return [
      ...facts.surfaces.halves.map(({ alone, corrected }): Claim => ({
        form: 'setup',
        key: `half ${alone}`,
        failure: {
          severity: 'stop',
          says: `The unit stabilizes the ${airframe.surfaces[corrected]!.label.toLowerCase()} and not the ${airframe.surfaces[alone]!.label.toLowerCase()}: one side answers, the other does not.`,
          where: pointer('airframe', 'surfaces', alone),
          about: { surface: airframe.surfaces[alone]!.id, how: 'half' },
        },
      })),
      gains,
      ...able.flatMap((axis) => ofAxis(facts, axis, locked)),
    ];
  },
  /** A surface that goes the wrong way need not be said to be still as well; a locked gain is said once. */
  told(failures) {
    const names = (how: string) =>
      new Set(
        failures.flatMap((f) =>
          f.about.how === how ? [`${f.about.axis} ${f.about.surface ?? ''}`] : [],
        ),
      );
    const reversed = names('reversed');
    const told = new Set<string>();
    return failures.filter(({ about, where }) => {
      const subject = `${about.axis} ${about.surface ?? ''}`;
      if (about.how === 'still' && reversed.has(subject)) return false;
      const once =
        where === '/intents/program/lock' ? 'lock' : `${about.how} ${subject} ${about.mode ?? ''}`;
      const key = about.how === 'still' || about.how === 'motor' ? `${about.how} ${subject}` : once;
      if (told.has(key)) return false;
      told.add(key);
      return true;
    });
  },
};

function ofAxis(facts: Facts, axis: Axis, locked: boolean): Claim[] {
  const { setup } = facts;
  const { airframe, unit } = setup;
  const scripts = TURNED[axis];
  const turned = turnedWords(axis, 1, airframe);
  const at = AXES.indexOf(axis);
  const common = {
    form: 'twin',
    scope: orderScope(facts),
    severity: 'stop',
    scripts,
    shows: turned,
    when: (now: Moment) => isOn(now) && now.frame.gainPct[at]! > GAIN_NONE_PCT && !locked,
  } as const;
  const inMode = ({ seen }: Found) => facts.mode(seen[0]!.frame.mode);
  const works = airframe.surfaces.flatMap((_, s) =>
    facts.surfaces.authority[s]![axis] && facts.surfaces.stabilized[s] ? [s] : [],
  );
  const main = (seen: readonly Moment[]) =>
    Math.max(
      0,
      ...airframe.surfaces.map((_, s) =>
        facts.surfaces.authority[s]![axis] ? Math.abs(answer(seen, s)) : 0,
      ),
    );
  const motor = ([still, ...others]: readonly Moment[]) =>
    Math.max(
      0,
      ...others.flatMap(({ frame }) =>
        [...frame.motorPct].map((pct, i) => Math.abs(pct - still!.frame.motorPct[i]!)),
      ),
    );
  const ofSurface = (s: number): Claim[] => {
    const surface = airframe.surfaces[s]!;
    const moment = facts.surfaces.authority[s]![axis];
    const where = pointer('airframe', 'surfaces', s);
    const about = (how: string) => ({ axis, surface: surface.id, how });
    const name = surface.label.toLowerCase();
    if (!moment)
      return [
        {
          ...common,
          key: `${axis} ${surface.id} alone`,
          asked: 'always',
          where,
          about: about('stray'),
          holds: (seen: readonly Moment[]) =>
            Math.max(SEEN_DEG, STRAY_SHARE * main(seen)) - Math.abs(answer(seen, s)),
          says: (found) => ({
            says: `In ${inMode(found)}, with the model ${turned}, the ${name} goes ${facts.surfaces.goes(s, answer(found.seen, s))}; it must not move.`,
            about: { mode: found.seen[0]!.frame.mode, figure: answer(found.seen, s) },
          }),
        },
      ];
    if (!facts.surfaces.stabilized[s]) return [];
    const must = facts.surfaces.goes(s, -moment * 10);
    const says = (found: Found) => {
      const deg = answer(found.seen, s);
      const goes = facts.surfaces.goes(s, deg);
      return {
        says: `In ${inMode(found)}, with the model ${turned}, the ${name} ${
          goes === 'centre' ? 'does not answer' : `goes ${goes}`
        }; it must go ${must}.`,
        about: { mode: found.seen[0]!.frame.mode, figure: deg },
      };
    };
    return [
      {
        ...common,
        key: `${axis} ${surface.id} opposes`,
        asked: 'always',
        where,
        about: about('reversed'),
        holds: (seen: readonly Moment[]) => SEEN_DEG - moment * answer(seen, s),
        says,
      },
      {
        ...common,
        key: `${axis} ${surface.id} answers`,
        asked: 'somewhere',
        each: wayKey,
        where,
        about: about('still'),
        holds: (seen: readonly Moment[]) => -moment * answer(seen, s) - SEEN_DEG,
        says,
      },
    ];
  };
  return [
    ...airframe.surfaces.flatMap((_, s) => ofSurface(s)),
    {
      ...common,
      key: `${axis} motor`,
      asked: 'always',
      // Half up, as far as its cut lets it: at its stop nothing would be seen.
      ...(facts.throttle < 0 ? {} : { scope: orderScope(facts, { hands: [[facts.throttle, 0]] }) }),
      where: '/unit/settings/outputs',
      about: { axis, how: 'motor' },
      holds: (seen: readonly Moment[]) => 1 - motor(seen),
      says: (found) => ({
        says: `In ${inMode(found)}, with the model ${turned}, the motor changes by ${motor(found.seen).toFixed(0)} %: its output is stabilized.`,
        about: { mode: found.seen[0]!.frame.mode },
      }),
    },
    // A yaw axis of three may rest; the only axis of a unit may not.
    ...(works.length === 0 && !locked && (axis !== 'yaw' || unit.traits.axes.length === 1)
      ? [unanswered(facts, axis)]
      : []),
  ];
}

/** Nothing answers an axis: on purpose where every output for it was set to pass the sticks on, and then only said. */
function unanswered({ setup, surfaces }: Facts, axis: Axis): Claim {
  const none = !surfaces.stabilized.includes(true);
  return {
    form: 'setup',
    key: `${axis} unanswered`,
    failure: {
      severity: none || setup.unit.traits.axes.length === 1 ? 'stop' : 'caution',
      says: `No surface that works against ${axis} is on an output the unit stabilizes: nothing answers a ${axis}. Leave it so only if that is your choice.`,
      where: '/unit/settings/outputs',
      about: { axis, how: 'unsteadied' },
    },
  };
}
