import { randomOf } from '../dice';
import type { Setup } from '../setup';
import type { Answer, Experiment } from './experiment';
import { possibleUnit } from './show';

/** How somebody looks: how often they see wrong, and how often they cannot tell; 0…1. */
export interface Eyes {
  wrong: number;
  unsure: number;
  seed: number;
}

const ANSWERS: readonly Answer[] = ['none', '+stays', '+returns', '-stays', '-returns'];

/** Somebody with a unit on the bench: tries an experiment and says what was seen. @param real the Setup as it is */
export function observerOf(real: Setup, eyes: Eyes): (experiment: Experiment) => Answer {
  const unit = possibleUnit(real);
  const random = randomOf(eyes.seed);
  return (experiment) => {
    const [truth] = unit.show(experiment);
    const [slip, which] = [random(), random()];
    if (slip < eyes.unsure) return 'unsure';
    if (slip >= eyes.unsure + eyes.wrong) return truth;
    const others = ANSWERS.filter((a) => a !== truth);
    return others[Math.floor(which * others.length)]!;
  };
}
