import { compileChain, type Stimulus } from '../chain';
import type { Axis, Setup } from '../setup';
import type { Experiment, Seen, Shown } from './experiment';

/** A surface that moves less is seen to stand still; about this much may be seen either way. Common practice, no source. */
const SEEN_DEG = 2;
const DOUBTFUL = 1.6;
/** How long a hand takes to tilt a model, and how long it then holds it. */
const TILT_S = 0.4;
const TILT_STEPS = 2;
const HOLD_S = 3;

/** One possible unit on the bench: what it shows for an experiment, by the chain. */
export interface Possible {
  show(experiment: Experiment): Shown;
}

/** Compiles a possible unit; the chain with its gain lead out is compiled when it is first asked for. */
export function possibleUnit(setup: Setup): Possible {
  const plugged = benchOf(setup);
  let pulled: ReturnType<typeof benchOf> | undefined;
  return {
    show: (e) => (e.leadOut ? (pulled ??= benchOf(leadOut(setup))) : plugged)(e),
  };
}

/** With its gain lead out, after a gain at the upper end. */
const leadOut = (setup: Setup): Setup => ({
  ...setup,
  installation: { ...setup.installation, gainLead: false, gainLeadLastPct: 100 },
});

const RATES: Readonly<Record<Axis, 'rollRateDegPerS' | 'pitchRateDegPerS' | 'yawRateDegPerS'>> = {
  roll: 'rollRateDegPerS',
  pitch: 'pitchRateDegPerS',
  yaw: 'yawRateDegPerS',
};

function benchOf(setup: Setup): (experiment: Experiment) => Shown {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const rest = chain.restStimulus();
  const heard = setup.unit.settings.inputs
    .map((i) => i.channel - 1)
    .filter((at) => at < setup.transmitter.channels);
  return ({ controls, fresh, act, watch }) => {
    const memory = chain.newMemory();
    const stimulus: Stimulus = { ...rest, controls: rest.controls.slice() };
    const surface = chain.layout.surfaces.get(watch)!;
    const step = (dtS: number) => {
      stimulus.dtS = dtS;
      chain.step(stimulus, memory, frame);
      return frame.surfaceDeg[surface]!;
    };
    const put = (id: string, value: number) => {
      const control = chain.layout.controls.get(id);
      if (control !== undefined) stimulus.controls[control] = value;
    };
    memory.armed = !fresh;
    step(0);
    for (const [id, value] of Object.entries(controls)) put(id, value);
    step(0.02);
    const before = step(HOLD_S);
    let peak = 0;
    const look = () => {
      const off = frame.surfaceDeg[surface]! - before;
      if (Math.abs(off) > Math.abs(peak)) peak = off;
      return off;
    };
    const tilt = (axis: Axis, deg: number) => {
      stimulus[RATES[axis]] = deg / TILT_S;
      for (let i = 1; i <= TILT_STEPS; i++) {
        if (axis === 'roll') stimulus.rollDeg = (deg * i) / TILT_STEPS;
        if (axis === 'pitch') stimulus.pitchDeg = (deg * i) / TILT_STEPS;
        step(TILT_S / TILT_STEPS);
        look();
      }
      stimulus[RATES[axis]] = 0;
      step(HOLD_S);
      return look();
    };
    switch (act.kind) {
      case 'tilt': {
        const end = tilt(act.axis, act.deg);
        return seenOf(peak, end);
      }
      case 'stab': {
        tilt(act.axis, act.deg);
        const at = stimulus.controls[chain.layout.controls.get(act.stick)!]!;
        put(act.stick, 100);
        step(0.5);
        put(act.stick, at);
        step(HOLD_S);
        return seenOf(look(), look());
      }
      case 'lost': {
        put(act.stick, act.pct);
        const held = step(HOLD_S);
        stimulus.linkUp = false;
        step(0.02);
        const off = step(HOLD_S) - held;
        const silent = heard.every((at) => Number.isNaN(frame.receivedUs[at]!));
        return silent ? ['limp'] : seenOf(off, off);
      }
    }
  };
}

/** @param peakDeg the furthest it went from where it stood @param endDeg where it stands at the end */
function seenOf(peakDeg: number, endDeg: number): Shown {
  const seen = (peakFrom: number, endFrom: number): Seen => {
    if (Math.abs(peakDeg) < peakFrom) return 'none';
    // It stays where it went: a swing past and back is a return.
    const stays = Math.abs(endDeg) >= endFrom && endDeg * peakDeg > 0;
    return `${peakDeg > 0 ? '+' : '-'}${stays ? 'stays' : 'returns'}`;
  };
  const first = seen(SEEN_DEG, SEEN_DEG);
  const others = [
    seen(SEEN_DEG / DOUBTFUL, SEEN_DEG),
    seen(SEEN_DEG * DOUBTFUL, SEEN_DEG),
    seen(SEEN_DEG, SEEN_DEG / DOUBTFUL),
    seen(SEEN_DEG, SEEN_DEG * DOUBTFUL),
  ];
  return [first, ...new Set(others.filter((s) => s !== first))];
}
