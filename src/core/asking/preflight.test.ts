import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import {
  allRight,
  brokenOff,
  preflightAsked,
  roundAnswered,
  roundBefore,
  type PreflightRun,
} from './preflight';

const setup = makeSetup();
const BEGUN: PreflightRun = {
  uid: 'u',
  version: 3,
  at: 0,
  answers: {},
  where: { place: '', wind: '', battery: '' },
};
const { rounds, card } = preflightAsked(setup, undefined);

/** Every round answered, with these lines wrong. */
const through = (wrong: readonly string[] = []): PreflightRun =>
  rounds.reduce((run, round) => roundAnswered(run, round, wrong), BEGUN);

describe('a preflight check, round after round', () => {
  it('before it begins it shows the card, then the first round', () => {
    expect(preflightAsked(setup, undefined).at).toBe('start');
    expect(preflightAsked(setup, BEGUN)).toMatchObject({ at: 'round', number: 1 });
  });
  it('all correct means every line of the card was answered correct', () => {
    const run = through();
    expect(Object.keys(run.answers)).toEqual(card.map((c) => c.item));
    expect(allRight(preflightAsked(setup, run))).toBe(true);
    expect(allRight(preflightAsked(setup, { ...run, at: 1 }))).toBe(false);
  });
  it.each(card.map((c) => c.item))(
    'one that is wrong is named and keeps it from being right: %s',
    (item) => {
      const asked = preflightAsked(setup, through([item]));
      expect(asked).toMatchObject({ at: 'end', early: false, wrong: [{ item }] });
      expect(allRight(asked)).toBe(false);
    },
  );
  it('broken off, what was not answered was not checked', () => {
    const begun = roundAnswered(BEGUN, rounds[0]!, []);
    const asked = preflightAsked(setup, brokenOff(begun, preflightAsked(setup, begun)));
    expect(asked).toMatchObject({ at: 'end', early: true, wrong: [] });
    expect(allRight(asked)).toBe(false);
  });
  it('a round answered again replaces its answers', () => {
    const [first] = rounds;
    const wrong = first!.items[0]!.item;
    const back = roundBefore(roundAnswered(BEGUN, first!, [wrong]));
    expect(preflightAsked(setup, back)).toMatchObject({ number: 1 });
    expect(roundAnswered(back, first!, []).answers[wrong]).toBe('pass');
    expect(roundBefore(BEGUN).at).toBe(0);
  });
});
