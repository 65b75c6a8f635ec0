import type { Axis, Setup } from '../core/setup';
import { createBench, type Bench, type Snapshot } from '../core/standin';

const TICK_MS = 33;

/** Something done on the bench: a control put somewhere, or a wait. */
export type RigMove = { control: string; value: number } | { waitS: number };

/** The virtual bench, ticking: in a worker, or in the page where a browser gives it none. */
export function createRig() {
  let bench: Bench | undefined;
  let timer: ReturnType<typeof setInterval> | undefined;
  return {
    /** Puts a Setup on the bench; hands already holding controls keep them. */
    load(setup: Setup, moves: readonly RigMove[], onTick: (snapshot: Snapshot) => void) {
      clearInterval(timer);
      bench = createBench(setup);
      bench.play(moves);
      let last = performance.now();
      timer = setInterval(() => {
        const now = performance.now();
        const dtS = Math.min(0.2, (now - last) / 1000);
        last = now;
        onTick(bench!.advance(dtS));
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
    stop() {
      clearInterval(timer);
    },
  };
}

export type Rig = ReturnType<typeof createRig>;
