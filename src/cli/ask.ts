import {
  answerWords,
  asking,
  experimentWords,
  observerOf,
  type Eyes,
  type Told,
} from '../core/interrogate';
import { facetsOf, grounded } from '../core/possible';
import type { Problem, Setup } from '../core/setup';

export type Asked = { ok: true; text: string; found: boolean } | { ok: false; problems: Problem[] };

/** What may be said of the eyes that look, and the range of each. */
const FLAGS = { wrong: [0, 0.5], unsure: [0, 0.9], seed: [0, 2 ** 31] } as const;

/** @param flags as given on the command line */
export function eyesAsked(flags: readonly string[]): Eyes | Problem {
  const eyes: Eyes = { wrong: 0, unsure: 0, seed: 1 };
  for (const [name, [least, most]] of Object.entries(FLAGS)) {
    const at = flags.indexOf(`--${name}`);
    if (at < 0) continue;
    const value = Number(flags[at + 1]);
    if (!(value >= least && value <= most))
      return { path: '', reason: `--${name} must be a number from ${least} to ${most}` };
    eyes[name as keyof Eyes] = value;
  }
  return eyes;
}

/**
 * Asks the unit of a Setup as if nobody knew it, and answers by what the chain says: the experiments in words, the
 * answers, and the description found.
 */
export function asked(real: Setup, eyes: Eyes): Asked {
  const setup = grounded(real, facetsOf(real), 'assumed');
  const see = observerOf(real, eyes);
  const told: Told[] = [];
  const lines: { does: readonly string[]; answer: string; again: boolean }[] = [];
  let now = asking(setup, told);
  if (!now.next)
    return {
      ok: false,
      problems: [{ path: '/airframe', reason: 'no surface here shows anything of the unit' }],
    };
  while (now.next) {
    const { experiment, again } = now.next;
    const answer = see(experiment);
    const words = experimentWords(setup, experiment);
    told.push({ experiment: experiment.id, answer });
    lines.push({
      does: [
        ...words.before,
        ...words.steps.flatMap(({ does, looks }) => [does, ...looks.map(({ watch }) => watch)]),
        ...words.after,
      ],
      answer: answerWords(words, answer),
      again,
    });
    now = asking(setup, told);
  }
  const facts = now.facts.map(({ facet, values, by }) => ({
    fact: facet.title,
    is: values.map((key) => facet.values.find((v) => v.key === key)?.words ?? key),
    by,
  }));
  const report = {
    experiments: lines,
    facts,
    doubted: now.doubted.map((at) => at + 1),
    fits: now.outside === undefined,
  };
  return { ok: true, text: `${JSON.stringify(report, null, 2)}\n`, found: report.fits };
}
