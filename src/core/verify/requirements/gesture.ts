import { cornerWords, levelCorner, movedSticks } from '../../capture';
import { pointer } from '../../setup';
import { surfaceChannels } from './influence';
import { Looking, type Requirement } from './requirement';

export const gestureReached: Requirement = {
  id: 'gesture',
  title: 'The leaflet’s stick corner is the unit’s',
  must: 'Sticks held where the leaflet shows them send the pulses the unit waits for.',
  from: 'The unit starts a capture by a corner of the sticks, and looks at pulses.',
  applies: (setup) =>
    setup.unit.traits.captureGestures.includes('stick-corners') || levelCorner(setup).length > 0,
  looksAt: surfaceChannels,
  check({ setup }) {
    const looking = new Looking();
    looking.states = 1;
    // A corner that is written down concerns its own sticks; any other may be any of them.
    const corner = levelCorner(setup).map((c) => c.stick);
    const any = setup.unit.traits.captureGestures.includes('stick-corners');
    const moved = movedSticks(setup).filter((m) => any || corner.includes(m.stick));
    const [first] = moved;
    if (!first) return looking;
    const words = cornerWords(moved);
    return looking.fail({
      severity: 'caution',
      says: `For a stick-corner capture: ${words[0]!.toLowerCase()}${words.slice(1)} ${moved.length > 1 ? 'These channels are' : 'This channel is'} reversed on the way to the unit.`,
      where: pointer('program', 'outputs', first.output, 'reversed'),
      about: { how: 'moved' },
    });
  },
};
