import { WISH_TITLES, differs, guessed, nearest } from '../../plan';
import { controlsWished, parseSetup, type Setup, type WishId } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

/** What stands for an answer of "no" where a difference is named otherwise. */
const NO_CHOICE = 'no choice';

/** Choices that are asked about: what hands rely on, and what lines say they are for. */
const ASKED = { panic: 'panic', cut: 'throttle-cut', launch: 'launch' } as const;
type AskedChoice = keyof typeof ASKED;

export const looksLike: Rule = {
  id: 'looks-like',
  title: 'Lines that look like a choice',
  why: 'What was chosen is proved as a choice: from everywhere, and that it stays so. Lines alone are proved for what they do today.',
  check: (setup) =>
    (Object.keys(ASKED) as AskedChoice[]).flatMap((wish): Found[] => {
      const { intents, program } = setup;
      if (intents.program[wish] !== undefined) return [];
      if (!program.lines.some((l) => l.purpose === ASKED[wish])) return [];
      if (intents.kept?.some((k) => k.choice === wish && k.difference === NO_CHOICE)) return [];
      const chosen = withChoice(setup, wish);
      if (!chosen) return [];
      const control = controlsWished(chosen.intents.program).find((id) =>
        controlsWished({
          rates: intents.program.rates,
          [wish]: chosen.intents.program[wish],
        }).includes(id),
      );
      const label = setup.transmitter.controls.find((c) => c.id === control)?.label;
      return [
        {
          severity: 'note',
          says: `This looks like ${WISH_TITLES[wish].toLowerCase()}${label ? ` by ${label}` : ''}: is it?`,
          where: `/intents/program/${wish}`,
          about: { choice: wish },
          remedies: [
            {
              label: 'Yes, it is',
              patch: [
                {
                  op: 'add',
                  path: `/intents/program/${wish}`,
                  value: chosen.intents.program[wish],
                },
              ],
            },
            {
              label: 'No, they are lines of my own',
              patch: [
                {
                  op: intents.kept ? 'replace' : 'add',
                  path: '/intents/kept',
                  value: [...(intents.kept ?? []), { choice: wish, difference: NO_CHOICE }],
                },
              ],
            },
          ],
        },
      ];
    }),
};

/** The Setup with the choice its lines look like, as close to what they do as can be. */
function withChoice(setup: Setup, wish: Exclude<WishId, 'sticks'>): Setup | undefined {
  const value = guessed(setup, wish);
  if (value === undefined) return undefined;
  const read = parseSetup({
    ...setup,
    intents: { ...setup.intents, program: { ...setup.intents.program, [wish]: value } },
  });
  if (!read.ok) return undefined;
  return differs(read.value, wish) ? (nearest(read.value, wish) ?? read.value) : read.value;
}
