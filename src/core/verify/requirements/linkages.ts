import { driveAt, drivesOf, pointer, type Setup } from '../../setup';
import type { Claim, Moment } from '../engine';
import { onceAPlace, orderScope, surfaceScope, type Requirement } from './requirement';

/** A rod that turns its surface back by less than this is not seen to. */
const BACK_DEG = 0.5;

/** How far the model may be turned, and how fast: what the correction answers on top. */
const TURNED = [
  { rollRateDegPerS: 200 },
  { rollRateDegPerS: -200 },
  { pitchRateDegPerS: 200 },
  { pitchRateDegPerS: -200 },
  { yawRateDegPerS: 200 },
  { yawRateDegPerS: -200 },
  { rollDeg: 80 },
  { rollDeg: -80 },
  { pitchDeg: 70 },
  { pitchDeg: -70 },
] as const;
export const TURNING = [TURNED.map((look) => ({ look }))];

/** Every rod of a model: of which part, by position, and as the servo at its other end moves that part. */
const rodsOf = ({ airframe }: Setup) =>
  airframe.surfaces.flatMap((surface, at) =>
    drivesOf(surface).map((drive, d) => ({
      surface,
      at,
      drive,
      where: pointer('airframe', 'surfaces', at, ...driveAt(d)),
      name: (d === 0
        ? surface
        : airframe.servos.find((s) => s.id === drive.servo)!
      ).label.toLowerCase(),
    })),
  );

/** Rods: free all the way, and turning one way all the way. */
export const linkagesFree: Requirement = {
  id: 'linkages',
  title: 'No linkage locks inside the travel used',
  must: 'Wherever the controls and the correction send its servo, each rod follows and its surface never reverses on the way.',
  from: 'Geometry of the rod between servo arm and horn.',
  leavesOut:
    'The full stick and the full correction together: the unit lets go as the stick goes out.',
  applies: ({ airframe }) => airframe.surfaces.length > 0,
  looksAt: (facts) => facts.steering,
  // By the stick, by the correction, or by both: it is one rod.
  told: onceAPlace,
  claims: (facts) =>
    rodsOf(facts.setup).flatMap(({ surface, at: s, drive, where, name }): Claim[] => {
      const servo = facts.setup.airframe.servos.findIndex((v) => v.id === drive.servo);
      const [low, high] = facts.surfaces.freeDeg(drive, BACK_DEG);
      if (!Number.isFinite(low) && !Number.isFinite(high)) return [];
      const room = ({ frame }: Moment) =>
        Math.min(frame.servoDeg[servo]! - low, high - frame.servoDeg[servo]!, 180);
      const common = {
        asked: 'always',
        severity: 'stop',
        where: `${where}/linkage/armMm`,
        about: { surface: surface.id, how: 'locks' },
        shows: 'the servo at its end',
      } as const;
      const says = (worst: Moment) => {
        const deg = worst.frame.servoDeg[servo]!;
        return `The rod of the ${name} locks or turns back at ${(deg < 0 ? low : high).toFixed(0)}° of servo travel; the servo is sent to ${deg.toFixed(0)}°.`;
      };
      return [
        {
          ...common,
          key: `${drive === surface ? surface.id : drive.servo} hands`,
          form: 'moment',
          scope: surfaceScope(facts, s, 'anywhere'),
          holds: room,
          says: ({ now }) => says(now),
        },
        {
          ...common,
          key: `${drive === surface ? surface.id : drive.servo} correction`,
          form: 'twin',
          scope: orderScope(facts),
          scripts: TURNING,
          holds: (seen) => Math.min(...seen.map(room)),
          says: ({ seen }) => says(seen.reduce((a, b) => (room(b) < room(a) ? b : a))),
        },
      ];
    }),
};
