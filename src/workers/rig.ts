import type { BenchState } from '../core/script';
import type { Axis, Setup } from '../core/setup';
import { createBench, type Bench, type Snapshot } from '../core/standin';

const TICK_MS = 33;
/** A bench on which nothing changes still says that it is there. */
const ALIVE_MS = 1000;

/** Something done on the bench: a control put somewhere, or a wait. */
export type RigMove = { control: string; value: number } | { waitS: number };

/** How the bench stands as it is loaded: as a step put it, or as somebody moved it since. */
export interface Standing {
  moves: readonly RigMove[];
  put: BenchState | undefined;
  linkUp: boolean;
}

/** The virtual bench, ticking: in a worker, or in the page where a browser gives it none. */
export function createRig() {
  let bench: Bench | undefined;
  let timer: ReturnType<typeof setInterval> | undefined;
  return {
    /** Puts a Setup on the bench, everything as it stood before. */
    load(setup: Setup, standing: Standing, onTick: (snapshot: Snapshot) => void) {
      clearInterval(timer);
      bench = createBench(setup);
      if (standing.put) bench.put(standing.put);
      else bench.play(standing.moves);
      bench.setLink(standing.linkUp);
      let last = performance.now();
      let told = '';
      let toldAt = -ALIVE_MS;
      timer = setInterval(() => {
        const now = performance.now();
        const dtS = Math.min(0.2, (now - last) / 1000);
        last = now;
        const snapshot = bench!.advance(dtS);
        const text = JSON.stringify(snapshot);
        if (text === told && now - toldAt < ALIVE_MS) return;
        told = text;
        toldAt = now;
        onTick(snapshot);
      }, TICK_MS);
    },
    setControl(id: string, value: number) {
      bench?.setControl(id, value);
    },
    setLink(up: boolean) {
      bench?.setLink(up);
    },
    tilt(axis: Axis, byDeg: number) {
      bench?.tilt(axis, byDeg);
    },
    level() {
      bench?.level();
    },
    /** Puts every control at rest, then does things in order. */
    play(moves: readonly RigMove[]) {
      bench?.rest();
      bench?.play(moves);
    },
    /** Sets controls, attitude and signal to a state. */
    put(state: BenchState) {
      bench?.put(state);
    },
    stop() {
      clearInterval(timer);
    },
  };
}

export type Rig = ReturnType<typeof createRig>;
