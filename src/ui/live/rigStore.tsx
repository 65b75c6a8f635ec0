'use client';

import { proxy, type Remote } from 'comlink';
import { createContext, useContext, useEffect, useState } from 'react';
import { createStore, useStore, type StoreApi } from 'zustand';
import type { BenchState } from '@/core/script';
import type { Axis, Setup } from '@/core/setup';
import type { Snapshot } from '@/core/standin';
import type { Rig, RigMove, Standing } from '@/workers/rig';
import { WorkerLine } from '../open/workerLine';

export type { RigMove };

/** Parts of the rig that something on the screen speaks of, or that were touched. */
export interface Pointed {
  controls?: readonly string[];
  surfaces?: readonly string[];
}

export interface RigState {
  /** What is on the bench. */
  setup: Setup;
  snapshot: Snapshot | undefined;
  /** Control values as the hands have put them, at once; the snapshot follows. */
  controls: Record<string, number>;
  /** Where every control rests. */
  rest: Record<string, number>;
  linkUp: boolean;
  /** What the pointer or the focus is on in the station in hand. */
  pointed: Pointed | undefined;
  /** What was touched last on the rig itself. */
  touched: Pointed | undefined;
  /** How far the rig's sheet is pulled up on a small screen. */
  sheet: 'bar' | 'half' | 'whole';
  setSheet(sheet: RigState['sheet']): void;
  /** Whether the open station shows this transmitter itself, larger. */
  faceShown: boolean;
  setFaceShown(shown: boolean): void;
  setControl(id: string, value: number): void;
  setLink(up: boolean): void;
  tilt(axis: Axis, byDeg: number): void;
  level(): void;
  /** Puts everything back at rest, then does things in order, as a finding asks for its witness. */
  play(moves: readonly RigMove[]): void;
  /** Sets the state a step asks for, and remembers the one before the first step. */
  put(state: BenchState): void;
  /** Restores controls, attitude and signal to what they were before the first step. */
  putBack(): void;
  point(at: Pointed | undefined): void;
  touch(at: Pointed | undefined): void;
}

type RigStore = StoreApi<RigState> & {
  bench: BenchLine;
  /** The state a step has set; undefined once a person has moved something. */
  putNow: () => BenchState | undefined;
};

/** A bench that says nothing for so long is gone: it says at least that it is there once a second. */
const SILENCE_MS = 4000;

/** The line to the bench: in its worker, or in the page where a browser gives none. */
class BenchLine {
  private remote: Remote<Rig> | Rig | undefined;

  do(act: (rig: Remote<Rig> | Rig) => unknown): void {
    if (this.remote) void act(this.remote);
  }

  /** Runs the bench until the returned function is called. */
  run(setup: Setup, standing: Standing, told: (snapshot: Snapshot) => void): () => void {
    const worker = new WorkerLine<Rig>(
      () => new Worker(new URL('../../workers/rig.worker.ts', import.meta.url), { type: 'module' }),
      SILENCE_MS,
    );
    let here: Rig | undefined;
    let gone = false;
    const runHere = () => {
      void import('@/workers/rig').then(({ createRig }) => {
        if (here || gone) return;
        here = createRig();
        here.load(setup, standing, told);
        this.remote = here;
      });
    };
    const { remote, heard, end } = worker.begin(runHere);
    this.remote = remote;
    remote
      ?.load(
        setup,
        standing,
        proxy((next: Snapshot) => {
          heard();
          if (!gone && !here) told(next);
        }),
      )
      .catch(() => {
        end(true);
        runHere();
      });
    return () => {
      gone = true;
      this.remote = undefined;
      end(true);
      here?.stop();
    };
  }
}

const restOf = (setup: Setup) =>
  Object.fromEntries(setup.transmitter.controls.map((c) => [c.id, c.rest]));

function createRigStore(first: Setup): RigStore {
  const bench = new BenchLine();
  let before: BenchState | undefined;
  let now: BenchState | undefined;
  const byHand = (act: Parameters<BenchLine['do']>[0]) => {
    now = undefined;
    bench.do(act);
  };
  const store = createStore<RigState>((set, get) => ({
    setup: first,
    snapshot: undefined,
    controls: restOf(first),
    rest: restOf(first),
    linkUp: true,
    pointed: undefined,
    touched: undefined,
    sheet: 'bar',
    setSheet: (sheet) => set({ sheet }),
    faceShown: false,
    setFaceShown: (faceShown) => set({ faceShown }),
    setControl(id, value) {
      set({ controls: { ...get().controls, [id]: value } });
      byHand((rig) => rig.setControl(id, value));
    },
    setLink(linkUp) {
      set({ linkUp });
      byHand((rig) => rig.setLink(linkUp));
    },
    tilt: (axis, byDeg) => byHand((rig) => rig.tilt(axis, byDeg)),
    level: () => byHand((rig) => rig.level()),
    play(moves) {
      const put = moves.flatMap((m) => ('control' in m ? [[m.control, m.value] as const] : []));
      set({ controls: { ...get().rest, ...Object.fromEntries(put) }, linkUp: true });
      byHand((rig) => rig.setLink(true));
      byHand((rig) => rig.play([...moves]));
    },
    put(state) {
      const { controls, linkUp, snapshot, rest } = get();
      before ??= {
        controls,
        ...(snapshot ? { attitudeDeg: snapshot.attitudeDeg } : {}),
        ...(linkUp ? {} : { linkUp }),
      };
      now = state;
      set({ controls: { ...rest, ...state.controls }, linkUp: state.linkUp ?? true });
      bench.do((rig) => rig.put(state));
    },
    putBack() {
      if (!before) return;
      const state = before;
      before = undefined;
      now = state;
      set({ controls: { ...get().rest, ...state.controls }, linkUp: state.linkUp ?? true });
      bench.do((rig) => rig.put(state));
    },
    point: (pointed) => set({ pointed }),
    touch: (touched) => set({ touched }),
  }));
  return Object.assign(store, { bench, putNow: () => now });
}

const RigContext = createContext<RigStore | undefined>(undefined);

/** A virtual bench with this on it, running for as long as it is on the page. */
export function RigProvider({ setup, children }: { setup: Setup; children: React.ReactNode }) {
  const [store] = useState(() => createRigStore(setup));
  useEffect(() => {
    const rest = restOf(setup);
    // Hands that hold something keep it through an edit; a control that is gone is let go.
    const controls = Object.fromEntries(
      Object.entries(rest).map(([id, value]) => [id, store.getState().controls[id] ?? value]),
    );
    // What was seen of a model with other surfaces or motors says nothing of this one.
    const { snapshot } = store.getState();
    const fits =
      snapshot?.surfaceDeg.length === setup.airframe.surfaces.length &&
      snapshot.motorPct.length === setup.airframe.motors.length &&
      snapshot.portsUs.length === setup.unit.traits.ports.length;
    store.setState({ setup, controls, rest, ...(fits ? {} : { snapshot: undefined }) });
    const moves = Object.entries(controls)
      .filter(([id, value]) => value !== rest[id])
      .map(([control, value]) => ({ control, value }));
    const standing = { moves, put: store.putNow(), linkUp: store.getState().linkUp };
    return store.bench.run(setup, standing, (snapshot) => store.setState({ snapshot }));
  }, [setup, store]);
  return <RigContext value={store}>{children}</RigContext>;
}

/** Reads from the rig. */
export function useRig<T>(select: (state: RigState) => T): T {
  const store = useContext(RigContext);
  if (!store) throw new Error('useRig outside of a model page');
  return useStore(store, select);
}

/** Handlers for anything on a station: looked at or focused, what it speaks of is shown on the rig. */
export function usePointing(): (at: Pointed) => {
  onPointerEnter: () => void;
  onPointerLeave: () => void;
  onFocus: () => void;
  onBlur: () => void;
} {
  const point = useRig((s) => s.point);
  return (at) => ({
    onPointerEnter: () => point(at),
    onPointerLeave: () => point(undefined),
    onFocus: () => point(at),
    onBlur: () => point(undefined),
  });
}
