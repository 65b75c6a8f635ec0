import { cornerWords, movedSticks } from '../../capture';
import { pointer } from '../../setup';
import { surfaceChannels } from './influence';
import { Looking, type Requirement } from './requirement';

export const gestureReached: Requirement = {
  id: 'gesture',
  title: 'The leaflet’s stick corner is the unit’s',
  must: 'Sticks held where the leaflet shows them send the pulses the unit waits for.',
  from: 'The unit starts a capture by a corner of the sticks, and looks at pulses.',
  applies: (setup) => setup.unit.traits.captureGestures.includes('stick-corners'),
  looksAt: surfaceChannels,
  check({ setup }) {
    const looking = new Looking();
    looking.states = 1;
    const moved = movedSticks(setup);
    const [first] = moved;
    if (!first) return looking;
    const words = cornerWords(setup);
    return looking.fail({
      severity: 'caution',
      says: `For a stick-corner capture: ${words[0]!.toLowerCase()}${words.slice(1)} ${moved.length > 1 ? 'These channels are' : 'This channel is'} reversed on the way to the unit.`,
      where: pointer('program', 'outputs', first.output, 'reversed'),
      about: { how: 'moved' },
    });
  },
};
