import { allExpectations, crossExpectations, predictAll } from '../directions';
import type { Setup } from '../setup';
import { readBacksOf } from '../sheets';
import { scriptFor, testNameOf, type TestName } from './tests';

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
  const test = testNameOf(check);
  const group = test ?? (check.startsWith('read:') ? 'read:' : 'directions');
  const answers =
    groups.get(group) ??
    (test ? scripted(setup, test) : group === 'read:' ? readingsOf(setup) : directionsOf(setup));
  groups.set(group, answers);
  return answers.get(`${check} ${surface}`);
}

const readingsOf = (setup: Setup): Answers =>
  new Map(
    readBacksOf(setup).map((r) => [
      `read:${r.id} ch${r.channel}`,
      [r.hands, Math.round(r.predictedPct)],
    ]),
  );

function directionsOf(setup: Setup): Answers {
  const predictions = predictAll(setup);
  return new Map(
    [...allExpectations(setup), ...crossExpectations(setup)].map((e) => [
      `${e.check.id} ${e.surface.id}`,
      [e.check.instruction, e.movement, predictions.get(e.check.id)?.get(e.surface.id)?.movement],
    ]),
  );
}

function scripted(setup: Setup, test: TestName): Answers {
  const bare = nameless(setup);
  return new Map(
    scriptFor(setup, test).map((s) => [
      `${s.check} ${s.item}`,
      [bare(s.does), ...s.sees.map(bare)],
    ]),
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
