import { skewLeak } from '../../level';
import { eulerMatrix } from '../../space';
import { AXES, pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

/** Fitted by estimate, a few degrees are not seen; beyond this the leak is felt. Common practice, no source. */
const SQUARE_DEG = 3;

export const skewed: Rule = {
  id: 'M20',
  title: 'Mounted out of square',
  why: 'A unit that is not square to the airframe takes part of one movement for another: a roll wags the tail.',
  explains: ['corrections', 'level', 'panic', 'link-lost'],
  check(setup): Found[] {
    const { skewDeg } = setup.installation;
    const found = AXES.flatMap((axis): Found[] => {
      const deg = Math.abs(skewDeg[axis]);
      if (deg <= SQUARE_DEG) return [];
      return [
        {
          severity: deg > 10 ? 'stop' : 'caution',
          says: `Turned ${deg}° about the ${axis} axis, it leaks ${(skewLeak(deg) * 100).toFixed(0)} % of ${LEAKS[axis]} into each other.`,
          where: pointer('installation', 'skewDeg', axis),
          remedies: [
            {
              label: 'I have refitted it square: record that',
              patch: [{ op: 'replace', path: pointer('installation', 'skewDeg', axis), value: 0 }],
            },
          ],
        },
      ];
    });
    if (found.length > 0) return found;
    // Three small ones add up: the one turn they come to.
    const m = eulerMatrix(skewDeg.roll, skewDeg.pitch, skewDeg.yaw);
    const all =
      (Math.acos(Math.max(-1, Math.min(1, (m[0] + m[4] + m[8] - 1) / 2))) * 180) / Math.PI;
    if (all <= SQUARE_DEG) return [];
    return [
      {
        severity: 'caution',
        says: `Its small turns about several axes add up to ${all.toFixed(1)}° in all.`,
        where: '/installation/skewDeg',
        remedies: [
          {
            label: 'I have refitted it square: record that',
            patch: [
              {
                op: 'replace',
                path: '/installation/skewDeg',
                value: { roll: 0, pitch: 0, yaw: 0 },
              },
            ],
          },
        ],
      },
    ];
  },
};

/** What a turn about each axis mixes up. */
const LEAKS = { roll: 'pitch and yaw', pitch: 'roll and yaw', yaw: 'roll and pitch' } as const;
