import { compileChain, type Chain, type Stimulus } from '../chain';
import { AXES, type Axis, type Setup } from '../setup';
import type { Experiment } from './experiment';

/** How long a hand takes to tilt a model, and how long it then holds it. */
const TILT_S = 0.4;
const TILT_STEPS = 2;
const HOLD_S = 3;

const RATES: Readonly<Record<Axis, 'rollRateDegPerS' | 'pitchRateDegPerS' | 'yawRateDegPerS'>> = {
  roll: 'rollRateDegPerS',
  pitch: 'pitchRateDegPerS',
  yaw: 'yawRateDegPerS',
};

/** An experiment played by the transmitter: what the hands do and what it sends, moment by moment. */
export interface Played {
  moments: readonly { stimulus: Stimulus; sentUs: Float64Array }[];
  looks: readonly Looked[];
  /** The moments in which level is captured, from the first to the last, and how the model lies then. */
  teaches?: { from: number; to: number; pitchDeg: number } | undefined;
}

/** One thing looked at, by moments: what it is compared with, and from when to when. */
export interface Looked {
  sees: 'surface' | 'light' | 'twitches';
  /** By its place in a frame; -1 where it is none. */
  surface: number;
  before: number;
  from: number;
  to: number;
  /** With the transmitter off. */
  lost: boolean;
}

/** The first moment that anything is compared with: before it the model stands level and still, and shows nothing. */
export const firstOf = (looks: Played['looks']): number =>
  Math.min(...looks.map(({ before }) => before));

const plays = new WeakMap<Setup, (experiment: Experiment) => Played>();

/** The transmitter of a Setup plays experiments, from rest; each once: Setups are immutable. */
export function playsOf(setup: Setup): (experiment: Experiment) => Played {
  const known = plays.get(setup);
  if (known) return known;
  const chain = compileChain(setup);
  const played = new Map<string, Played>();
  const of = (experiment: Experiment): Played => {
    const found = played.get(experiment.id) ?? play(chain, experiment);
    played.set(experiment.id, found);
    return found;
  };
  plays.set(setup, of);
  return of;
}

function play(chain: Chain, { controls, steps }: Experiment): Played {
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  const now = chain.restStimulus();
  const moments: { stimulus: Stimulus; sentUs: Float64Array }[] = [];
  const step = (dtS: number) => {
    const stimulus = { ...now, controls: now.controls.slice(), dtS };
    chain.send(stimulus, memory, frame);
    moments.push({ stimulus, sentUs: frame.sentUs.slice() });
  };
  const put = (id: string, value: number) => {
    const control = chain.layout.controls.get(id);
    if (control !== undefined) now.controls[control] = value;
  };
  step(0);
  for (const [id, value] of Object.entries(controls)) put(id, value);
  step(0.02);
  step(HOLD_S);
  let level = moments.length - 1;
  const stands: Record<Axis, number> = { roll: 0, pitch: 0, yaw: 0 };
  const tilt = (deg: Readonly<Partial<Record<Axis, number>>>) => {
    const from = { ...stands };
    for (const axis of AXES) {
      stands[axis] = deg[axis] ?? from[axis];
      now[RATES[axis]] = (stands[axis] - from[axis]) / TILT_S;
    }
    for (let i = 1; i <= TILT_STEPS; i++) {
      now.rollDeg = from.roll + ((stands.roll - from.roll) * i) / TILT_STEPS;
      now.pitchDeg = from.pitch + ((stands.pitch - from.pitch) * i) / TILT_STEPS;
      step(TILT_S / TILT_STEPS);
    }
    for (const axis of AXES) now[RATES[axis]] = 0;
    step(HOLD_S);
  };
  /** A stick to its end and let go. */
  const stab = (stick: string) => {
    const at = now.controls[chain.layout.controls.get(stick)!]!;
    put(stick, 100);
    step(0.5);
    put(stick, at);
    step(HOLD_S);
  };
  let teaches: Played['teaches'];
  const looks = steps.flatMap(({ put: first, settle, act, watch }) => {
    const stood = moments.length - 1;
    if (first) {
      if (act.kind !== 'light') tilt({ roll: 0, pitch: 0, yaw: 0 });
      for (const [id, value] of Object.entries(first)) put(id, value);
      step(HOLD_S);
      if (settle) stab(settle);
      level = moments.length - 1;
    }
    const start = moments.length;
    /** The moment a surface is compared with: the level model, or the stick held out. */
    let before = level;
    /** Only where a surface stands in the end can be seen, or also what it did meanwhile. */
    let whole = false;
    let sees: Looked['sees'] = 'surface';
    switch (act.kind) {
      case 'tilt':
        tilt(act.deg);
        whole = true;
        break;
      case 'stab':
        stab(act.stick);
        break;
      case 'lost':
        put(act.stick, act.pct);
        step(HOLD_S);
        before = moments.length - 1;
        now.linkUp = false;
        step(0.02);
        step(HOLD_S);
        break;
      case 'light':
        before = stood;
        sees = 'light';
        break;
      case 'teach': {
        before = moments.length - 1;
        tilt(act.deg);
        const rest = now.controls.slice();
        const from = moments.length;
        for (const move of act.hands) {
          for (const [id, value] of Object.entries(move.put)) put(id, value);
          step(0);
          step(move.forS);
        }
        now.controls.set(rest);
        step(HOLD_S);
        teaches = { from, to: moments.length - 1, pitchDeg: stands.pitch };
        tilt({ roll: 0, pitch: 0, yaw: 0 });
        break;
      }
      case 'power-up':
        sees = 'twitches';
    }
    const to = moments.length - 1;
    const from = whole ? start : to;
    return watch.map((id): Looked => ({
      sees,
      surface: chain.layout.surfaces.get(id) ?? -1,
      before,
      from,
      to,
      lost: act.kind === 'lost',
    }));
  });
  return { moments, looks, teaches };
}
