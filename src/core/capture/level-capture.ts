import { modeWords } from '../chain';
import { gestureKey, leafletWord, withOwn, type Setup } from '../setup';
import { STICK_ENDS, movedSticks, type StickName } from './corner';

/** Sticks of the corner that teaches level, where the unit has one; none where it is taught otherwise. */
export function levelCorner({ unit }: Setup): { stick: StickName; at: -100 | 100 }[] {
  const { levelCapture } = unit.traits;
  if (levelCapture?.by !== 'corner') return [];
  return levelCapture.holds.flatMap(({ stick, at }) =>
    stick in STICK_ENDS ? [{ stick: stick as StickName, at }] : [],
  );
}

/** What is done to teach this unit what level is, as an instruction without its full stop. */
export const levelCaptureWords = (setup: Setup): string =>
  withOwn(leafletWord(setup.unit, gestureKey('level')), howTo(setup));

function howTo(setup: Setup): string {
  const { traits } = setup.unit;
  const how = traits.levelCapture ?? { by: 'menu' as const };
  switch (how.by) {
    case 'menu':
      return 'capture level in its menu';
    case 'button':
      return `press its button ${how.presses === 1 ? 'once' : `${how.presses} times`}`;
    case 'corner': {
      const moved = new Set(movedSticks(setup).map((m) => m.stick));
      const holds = levelCorner(setup).map(({ stick, at }) => {
        const [low, high] = STICK_ENDS[stick];
        return `the ${stick} stick ${at > 0 === moved.has(stick) ? low : high}`;
      });
      const where = how.mode ? `in ${modeWords(setup.unit, how.mode)}, ` : '';
      return `${where}hold ${holds.join(' and ')} for ${how.seconds} s`;
    }
    case 'flick':
      return `flick the mode switch from end to end and back ${times(how.times)} within ${how.withinS} s`;
    case 'power-up':
      return 'leave it lying still just so while it is switched on: it takes level at every power-up';
    case 'channel':
      return `take the capture channel off its middle and back ${times(how.times)} within ${how.withinS} s`;
  }
}

const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);
