'use client';

import { switchPosition, switchValue } from '@/core/chain';
import type { Axis } from '@/core/setup';
import { useKeys } from '../open/keys';
import { useRig } from '../live/rigStore';
import { switchesOf } from '../live/switches';

/** A press of a tilt key turns the model by this much. */
const KEY_TILT_DEG = 12;
const TILT_KEYS: Record<string, readonly [Axis, number]> = {
  ArrowLeft: ['roll', -KEY_TILT_DEG],
  ArrowRight: ['roll', KEY_TILT_DEG],
  ArrowUp: ['pitch', -KEY_TILT_DEG],
  ArrowDown: ['pitch', KEY_TILT_DEG],
  q: ['yaw', -KEY_TILT_DEG],
  e: ['yaw', KEY_TILT_DEG],
};

/** The keys of the rig, at every station: a station that uses one of them itself has it first. */
export function RigKeys() {
  const controls = useRig((s) => s.setup.transmitter.controls);
  const values = useRig((s) => s.controls);
  const linkUp = useRig((s) => s.linkUp);
  const setControl = useRig((s) => s.setControl);
  const setLink = useRig((s) => s.setLink);
  const tilt = useRig((s) => s.tilt);
  const level = useRig((s) => s.level);
  useKeys((event, phase) => {
    const momentary = controls.find((c) => c.kind === 'momentary');
    const onButton = event.target instanceof Element && event.target.closest('button, a, summary');
    if (event.key === ' ' && momentary && !onButton) {
      event.preventDefault();
      setControl(momentary.id, phase === 'down' ? 100 : -100);
    }
    if (phase === 'up') return;
    const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const turn = TILT_KEYS[key];
    const digit = Number(key);
    if (turn) {
      event.preventDefault();
      tilt(...turn);
    } else if (key === 'l') setLink(!linkUp);
    else if (key === 'c') level();
    else if (digit >= 1) {
      const flip = switchesOf(controls)[digit - 1];
      if (!flip) return;
      const count = flip.kind === 'switch-3' ? 3 : 2;
      const now = switchPosition(flip.kind, values[flip.id] ?? flip.rest);
      setControl(flip.id, switchValue(flip.kind, (now + 1) % count));
    }
  });
  return null;
}
