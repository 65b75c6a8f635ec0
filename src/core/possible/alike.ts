import {
  compileChain,
  compileReceiver,
  placesOf,
  type Chain,
  type Frame,
  type Stimulus,
} from '../chain';
import { randomOf } from '../dice';
import type { Setup } from '../setup';

/** Moments looked at: hands, attitudes, time and signal by chance, but the same ones every time. */
const MOMENTS = 1500;
/** More than rounding. */
const SAME = 1e-6;

/** When two units do not do the same: while in use (armed, with a position fix and a signal), only otherwise, or never. */
export type Apart = 'in-use' | 'out-of-use' | 'never';

/**
 * When the units of two Setups that share everything else do not do the same: both hear one transmitter, in many moments.
 * A sample: a difference that shows in none of them is missed.
 */
export function apart(a: Setup, b: Setup): Apart {
  if (!trialOf(a, 'in-use').alike(b)) return 'in-use';
  return trialOf(a, 'out-of-use').alike(b) ? 'never' : 'out-of-use';
}

/** Whether no moment tells them apart. */
export const behaveAlike = (a: Setup, b: Setup): boolean => apart(a, b) === 'never';

type Where = Exclude<Apart, 'never'>;

/** A unit in one moment after another of a transmitter, and everything that comes out of it. */
interface Trial {
  /** Whether the unit of another Setup does the same in all of them. */
  alike(other: Setup): boolean;
}

const trials = {
  'in-use': new WeakMap<Setup, Trial>(),
  'out-of-use': new WeakMap<Setup, Trial>(),
} satisfies Record<Where, unknown>;

/** The same for the same Setup: one is held against many others. */
function trialOf(setup: Setup, where: Where): Trial {
  const found = trials[where].get(setup) ?? newTrial(setup, where === 'in-use');
  trials[where].set(setup, found);
  return found;
}

function newTrial(setup: Setup, inUse: boolean): Trial {
  const chain = compileChain(setup);
  /** What the transmitter does, and what this unit makes of it, as far as it was played. */
  const moments: { stimulus: Stimulus; sentUs: Float64Array; output: Output }[] = [];
  const next = handsOf(chain, inUse);
  const sending = { memory: chain.newMemory(), frame: chain.newFrame() };
  const own = unitOf(setup);
  const momentAt = (i: number) => {
    while (moments.length <= i) {
      const stimulus = next();
      chain.send(stimulus, sending.memory, sending.frame);
      const sentUs = sending.frame.sentUs.slice();
      const output = outputOf(own(stimulus, sentUs));
      moments.push({ stimulus, sentUs, output });
    }
    return moments[i]!;
  };
  /** A unit plugged in: moment after moment. */
  function unitOf(of: Setup): (stimulus: Stimulus, sentUs: Float64Array) => Frame {
    const receiver = compileReceiver(of);
    const memory = chain.newMemory();
    const frame = chain.newFrame();
    memory.armed = inUse;
    return (stimulus, sentUs) => {
      frame.sentUs.set(sentUs);
      receiver.step(stimulus, memory, frame);
      return frame;
    };
  }
  return {
    alike(other) {
      const unit = unitOf(other);
      for (let i = 0; i < MOMENTS; i++) {
        const { stimulus, sentUs, output } = momentAt(i);
        if (!sameOutput(output, unit(stimulus, sentUs))) return false;
      }
      return true;
    },
  };
}

/** Controls that alone change what reaches the unit, by their places in the list. */
function heardOf(chain: Chain): number[] {
  const inputs = chain.setup.unit.settings.inputs.map((i) => i.channel - 1);
  const frame = chain.newFrame();
  const sentWith = (at: number, value: number) => {
    const stimulus = chain.restStimulus();
    if (at >= 0) stimulus.controls[at] = value;
    chain.send(stimulus, chain.newMemory(), frame);
    return inputs.map((channel) => frame.sentUs[channel]).join();
  };
  const rest = sentWith(-1, 0);
  return chain.setup.transmitter.controls.flatMap((_, at) =>
    [-100, 0, 100].some((value) => sentWith(at, value) !== rest) ? [at] : [],
  );
}

/** Hands, attitudes, time and signal by chance. @returns the next moment */
function handsOf(chain: Chain, inUse: boolean): () => Stimulus {
  const { setup, restStimulus } = chain;
  const now = restStimulus();
  const heard = heardOf(chain);
  const random = randomOf(20261130);
  const controls = setup.transmitter.controls.map((control) => {
    const places = placesOf(control.kind).map(([, value]) => value);
    return places.length > 0 ? places : [-100, -50, control.rest, 50, 100];
  });
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  return () => {
    // Mostly controls that reach the unit; at times any, since some matter only together.
    const at =
      random() < 0.7 && heard.length > 0 ? pick(heard) : Math.floor(random() * controls.length);
    now.controls[at] = random() < 0.4 ? 200 * random() - 100 : pick(controls[at]!);
    return {
      ...now,
      controls: now.controls.slice(),
      linkUp: inUse || random() > 0.15,
      positionFix: inUse || random() > 0.2,
      rollDeg: pick([0, 0, 20, -20, 80]),
      pitchDeg: pick([0, 0, 15, -15, 60]),
      rollRateDegPerS: pick([0, 0, 90, -90]),
      pitchRateDegPerS: pick([0, 0, 90, -90]),
      yawRateDegPerS: pick([0, 0, 90, -90]),
      dtS: pick([0.02, 0.02, 0.3, 3]),
    };
  };
}

/** Everything that goes out of a unit, and what it thinks it is doing. */
type Output = Pick<
  Frame,
  'mode' | 'armed' | 'recovering' | 'unitDrives' | 'throttleRefused' | 'portsUs' | 'gainPct'
>;

/** The same, kept. */
const outputOf = (f: Output): Output => ({
  mode: f.mode,
  armed: f.armed,
  recovering: f.recovering,
  unitDrives: f.unitDrives,
  throttleRefused: f.throttleRefused,
  portsUs: f.portsUs.slice(),
  gainPct: f.gainPct.slice(),
});

const sameOutput = (a: Output, b: Output): boolean =>
  a.mode === b.mode &&
  a.armed === b.armed &&
  a.recovering === b.recovering &&
  a.unitDrives === b.unitDrives &&
  a.throttleRefused === b.throttleRefused &&
  near(a.portsUs, b.portsUs) &&
  near(a.gainPct, b.gainPct);

function near(a: Float64Array, b: Float64Array): boolean {
  for (let i = 0; i < a.length; i++)
    if (!(Math.abs(a[i]! - b[i]!) <= SAME || (Number.isNaN(a[i]!) && Number.isNaN(b[i]!))))
      return false;
  return true;
}
