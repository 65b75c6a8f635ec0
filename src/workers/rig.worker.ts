import { expose } from 'comlink';
import { createBench, type Bench, type Snapshot } from '../core/standin';
import type { Axis, Setup } from '../core/setup';

const TICK_MS = 33;

let bench: Bench | undefined;
let timer: ReturnType<typeof setInterval> | undefined;

/** The virtual bench, ticking off the main thread. */
const rig = {
  /** Puts a Setup on the bench; hands already holding controls keep them. */
  load(
    setup: Setup,
    moves: readonly ({ control: string; value: number } | { waitS: number })[],
    onTick: (snapshot: Snapshot) => void,
  ) {
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

export type RigWorker = typeof rig;

expose(rig);
