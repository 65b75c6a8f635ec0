import { kindOf, MODES, type Mode } from '../../setup';
import type { Act, Claim, Facts, Moment } from '../engine';
import { orderScope, type Requirement } from './requirement';

/** An answer smaller than this cannot be seen. */
const SEEN_DEG = 0.5;
const TIPPED = [
  { axis: 'roll', look: { rollDeg: 60 } },
  { axis: 'pitch', look: { pitchDeg: 50 } },
] as const;

/** What the unit does once the signal is lost. */
export interface Lost {
  mode: Mode;
  own: boolean;
  /** The surfaces work a tipped model back: below zero they do not. */
  levels: number;
}

/** The signal lost, two seconds, and the model then tipped. */
export const LOST_SCRIPTS = [
  [{ signal: false }, { waitS: 2 }, { look: {} }, ...TIPPED.map(({ look }): Act => ({ look }))],
] as const;

/** What is seen of it, from its looks. */
export function lostAnswer(facts: Facts, [still, ...tipped]: readonly Moment[]): Lost {
  const { unit, airframe } = facts.setup;
  let levels = Infinity;
  TIPPED.forEach(({ axis }, n) => {
    if (!unit.traits.axes.includes(axis)) return;
    airframe.surfaces.forEach((_, s) => {
      const moment = facts.surfaces.authority[s]![axis];
      if (!moment || !facts.surfaces.stabilized[s]) return;
      const moved = tipped[n]!.frame.surfaceDeg[s]! - still!.frame.surfaceDeg[s]!;
      levels = Math.min(levels, -moment * moved - SEEN_DEG);
    });
  });
  return {
    mode: still!.frame.mode,
    own: still!.frame.failsafeActive,
    levels: levels === Infinity ? -SEEN_DEG : levels,
  };
}

export const signalLost: Requirement = {
  id: 'link-lost',
  title: 'A lost signal does what was chosen',
  must: 'From every state the unit does what the chosen failsafe asks of it; where that asks for an attitude, its surfaces work a tipped model back; where it asks for none, the unit does one thing from everywhere.',
  from: 'The choice of a failsafe; what receiver and unit do together.',
  leavesOut: 'A signal that comes and goes; the way home itself.',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: (facts) => facts.steering,
  claims(facts) {
    const school = facts.setup.intents.program.failsafe?.school;
    const ground = kindOf(facts.setup.airframe).onSurface;
    const refused = school && facts.failsafeRefused(school);
    const common = {
      form: 'twin',
      scope: orderScope(facts),
      where: '/program/failsafe',
      shows: 'this, then turn the transmitter off',
      scripts: LOST_SCRIPTS,
    } as const;
    const claims: Claim[] = [];
    if (!ground && school !== undefined && school !== 'motor-off')
      claims.push({
        ...common,
        key: 'school',
        asked: 'always',
        severity: 'stop',
        about: {},
        holds(seen: readonly Moment[]) {
          const { mode, levels } = lostAnswer(facts, seen);
          if (school === 'home') return mode === 'home' ? 1 : -1;
          return mode === 'level' ? levels : -1;
        },
        says({ seen }) {
          const { mode } = lostAnswer(facts, seen);
          return {
            says:
              school === 'home'
                ? `With the signal lost the unit goes into ${facts.mode(mode)}, not home.`
                : mode === 'level'
                  ? 'With the signal lost the unit levels in name only: the surfaces do not bring a tipped model back.'
                  : `With the signal lost the unit goes into ${facts.mode(mode)}; to ${school} it must level.`,
            about: { mode, how: mode === 'level' ? 'weak' : 'other-mode' },
          };
        },
      });
    // Who chose to have the motor stopped and nothing else has chosen this.
    else if (!ground && school !== 'motor-off')
      claims.push({
        ...common,
        key: 'one mode',
        asked: 'one-of',
        choices: MODES,
        severity: 'caution',
        about: { how: 'as-it-stood' },
        allows: (seen: readonly Moment[], choice: string) =>
          lostAnswer(facts, seen).mode === choice,
        says: ({ state }) =>
          `With the signal lost the unit goes on in whichever mode the switches last stood (${state}).`,
      });
    if (refused !== undefined)
      claims.push({
        form: 'setup',
        key: 'refused',
        failure: {
          // Home that never comes is not found out before the model is gone.
          severity: school === 'home' ? 'stop' : 'caution',
          says: `The failsafe you chose is not possible: ${refused}.`,
          where: '/intents/program/failsafe/school',
          about: { how: 'impossible' },
        },
      });
    return claims;
  },
};
