import { leftovers } from '../../capture';
import { learnTravel } from '../../plan';
import {
  functionOf,
  handWords,
  kindOf,
  LEFT_FIRST,
  taughtByDriving,
  type ChannelFunction,
  type Setup,
} from '../../setup';
import type { Found, Remedy } from '../finding';
import type { Rule } from '../rule';

/** A pulse end further off than this is another end. */
const SAME_US = 8;

/** What the person calls the channel a unit files an axis under. */
const nameOf = ({ airframe }: Setup, carries: ChannelFunction): string =>
  kindOf(airframe).onSurface && carries === 'rudder' ? 'steering' : functionOf(carries).words;

/** What capturing centres and travel now would leave in the unit. */
export function captureAgain(setup: Setup): Remedy[] {
  return [
    {
      label: taughtByDriving(setup.unit)
        ? `Let it learn again: ${LEFT_FIRST}`
        : 'Capture centres and travel again, trims as they stand',
      patch: [{ op: 'add', path: '/installation/travelCapture', value: learnTravel(setup) }],
    },
  ];
}

export const centreMoved: Rule = {
  id: 'M15',
  title: 'The unit reads the trim as a held control',
  why: 'Trimmed in off mode and not captured again: the unit reads the remaining offset as a held control.',
  check: (setup) =>
    leftovers(setup).map(({ axis, pct, becomes }): Found => ({
      severity: 'caution',
      says: `With the ${handWords(setup.transmitter).all} released the unit reads ${Math.abs(pct).toFixed(0)} % of ${axis}, ${becomes}.`,
      where: '/installation/travelCapture',
      witness: { controls: {}, words: 'nothing touched' },
      remedies: captureAgain(setup),
    })),
};

export const travelMoved: Rule = {
  id: 'M16',
  title: 'Endpoints or direction changed after the travel capture',
  why: 'The unit still uses the travel it learned: it fades too early or too late, or reads your control reversed.',
  explains: ['corrections'],
  check(setup): Found[] {
    const taught = setup.installation.travelCapture;
    if (!taught) return [];
    const now = learnTravel(setup);
    return taught.flatMap((t, i): Found[] => {
      const n = now.find((c) => c.carries === t.carries);
      if (!n) return [];
      const turned = n.sense !== t.sense;
      const moved = Math.max(Math.abs(n.minUs - t.minUs), Math.abs(n.maxUs - t.maxUs)) > SAME_US;
      if (!turned && !moved) return [];
      return [
        {
          severity: turned ? 'stop' : 'caution',
          says: turned
            ? `The ${nameOf(setup, t.carries)} was reversed after the unit learned it: its correction still goes the old way.`
            : `The ${nameOf(setup, t.carries)} goes from ${n.minUs.toFixed(0)} to ${n.maxUs.toFixed(0)} µs now; the unit learned ${t.minUs.toFixed(0)} to ${t.maxUs.toFixed(0)} µs.`,
          where: `/installation/travelCapture/${i}`,
          remedies: captureAgain(setup),
        },
      ];
    });
  },
};
