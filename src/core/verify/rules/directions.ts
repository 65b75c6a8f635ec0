import { compileChain } from '../../chain';
import {
  allExpectations,
  diagnose,
  handsOf,
  movesFor,
  poseOf,
  predictAll,
  type Check,
  type Observation,
} from '../../directions';
import { pointer, type Axis, type Setup } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import type { RuleId } from './ids';

/** What the Setup itself says goes the wrong way, and the changes that would put it right. */
function wrongWays(setup: Setup) {
  const predictions = predictAll(setup);
  const seen = allExpectations(setup).map((expectation) => {
    const { movement } = predictions.get(expectation.check.id)!.get(expectation.surface.id)!;
    return { expectation, movement };
  });
  const wrong = seen.filter(
    (s) => s.movement !== s.expectation.movement && s.movement !== 'centre',
  );
  const hit = (kind: string) =>
    new Map(
      wrong
        .toReversed()
        .filter((s) => s.expectation.check.kind === kind)
        .map((s) => [`${s.expectation.check.axis} ${s.expectation.surface.id}`, s]),
    );
  // Only the axis asked about is given to the diagnosis, so only its changes come back.
  const remedies = (axis: Axis) => {
    const own = seen.filter((s) => s.expectation.check.axis === axis);
    const observations: Observation[] = own.map(({ expectation, movement }) => ({
      check: expectation.check.id,
      surface: expectation.surface.id,
      seen: movement,
    }));
    const { changes, proved } = diagnose(setup, observations);
    if (!proved || changes.length === 0) return [];
    return [
      { label: changes.map((c) => c.title).join('; '), patch: changes.flatMap((c) => c.patch) },
    ];
  };
  return { sticks: hit('stick'), corrections: hit('correction'), remedies };
}

/** Controls away from rest that let a check be seen: the stick held, or the unit on with gain up. */
function handsFor(setup: Setup, check: Check): Record<string, number> {
  const chain = compileChain(setup);
  const [move] = movesFor(chain, check, poseOf(handsOf(setup), check));
  const { controls } = move!;
  return Object.fromEntries(
    setup.transmitter.controls.flatMap((c, i) =>
      controls[i] === c.rest ? [] : [[c.id, controls[i]!]],
    ),
  );
}

type Kind = 'correction' | 'stick' | 'both';

function directionRule(id: RuleId, kind: Kind, title: string, why: string): Rule {
  return {
    id,
    title,
    why,
    explains:
      kind === 'correction'
        ? ['corrections', 'panic', 'link-lost']
        : kind === 'stick'
          ? ['sticks', 'launch']
          : ['sticks', 'corrections', 'launch', 'panic', 'link-lost'],
    check(setup) {
      const { sticks, corrections, remedies } = wrongWays(setup);
      const list =
        kind === 'correction'
          ? [...corrections].filter(([key]) => !sticks.has(key))
          : [...sticks].filter(([key]) => corrections.has(key) === (kind === 'both'));
      return list.map(([, { expectation, movement }]): Found => {
        const { check, surface } = expectation;
        return {
          severity: 'stop',
          says: `When you have ${check.done}, the ${surface.label.toLowerCase()} goes ${movement}; it must go ${expectation.movement}.${
            kind === 'both' ? ' Stick and correction are both the wrong way.' : ''
          }`,
          about: { surface: surface.id },
          where: pointer('airframe', 'surfaces', setup.airframe.surfaces.indexOf(surface)),
          witness: { controls: handsFor(setup, check), words: check.instruction.toLowerCase() },
          remedies: remedies(check.axis),
        };
      });
    },
  };
}

export const correctionReversed = directionRule(
  'M3',
  'correction',
  'Correction the wrong way',
  'A correction in the wrong direction amplifies every disturbance: the model is lost at the first one.',
);
export const stickReversed = directionRule(
  'M4',
  'stick',
  'Control the wrong way',
  'You notice a reversed control only when the model answers the wrong way.',
);
export const bothReversed = directionRule(
  'M5',
  'both',
  'Control and correction both the wrong way',
  'Reversing only one of them leaves the other wrong: the servo or its rod works the opposite way.',
);
