import type { EvidenceKind } from '../kind';
import { TESTS, scriptFor } from './tests';

/** A step of a test with the model in hand: what must be seen was seen, or was not. */
export const test: EvidenceKind<'test'> = {
  asked: (setup, about) => scriptFor(setup, about.test).find((s) => s.item === about.item)?.asks,
  isKnown: (setup, about) => test.asked(setup, about) !== undefined,
  takes: (seen) => seen === 'pass' || seen === 'fail',
  parts: (setup, about) => TESTS[about.test].parts(setup, about.item),
  // What is asked is each one's own.
  sharing: ({ test: name, item }) => ('apart' in TESTS[name] ? `${name} ${item}` : name),
};
