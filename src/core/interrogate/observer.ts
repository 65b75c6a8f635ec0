import { randomOf } from '../dice';
import type { Setup } from '../setup';
import {
  MOST_TWITCHES,
  twitchesSeen,
  type Answer,
  type Experiment,
  type Glance,
} from './experiment';
import { possibleUnit } from './show';

/** How somebody looks: how often they see an experiment wrong, and how often they cannot tell of a surface; 0…1. */
export interface Eyes {
  wrong: number;
  unsure: number;
  seed: number;
}

/** What may be seen of one thing, in place of each other. */
const KINDS: readonly (readonly Glance[])[] = [
  ['none', '+stays', '+returns', '-stays', '-returns', 'limp'],
  ['same', 'other'],
  Array.from({ length: MOST_TWITCHES + 1 }, (_, count) => twitchesSeen(count)),
];

/** Somebody with a unit on the bench: tries an experiment and says what was seen. @param real the Setup as it is */
export function observerOf(real: Setup, eyes: Eyes): (experiment: Experiment) => Answer {
  const unit = possibleUnit(real);
  const random = randomOf(eyes.seed);
  return (experiment) => {
    const truth = unit.show(experiment).looks.map(([glance]) => glance);
    const [slip, where, which] = [random(), random(), random()];
    const at = slip < eyes.wrong ? Math.floor(where * truth.length) : -1;
    return truth.map((glance, i) => {
      if (random() < eyes.unsure) return 'unsure';
      return i === at ? wrongly(glance, which) : glance;
    });
  };
}

/** Something else than what was to be seen. @param which one of the others, 0…1 */
export function wrongly(truth: Glance, which: number): Glance {
  const others = KINDS.find((of) => of.includes(truth))!.filter(
    (glance) => glance !== truth && glance !== 'limp',
  );
  return others[Math.floor(which * others.length)]!;
}
