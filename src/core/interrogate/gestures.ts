import {
  axisFunction,
  compileChain,
  compileCorner,
  createEar,
  FOR_LEVEL,
  gesturesOf,
} from '../chain';
import { AXES, type Setup, type StickHolds } from '../setup';
import { rewrites, type Experiment } from './experiment';
import { playsOf } from './play';

/**
 * Whether doing an experiment would also be a gesture that teaches the unit something it is not meant to, asked of the
 * chain: sticks that come into a corner of its description, however short, and to either end, since what the leaflet shows
 * may be for another transmitter; two sticks at their ends where nobody knows which corner; or a channel that is flicked. One
 * that is meant to capture level must be heard as that, and as nothing else.
 */
export function teaching(setup: Setup): (experiment: Experiment) => boolean {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const playedOf = playsOf(setup);
  const { traits } = setup.unit;
  const corner = compileCorner(setup);
  const gestures = gesturesOf(setup.unit);
  const described = gestures.flatMap(({ by }) => (by.kind === 'corner' ? [by.holds] : []));
  const corners = traits.captureGestures.includes('stick-corners')
    ? [...described, ...pairsOf(setup)]
    : described;
  if (corners.length === 0 && gestures.length === 0) return () => false;
  /** What the unit hears of an experiment. */
  const heardOf = (experiment: Experiment) => {
    const ear = createEar(setup);
    const memory = chain.newMemory();
    return playedOf(experiment).moments.flatMap(({ stimulus, sentUs }) => {
      frame.receivedUs.set(sentUs);
      chain.unit(stimulus, memory, frame);
      return ear.hear(frame, stimulus.dtS);
    });
  };
  return (experiment) => {
    if (rewrites(experiment)) {
      if (traits.levelCapture?.by === 'button') return false;
      const heard = heardOf(experiment);
      return heard.length === 0 || heard.some((g) => g.for !== FOR_LEVEL);
    }
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
