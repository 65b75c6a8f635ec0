import type { Chain } from '../chain';
import { randomOf } from '../dice';
import type { Setup } from '../setup';
import {
  panicControlOf,
  witnessOfRow,
  type PanicControl,
  type Proof,
  type Witness,
} from '../verify';
import { CENTRAL, drawOf, type Draw } from './estimates';
import { recovering } from './observers';
import { BATCH, play, readyToFly, type Pilot } from './runner';
import { scenario, type Scenario } from './scenario';
import { apart, startedFrom } from './situations';

/** Attitudes panic is tried from. */
export const ATTITUDES = [
  { id: 'level', words: 'level', rollDeg: 0, pitchDeg: 0 },
  { id: 'banked', words: 'bank 90°', rollDeg: 90, pitchDeg: 0 },
  { id: 'inverted', words: 'inverted', rollDeg: 178, pitchDeg: 0 },
  { id: 'inverted-up', words: 'inverted, nose 30° up', rollDeg: 178, pitchDeg: 30 },
  { id: 'up', words: 'nose 60° up', rollDeg: 0, pitchDeg: 60 },
  { id: 'down', words: 'nose 60° down', rollDeg: 0, pitchDeg: -60 },
  { id: 'spiral', words: 'bank 70°, nose 40° down', rollDeg: 70, pitchDeg: -40 },
] as const;

/** Speeds it is tried at, of the usual one. */
export const SPEED_SHARES = [0.65, 0.85, 1, 1.25, 1.55] as const;

/** High enough that the ground has no part in it, and time enough to come back. */
const HEIGHT_M = 400;
const SECONDS = 10;

/** Steps in which a program comes to rest, seconds. */
const SETTLE_S = 0.05;

/** A state panic is pressed in, and the states that are the same to the unit. */
export interface PanicState {
  witness: Witness;
  /** How many states of the proof it stands for. */
  count: number;
  /** Whether the proof has it that panic levels the model from here. */
  righted: boolean;
}

/** Height until level again over everything it may be; lost where it does not come back within ten seconds. */
export interface PanicCell {
  attitude: (typeof ATTITUDES)[number]['id'];
  speedMps: number;
  leastM: number;
  mostM: number;
  /** Flights that did not come back, of all. */
  lost: number;
  flights: number;
  /** The worst of them, to be played again. */
  worst: { draw: Draw; scenario: Scenario };
}

export interface PanicMap {
  states: PanicState[];
  speeds: number[];
  cells: PanicCell[];
  draws: number;
}

/** States of the proof in which panic can be pressed; those that give the unit the same pulses and memory once. */
export function panicStates(setup: Setup, proof: Proof): PanicState[] {
  const panic = panicControlOf(setup);
  const ready = readyToFly(setup);
  if (!panic || !ready.ok) return [];
  const { chain } = ready.pilot;
  const found = new Map<string, PanicState>();
  proof.rows.forEach((row, at) => {
    if (!row.panic) return;
    const witness = witnessOfRow(setup, at, 'panic from here');
    if (!witness) return;
    // Panic is for somebody who has let go of the sticks.
    const released = apart(setup, witness).standing;
    const key = sentBy(setup, chain, released, panic);
    const known = found.get(key);
    if (known) known.count += 1;
    else found.set(key, { witness: released, count: 1, righted: row.panic.righted });
  });
  return [...found.values()];
}

/** What the unit is sent with panic pressed in a state, and what the program remembers: alike, it does the same. */
function sentBy(setup: Setup, chain: Chain, witness: Witness, panic: PanicControl): string {
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  memory.armed = true;
  const frame = chain.newFrame();
  const put = (control: string, value: number) => {
    stimulus.controls[chain.layout.controls.get(control)!] = value;
  };
  const send = (dtS: number) => {
    stimulus.dtS = dtS;
    chain.send(stimulus, memory, frame);
  };
  if (!witness.steps)
    for (const [control, value] of Object.entries(witness.controls)) put(control, value);
  for (const move of witness.steps ?? []) {
    if ('control' in move) put(move.control, move.value);
    send('waitS' in move ? move.waitS : SETTLE_S);
  }
  stimulus.controls[panic.at] = panic.value;
  for (let t = 0; t < 2; t += SETTLE_S) send(SETTLE_S);
  const remembered = memory.logic.slice(0, setup.program.logic.length);
  return [...frame.receivedUs, ...remembered].map((x) => Math.round(x * 10)).join();
}

/** Panic pressed in a state from an attitude at a speed. */
export function panicScenario(
  setup: Setup,
  { witness }: PanicState,
  attitude: (typeof ATTITUDES)[number],
  speedMps: number,
  heightM = HEIGHT_M,
): Scenario {
  const panic = panicControlOf(setup)!;
  const made = scenario({
    start: { heightM, speedMps, rollDeg: attitude.rollDeg, pitchDeg: attitude.pitchDeg },
    hands: [{ atS: 0, controls: { [panic.id]: panic.value } }],
    seconds: SECONDS,
  });
  return { ...made, start: startedFrom(made.start, witness) };
}

/**
 * The whole map, a cell at a time: first everything as estimated, then over the spreads.
 * @param draws how many models it may be are tried, with the first as estimated
 * @returns yields the map as far as it is
 */
export function* panicMap(
  setup: Setup,
  proof: Proof,
  draws: number,
  seed = 1,
): Generator<PanicMap> {
  const states = panicStates(setup, proof);
  const { cruiseMps } = setup.airframe.measures;
  const speeds = SPEED_SHARES.map((share) => Math.round(share * cruiseMps * 10) / 10);
  const cells = new Map<string, PanicCell>();
  const random = randomOf(seed);
  const gone = new Set<string>();
  const map = (done: number): PanicMap => ({
    states,
    speeds,
    cells: [...cells.values()],
    draws: done,
  });
  if (states.length === 0) return;
  for (let draw = 0; draw < draws; draw++) {
    const own: Draw = draw === 0 ? CENTRAL : drawOf(random);
    const ready = readyToFly(setup, own);
    if (!ready.ok) continue;
    for (const attitude of ATTITUDES)
      for (const speedMps of speeds) {
        for (let state = 0; state < states.length; state++)
          // What does not come back as estimated is lost: it is not tried again.
          if (
            !gone.has(`${attitude.id} ${speedMps} ${state}`) &&
            !tried(ready.pilot, cells, states[state]!, attitude, speedMps)
          )
            gone.add(`${attitude.id} ${speedMps} ${state}`);
        // The first picture comes as it is made.
        if (draw === 0) yield map(1);
      }
    yield map(draw + 1);
  }
}

function tried(
  pilot: Pilot,
  cells: Map<string, PanicCell>,
  from: PanicState,
  attitude: (typeof ATTITUDES)[number],
  speedMps: number,
): boolean {
  const made = panicScenario(pilot.setup, from, attitude, speedMps);
  const watch = recovering();
  play(pilot, made, [watch], BATCH);
  const { levelS, heightLostM } = watch.answer();
  const key = `${attitude.id} ${speedMps}`;
  const height = levelS === undefined ? Infinity : heightLostM;
  const cell = cells.get(key);
  if (!cell) {
    cells.set(key, {
      attitude: attitude.id,
      speedMps,
      leastM: height,
      mostM: height,
      lost: levelS === undefined ? 1 : 0,
      flights: 1,
      worst: { draw: pilot.draw, scenario: made },
    });
    return levelS !== undefined;
  }
  cell.flights += 1;
  if (levelS === undefined) cell.lost += 1;
  cell.leastM = Math.min(cell.leastM, height);
  if (height > cell.mostM) {
    cell.mostM = height;
    cell.worst = { draw: pilot.draw, scenario: made };
  }
  return levelS !== undefined;
}

/** What a map comes to: the worst of it, and from inverted at its usual speed. */
export function panicMapWords({ cells, speeds }: PanicMap): string[] {
  const words = (id: PanicCell['attitude']) => ATTITUDES.find((a) => a.id === id)!.words;
  const lost = cells.filter((c) => c.lost > 0);
  const back = cells.filter((c) => c.lost < c.flights && Number.isFinite(c.leastM));
  const [worst] = cells.filter((c) => c.lost === 0).toSorted((a, b) => b.mostM - a.mostM);
  const inverted = back.find((c) => c.attitude === 'inverted' && c.speedMps === speeds[2]);
  return [
    ...(inverted
      ? [
          `From inverted at its usual speed: ${Math.round(inverted.leastM)} ${inverted.lost > 0 ? 'm or more' : `to ${Math.round(inverted.mostM)} m`} of height.`,
        ]
      : []),
    ...(worst
      ? [
          `The most where it always comes back: ${Math.round(worst.mostM)} m, from ${words(worst.attitude)} at ${worst.speedMps} m/s.`,
        ]
      : []),
    ...(lost.length > 0
      ? [
          `Not level within ${SECONDS} s, some of the time: ${[...new Set(lost.map((c) => words(c.attitude)))].join('; ')}.`,
        ]
      : []),
  ];
}
