import {
  WISH_TITLES,
  differs,
  nearest,
  rewrite,
  unsentWords,
  type Difference,
  type Unwritable,
} from '../../plan';
import { difference } from '../../patch';
import { WISHES, capital, type Setup, type WishId } from '../../setup';
import type { Found, Remedy } from '../finding';
import type { Proof } from '../proof';
import type { Rule } from '../rule';

/** Requirements that say of a choice, more strongly, that it does not hold. */
const SAID_BY: Partial<Record<WishId, readonly string[]>> = {
  modes: ['modes'],
  gain: ['gain'],
  lock: ['gain'],
  launch: ['launch'],
  panic: ['panic'],
  cut: ['motor-cut', 'motor-rest'],
  voice: ['voice'],
  failsafe: ['link-lost'],
};

/** Choices in which another value is a matter of taste, and harms nobody. */
const TASTE: ReadonlySet<WishId> = new Set(['rates', 'timer', 'voice', 'capture']);

export const asChosen: Rule = {
  id: 'as-chosen',
  title: 'The program differs from your choice',
  why: 'What you chose and what the program does are no longer the same: a line was changed by hand, or comes from an older file, or the channel cannot send it. You rely on the choice.',
  check(setup, proof) {
    const found = chosenIn(setup).flatMap((wish) => differs(setup, wish) ?? []);
    // Where a channel goes with the signal lost is worked out from the others.
    const causes = found.filter((d) => d.wish !== 'failsafe' || found.length === 1);
    return causes
      .filter((d) => !isSaid(proof, d.wish))
      .flatMap((d) =>
        'reasons' in d ? [unwritable(d)] : isKept(setup, d) ? [] : [other(setup, d)],
      );
  },
};

const other = (setup: Setup, d: Difference): Found => ({
  severity: TASTE.has(d.wish) && d.unsent.length === 0 ? 'note' : 'caution',
  says: `${WISH_TITLES[d.wish]}: ${
    d.unsent.length > 0
      ? `what you chose cannot be sent. ${unsentWords(d)}`
      : `differs from your choice. ${capital(d.when)}: chosen ${d.chosen}, the program gives ${d.given}.`
  }`,
  where: `/intents/program/${d.wish}`,
  about: { choice: d.wish },
  witness: witnessOf(d),
  remedies: waysOn(setup, d),
});

const chosenIn = ({ intents }: Setup) =>
  WISHES.filter(
    (w): w is Exclude<WishId, 'sticks'> => w !== 'sticks' && intents.program[w] !== undefined,
  );

const isSaid = ({ results }: Proof, wish: WishId): boolean =>
  results.some((r) => SAID_BY[wish]?.includes(r.id) && r.failures.length > 0);

const isKept = ({ intents }: Setup, { wish, name }: Difference): boolean =>
  intents.kept?.some((k) => k.choice === wish && k.difference === name) ?? false;

const unwritable = ({ wish, reasons }: Unwritable): Found => ({
  severity: 'caution',
  says: `${WISH_TITLES[wish]}: what you chose cannot be written. ${reasons.join(' ')}`,
  where: `/intents/program/${wish}`,
  about: { choice: wish },
  remedies: [],
});

function witnessOf({ done, when }: Difference): NonNullable<Found['witness']> {
  const steps = done.flatMap((d) => ('linkUp' in d ? [] : [d]));
  const controls = Object.fromEntries(
    steps.flatMap((s) => ('control' in s ? [[s.control, s.value]] : [])),
  );
  return { controls, steps, words: when };
}

/** Write it again, change the choice, or keep the program as it is. */
function waysOn(setup: Setup, { wish, name, unsent }: Difference): Remedy[] {
  const other = wish === 'sticks' ? undefined : nearest(setup, wish);
  const kept = [
    ...(setup.intents.kept ?? []).filter((k) => k.choice !== wish),
    { choice: wish, difference: name },
  ];
  return [
    ...(unsent.length > 0
      ? []
      : [
          {
            label: 'Write it again as chosen',
            patch: difference(setup, rewrite(setup, wish, true).setup),
          },
        ]),
    ...(other
      ? [{ label: 'Change the choice to what the program does', patch: difference(setup, other) }]
      : []),
    {
      label: 'Keep the program as it is',
      patch: [{ op: setup.intents.kept ? 'replace' : 'add', path: '/intents/kept', value: kept }],
    },
  ];
}
