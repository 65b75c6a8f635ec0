import { allExpectations, crossExpectations, predictAll } from '../directions';
import type { Setup } from '../setup';
import { readBacksOf } from '../sheets';
import { TESTS, testOf } from './tests';

/** What is to be done and seen, by the name of a piece of evidence, as far as it was asked for yet. */
type Answers = Map<string, readonly unknown[]>;

const known = new WeakMap<Setup, Map<string, Answers>>();

/**
 * What the chain says is to be done and seen for a piece of evidence. Whatever it is that makes it
 * say something else, the evidence no longer speaks of this model. Names a person gave are taken
 * out: another name is the same thing.
 * @returns undefined where the Setup no longer asks for it
 */
export function askedOf(setup: Setup, check: string, surface: string): unknown {
  const groups = known.get(setup) ?? new Map<string, Answers>();
  known.set(setup, groups);
  const group = testOf(check) ? check : check.startsWith('read:') ? 'read' : 'directions';
  const answers = groups.get(group) ?? WORKED_OUT[group]?.(setup) ?? scripted(setup, check);
  groups.set(group, answers);
  return answers.get(`${check} ${surface}`);
}

const WORKED_OUT: Record<string, ((setup: Setup) => Answers) | undefined> = {
  read: (setup) =>
    new Map(
      readBacksOf(setup).map((r) => [
        `read:${r.id} ch${r.channel}`,
        [r.controls, Math.round(r.predictedPct)],
      ]),
    ),
  directions(setup) {
    const predictions = predictAll(setup);
    return new Map(
      [...allExpectations(setup), ...crossExpectations(setup)].map((e) => [
        `${e.check.id} ${e.surface.id}`,
        [e.check.instruction, e.movement, predictions.get(e.check.id)?.get(e.surface.id)?.movement],
      ]),
    );
  },
};

function scripted(setup: Setup, check: string): Answers {
  const bare = nameless(setup);
  const { script } = testOf(check) ?? TESTS.identify;
  return new Map(
    script(setup).map((s) => [`${s.check} ${s.item}`, [bare(s.does), ...s.sees.map(bare)]]),
  );
}

/** Puts ids in the place of the names that were given to controls, surfaces, servos and plugs. */
function nameless({ airframe, transmitter, unit }: Setup): (text: string) => string {
  const named = [
    ...transmitter.controls,
    ...airframe.servos,
    ...airframe.motors,
    ...unit.traits.ports,
    ...airframe.surfaces,
    // Sentences have surfaces in small letters as well.
    ...airframe.surfaces.map(({ id, label }) => ({ id, label: label.toLowerCase() })),
  ];
  const ids = new Map(named.map(({ id, label }) => [label, id]));
  const longestFirst = [...ids.keys()].toSorted((a, b) => b.length - a.length);
  const any = new RegExp(
    longestFirst.map((n) => n.replace(/[$()*+./?[\\\]^{|}]/g, '\\$&')).join('|'),
    'gu',
  );
  return (text) => text.replace(any, (name) => `<${ids.get(name)}>`);
}
