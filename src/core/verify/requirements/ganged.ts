import { pointer } from '../../setup';
import type { Claim, Moment, Told } from '../engine';
import { TURNING } from './linkages';
import { onceAPlace, orderScope, surfaceScope, type Requirement } from './requirement';

/**
 * Servos on one part may ask for angles so far apart: rods and gears give by that. Beyond the second they pull
 * against each other. Common practice, no source.
 */
const MATCHED_DEG = 2;
const FIGHT_DEG = 6;

/** Servos that move one part, each by a rod of its own. */
export const gangedTogether: Requirement = {
  id: 'ganged',
  title: 'Servos on one part pull together',
  must: 'Wherever the controls and the correction send them, and two seconds after the signal is lost, each servo alone would turn the part to within 2° of where the first would; beyond 6° they pull against each other.',
  from: 'The airframe has a part with several servos; the geometry of each rod.',
  leavesOut: 'Play, and how well centres and ends were matched by hand: what hums is found by ear.',
  applies: ({ airframe }) => airframe.surfaces.some((s) => s.ganged !== undefined),
  looksAt: (facts) => facts.steering,
  claims: (facts) =>
    facts.surfaces.ganged.flatMap(({ surface: s, at, servo, apartDeg }): Claim[] => {
      const part = facts.setup.airframe.surfaces[s]!;
      const apart = ({ frame }: Moment) => {
        const deg = Math.abs(apartDeg(frame));
        // A rod that cannot reach holds the part where it is.
        return Number.isNaN(deg) ? 180 : deg;
      };
      const says = (seen: readonly Moment[]): Told => {
        const deg = Math.max(...seen.map(apart));
        const names = `${servo.label.toLowerCase()} and the first servo of the ${part.label.toLowerCase()}`;
        return deg > FIGHT_DEG
          ? {
              severity: 'stop',
              says: `The ${names} pull against each other: alone they would turn it to angles ${deg.toFixed(0)}° apart.`,
              about: { surface: part.id, how: 'fights' },
            }
          : {
              says: `The ${names} are not matched: alone they would turn it to angles ${deg.toFixed(1)}° apart.`,
            };
      };
      const common = {
        asked: 'always',
        severity: 'caution',
        where: pointer('airframe', 'surfaces', s, 'ganged', at),
        about: { surface: part.id, how: 'unmatched' },
      } as const;
      const twin = {
        ...common,
        form: 'twin',
        holds: (seen: readonly Moment[]) => MATCHED_DEG - Math.max(...seen.map(apart)),
        says: ({ seen }: { seen: readonly Moment[] }) => says(seen),
      } as const;
      return [
        {
          ...common,
          key: `${servo.id} hands`,
          form: 'moment',
          scope: surfaceScope(facts, s, 'anywhere'),
          shows: 'where they differ most',
          holds: (now) => MATCHED_DEG - apart(now),
          says: ({ now }) => says([now]),
        },
        {
          ...twin,
          key: `${servo.id} correction`,
          scope: orderScope(facts),
          shows: 'the model turned',
          scripts: TURNING,
        },
        {
          ...twin,
          key: `${servo.id} lost`,
          scope: surfaceScope(facts, s, 'released'),
          shows: 'this, then turn the transmitter off',
          scripts: [[{ signal: false }, { waitS: 2 }, { look: {} }]],
        },
      ];
    }),
  // One place, told once: where they pull against each other before where they are not matched.
  told: (failures) =>
    onceAPlace(
      failures.toSorted(
        (a, b) => Number(b.about.how === 'fights') - Number(a.about.how === 'fights'),
      ),
    ),
};
