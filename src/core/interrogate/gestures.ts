import { axisFunction, compileChain, compileCorner, createEar, gesturesOf } from '../chain';
import { AXES, type Setup, type StickHolds } from '../setup';
import type { Experiment } from './experiment';
import { playsOf } from './play';

/**
 * Whether doing an experiment would also be a gesture that teaches the unit something, asked of the chain: sticks that
 * come into a corner of its description, however short, and to either end, since what the leaflet shows may be for
 * another transmitter; two sticks at their ends where nobody knows which corner; or a channel that is flicked.
 */
export function teaching(setup: Setup): (experiment: Experiment) => boolean {
  const frame = compileChain(setup).newFrame();
  const playedOf = playsOf(setup);
  const { traits } = setup.unit;
  const corner = compileCorner(setup);
  const described = gesturesOf(setup.unit).flatMap(({ by }) =>
    by.kind === 'corner' ? [by.holds] : [],
  );
  const corners = traits.captureGestures.includes('stick-corners')
    ? [...described, ...pairsOf(setup)]
    : described;
  if (corners.length === 0 && gesturesOf(setup.unit).length === 0) return () => false;
  return (experiment) => {
    const ear = createEar(setup);
    return playedOf(experiment).moments.some(({ stimulus, sentUs }) => {
      frame.receivedUs.set(sentUs);
      return (
        ear.hear(frame, stimulus.dtS).length > 0 ||
        corners.some((holds) => corner(holds, frame, 'either end') >= 1)
      );
    });
  };
}

/** Any two sticks that turn the model. */
function pairsOf(setup: Setup): StickHolds[] {
  const sticks = AXES.map((axis) => ({ stick: axisFunction(setup, axis), at: 100 as const }));
  return sticks.flatMap((one, i) => sticks.slice(i + 1).map((other) => [one, other]));
}
