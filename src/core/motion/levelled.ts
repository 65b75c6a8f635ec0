import { randomOf } from '../dice';
import { bankOfDrift, pitchLowBy } from '../level';
import type { Setup } from '../setup';
import { stateIn, type Proof } from '../verify';
import { CENTRAL, drawOf, type Draw } from './estimates';
import { settling, type Settled } from './observers';
import { BATCH, play, readyToFly } from './runner';
import { scenario } from './scenario';

/** Switches and knobs as they stand in a state in which the unit levels. */
export type LevelHands = Readonly<Record<string, number>>;

/** The state nearest to rest in which it levels; nothing where no switch alone brings it. */
export const levelHands = (setup: Setup, proof: Proof): LevelHands | undefined =>
  stateIn(setup, proof, 'level', '').witness?.controls;

/** High enough that it can sink all the while. */
const HEIGHT_M = 400;
/** It flies so long, and is watched from then on: slow rises and sinks have died out, or are averaged. */
const SECONDS = 60;
const SETTLED_S = 36;

/** How far what the unit takes for level is off: right wing down, nose up. */
interface Off {
  roll: number;
  pitch: number;
}

/** What a model settles at in self-levelling, nobody touching anything. */
function settledAt(setup: Setup, hands: LevelHands, off: Off, draw: Draw): Settled | undefined {
  const { levelOffsetDeg: own } = setup.unit.settings;
  const levelOffsetDeg = { roll: own.roll + off.roll, pitch: own.pitch + off.pitch };
  const turned: Setup = {
    ...setup,
    unit: { ...setup.unit, settings: { ...setup.unit.settings, levelOffsetDeg } },
  };
  const ready = readyToFly(turned, draw);
  if (!ready.ok) return undefined;
  const watch = settling(SETTLED_S);
  play(
    ready.pilot,
    scenario({ start: { heightM: HEIGHT_M, controls: hands }, seconds: SECONDS }),
    [watch],
    BATCH,
  );
  const settled = watch.answer();
  return Number.isFinite(settled.sinkMps) ? settled : undefined;
}

/** What somebody saw in self-levelling with the sticks released. */
export type Drift =
  | { axis: 'pitch'; sinkMps: number; speedMps: number }
  | { axis: 'roll'; turnDegPerS: number; speedMps: number };

/** By how much what the unit takes for level is off, over the models it may be. */
export interface LevelOff {
  /** Degrees: nose up, right wing down; negative is too low. As estimated, and all of it. */
  usualDeg: number;
  leastDeg: number;
  mostDeg: number;
  draws: number;
}

/** Nobody captures level further off than this. */
const MOST_DEG = 20;
/** Off by so much to begin with, to see what comes of it. */
const FIRST_DEG = 3;

/** What an offset makes of it: the path below level, or the bank its turn belongs to, degrees. */
const seen = (axis: Drift['axis'], s: Settled): number =>
  axis === 'pitch' ? -pitchLowBy(s.sinkMps, s.airspeedMps) : bankOfDrift(s.turnDegS, s.airspeedMps);

/** The offset with which a model does what was seen, by three flights; nothing where it answers to none. */
function offsetFor(
  setup: Setup,
  hands: LevelHands,
  axis: Drift['axis'],
  wanted: number,
  draw: Draw,
): number | undefined {
  const at = (deg: number) => {
    const off = { roll: 0, pitch: 0, [axis]: deg };
    const s = settledAt(setup, hands, off, draw);
    return s && seen(axis, s);
  };
  let [before, now] = [0, Math.sign(wanted) * FIRST_DEG];
  let [was, is] = [at(before), at(now)];
  for (let i = 0; i < 3; i++) {
    if (was === undefined || is === undefined || Math.abs(is - was) < 0.02) return undefined;
    const slope = (is - was) / (now - before);
    const next = Math.max(-MOST_DEG, Math.min(MOST_DEG, now + (wanted - is) / slope));
    if (Math.abs(next - now) < 0.1) return next;
    [before, now, was, is] = [now, next, is, at(next)];
  }
  return now;
}

/**
 * By how much level was captured wrong where a model drifts so in self-levelling: the capture with which its own
 * motion is the one that was seen. A unit turns it back only in part, so that it is more than the path alone says.
 * @param draws how many models it may be are tried, the first as estimated
 * @returns yields what is known so far; nothing where its motion does not depend on the capture
 */
export function* levelOffBy(
  setup: Setup,
  hands: LevelHands,
  drift: Drift,
  draws: number,
  seed = 1,
): Generator<LevelOff> {
  const random = randomOf(seed);
  const wanted =
    drift.axis === 'pitch'
      ? -pitchLowBy(drift.sinkMps, drift.speedMps)
      : bankOfDrift(drift.turnDegPerS, drift.speedMps);
  let so: LevelOff | undefined;
  for (let draw = 0; draw < draws; draw++) {
    const deg = offsetFor(setup, hands, drift.axis, wanted, draw === 0 ? CENTRAL : drawOf(random));
    if (deg === undefined) {
      if (draw === 0) return;
      continue;
    }
    so = {
      usualDeg: so?.usualDeg ?? deg,
      leastDeg: Math.min(so?.leastDeg ?? deg, deg),
      mostDeg: Math.max(so?.mostDeg ?? deg, deg),
      draws: draw + 1,
    };
    yield so;
  }
}
