import type { Gesture } from '../../chain';
import { kindOf, pointer } from '../../setup';
import type { Claim, Facts } from '../engine';
import type { Requirement } from './requirement';

export const gestureReached: Requirement = {
  id: 'gesture',
  title: 'Gestures reach the unit, and nothing else is taken for one',
  must: 'Sticks held where the leaflet shows them send the pulses the unit waits for, and far enough; no other control triggers a gesture when it is moved quickly.',
  from: 'The unit starts a capture by a corner of the sticks or by a channel that is flicked, and looks at pulses.',
  leavesOut:
    'Gestures by a button; a flick with the mode switch itself; whether it hears a gesture in flight.',
  applies: ({ airframe }) => !kindOf(airframe).onSurface,
  looksAt: (facts) => [...new Set([...facts.cornerChannels, ...facts.gestures.channels])],
  claims: (facts) => [...corner(facts), ...reached(facts), ...byAccident(facts)],
};

/** Sticks that reach the unit reversed: the corner of the leaflet is another one. */
function corner(facts: Facts): Claim[] {
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
}

/** Full stick reaches the corner, in at least one position of a switch. */
const reached = (facts: Facts): Claim[] => {
  const all = facts.gestures.missed();
  return [...new Set(all.map((m) => m.stick))].map((stick, i) => {
    const missed = all.filter((m) => m.stick === stick);
    const { output, control } = missed[0]!;
    const what = missed.map(({ gesture }) => `“${gesture.for}”`).join(', ');
    const pct = (100 * Math.max(0, Math.min(...missed.map((m) => m.reaches)))).toFixed(0);
    const needs =
      missed.length === 1 ? `The gesture for ${what} needs` : `The gestures for ${what} need`;
    return {
      form: 'setup',
      key: `short ${i}`,
      failure: {
        severity: 'caution',
        says:
          output < 0
            ? `${needs} the ${stick} stick, and no channel carries it: the unit never hears this.`
            : `${needs} a full ${stick} stick. The unit gets only ${pct} % of what usually counts as full: it may never hear this.`,
        where: output < 0 ? '/program/outputs' : pointer('program', 'outputs', output),
        about: { ...(control ? { control } : {}), how: 'short' },
      },
    };
  });
};

/** No other control triggers a flicked gesture. */
const byAccident = (facts: Facts): Claim[] =>
  facts.gestures.accidents().map(({ gesture, control, to }) => ({
    form: 'setup',
    key: `accident ${facts.setup.transmitter.controls[control]!.id}`,
    failure: {
      severity: 'caution',
      says: `${facts.stands(control, to)}, then back, ${times(gesture)}, is also the unit’s gesture for “${gesture.for}”: it may be captured in flight, in whatever attitude the model has then.`,
      where: pointer('unit', 'traits', 'levelCapture'),
      about: { control: facts.setup.transmitter.controls[control]!.id, how: 'accident' },
    },
  }));

const times = ({ by }: Gesture): string =>
  by.kind !== 'flick' || by.times === 1 ? 'once' : `${by.times} times within ${by.withinS} s`;
