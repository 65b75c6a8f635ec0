import { kindOf, pointer } from '../../setup';
import type { Requirement } from './requirement';

export const gestureReached: Requirement = {
  id: 'gesture',
  title: 'The unit reads the leaflet’s stick corner as shown',
  must: 'Sticks held where the leaflet shows them send the pulses the unit waits for.',
  from: 'The unit starts a capture by a corner of the sticks, and looks at pulses.',
  leavesOut: 'Gestures by a button or a switch.',
  applies: ({ airframe }) => !kindOf(airframe).onSurface,
  looksAt: (facts) => facts.cornerChannels,
  claims(facts) {
    const moved = facts.hasCorner ? facts.movedCorner() : undefined;
    if (!moved) return [];
    const { words } = moved;
    return [
      {
        form: 'setup',
        key: 'corner',
        failure: {
          severity: 'caution',
          says: `For a stick-corner capture: ${words[0]!.toLowerCase()}${words.slice(1)} ${moved.several ? 'These channels are' : 'This channel is'} reversed on the way to the unit.`,
          where: pointer('program', 'outputs', moved.output, 'reversed'),
          about: { how: 'moved' },
        },
      },
    ];
  },
};
