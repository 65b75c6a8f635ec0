'use client';

import { proxy, wrap, type Remote } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Axis, Setup } from '@/core/setup';
import type { Snapshot } from '@/core/standin';
import type { RigWorker } from '@/workers/rig.worker';

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

/**
 * Runs the virtual bench in its worker for as long as the page shows it.
 * @param start controls already moved when it begins, by id
 */
export function useRig(setup: Setup, start: Record<string, number>): RigHandle {
  const remote = useRef<Remote<RigWorker> | undefined>(undefined);
  const [snapshot, setSnapshot] = useState<Snapshot>();
  const [linkUp, setLinkUp] = useState(true);
  const rest = useMemo(
    () => Object.fromEntries(setup.transmitter.controls.map((c) => [c.id, c.rest])),
    [setup],
  );
  const [moved, setMoved] = useState<Record<string, number>>(start);
  const held = useRef(moved);

  useEffect(() => {
    const worker = new Worker(new URL('../../workers/rig.worker.ts', import.meta.url), {
      type: 'module',
    });
    const rig = wrap<RigWorker>(worker);
    remote.current = rig;
    void rig.load(setup, held.current, proxy(setSnapshot));
    return () => {
      remote.current = undefined;
      worker.terminate();
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
