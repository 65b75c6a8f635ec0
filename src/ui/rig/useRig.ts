'use client';

import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Axis, Setup } from '@/core/setup';
import type { Snapshot } from '@/core/standin';
import type { Rig, RigMove } from '@/workers/rig';

export interface RigHandle {
  snapshot: Snapshot | undefined;
  /** Control values as the hands have put them, at once; the snapshot follows. */
  controls: Record<string, number>;
  linkUp: boolean;
  setControl(id: string, value: number): void;
  setLink(up: boolean): void;
  tilt(axis: Axis, byDeg: number): void;
  level(): void;
}

export type { RigMove };

/** A bench that says nothing for so long is gone: it ticks thirty times a second. */
const SILENCE_MS = 4000;

/**
 * Runs the virtual bench in its worker for as long as the page shows it.
 * @param start what is done, in order, when it begins
 */
export function useRig(setup: Setup, start: readonly RigMove[]): RigHandle {
  const remote = useRef<Remote<Rig> | Rig | undefined>(undefined);
  const [snapshot, setSnapshot] = useState<Snapshot>();
  const [linkUp, setLinkUp] = useState(true);
  const rest = useMemo(
    () => Object.fromEntries(setup.transmitter.controls.map((c) => [c.id, c.rest])),
    [setup],
  );
  const [moved, setMoved] = useState<Record<string, number>>(() =>
    Object.fromEntries(start.flatMap((m) => ('control' in m ? [[m.control, m.value]] : []))),
  );
  const held = useRef(moved);
  const begin = useRef<readonly RigMove[] | undefined>(start);

  useEffect(() => {
    // The order matters the first time only; after an edit the hands are simply where they are.
    const moves =
      begin.current ?? Object.entries(held.current).map(([control, value]) => ({ control, value }));
    let heardAt = performance.now();
    const onTick = (next: Snapshot) => {
      heardAt = performance.now();
      begin.current = undefined;
      setSnapshot(next);
    };
    let worker: Worker | undefined;
    let here: Rig | undefined;
    let gone = false;
    /** A browser that gives no worker, or ends it, leaves the bench to the page. */
    const runHere = () => {
      worker?.terminate();
      worker = undefined;
      void import('@/workers/rig').then(({ createRig }) => {
        if (here || gone) return;
        here = createRig();
        here.load(setup, moves, onTick);
        remote.current = here;
      });
    };
    try {
      worker = new Worker(new URL('../../workers/rig.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.addEventListener('error', runHere);
      const rig = wrap<Rig>(worker);
      remote.current = rig;
      rig.load(setup, [...moves], proxy(onTick)).catch(runHere);
    } catch {
      runHere();
    }
    const watch = setInterval(() => {
      if (worker && !document.hidden && performance.now() - heardAt > SILENCE_MS) runHere();
    }, SILENCE_MS / 4);
    return () => {
      gone = true;
      clearInterval(watch);
      remote.current = undefined;
      worker?.terminate();
      here?.stop();
    };
  }, [setup]);

  const setControl = useCallback((id: string, value: number) => {
    held.current = { ...held.current, [id]: value };
    setMoved(held.current);
    void remote.current?.setControl(id, value);
  }, []);
  const setLink = useCallback((up: boolean) => {
    setLinkUp(up);
    void remote.current?.setLink(up);
  }, []);
  const tilt = useCallback((axis: Axis, byDeg: number) => {
    void remote.current?.tilt(axis, byDeg);
  }, []);
  const level = useCallback(() => void remote.current?.level(), []);
  const controls = useMemo(() => ({ ...rest, ...moved }), [rest, moved]);
  return { snapshot, controls, linkUp, setControl, setLink, tilt, level };
}
