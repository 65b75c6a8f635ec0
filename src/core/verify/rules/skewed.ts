import { skewLeak } from '../../level';
import { AXES, pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

/** Fitted by eye, a few degrees are not seen; beyond this the leak is felt. Common practice, no source. */
const SQUARE_DEG = 3;

export const skewed: Rule = {
  id: 'M20',
  title: 'Fixed askew',
  why: 'A unit that is not square to the airframe takes part of one movement for another: a roll wags the tail.',
  explains: ['corrections'],
  check(setup): Found[] {
    const { skewDeg } = setup.installation;
    return AXES.flatMap((axis): Found[] => {
      const deg = Math.abs(skewDeg[axis]);
      if (deg <= SQUARE_DEG) return [];
      return [
        {
          severity: deg > 10 ? 'stop' : 'caution',
          says: `Turned ${deg}° about the ${axis} axis, it leaks ${(skewLeak(deg) * 100).toFixed(0)} % of one axis into another.`,
          where: pointer('installation', 'skewDeg', axis),
          remedies: [
            {
              label: 'Written down as fixed square again, after you have',
              patch: [{ op: 'replace', path: pointer('installation', 'skewDeg', axis), value: 0 }],
            },
          ],
        },
      ];
    });
  },
};
