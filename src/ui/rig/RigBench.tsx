'use client';

import dynamic from 'next/dynamic';
import { useRef } from 'react';
import { switchPosition, switchValue } from '@/core/chain';
import type { Axis, Setup } from '@/core/setup';
import { PlainModel } from '../drawing/PlainModel';
import { Pictured } from '../drawing/Pictured';
import { useKeys } from '../frame/keys';
import { ChainCells } from './ChainCells';
import { Hands } from './Hands';
import { switchesOf } from './switches';
import { TextTwin } from './TextTwin';
import { usePowerUp } from './usePowerUp';
import { useRig, type RigMove } from './useRig';

const RigScene = dynamic(() => import('./RigScene'), {
  ssr: false,
  loading: () => <p className="text-soft p-4">setting the model on the stand …</p>,
});

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

const MOVES: readonly (readonly [string, Axis, number])[] = [
  ['Raise left wing', 'roll', 25],
  ['Raise right wing', 'roll', -25],
  ['Raise nose', 'pitch', 20],
  ['Raise tail', 'pitch', -20],
  ['Nose right', 'yaw', 30],
  ['Nose left', 'yaw', -30],
];

/** The virtual bench: the whole chain running, with everything on it to touch. */
export function RigBench({ setup, start }: { setup: Setup; start: readonly RigMove[] }) {
  const rig = useRig(setup, start);
  const power = usePowerUp(setup);
  const { snapshot } = rig;
  const drag = useRef<{ x: number; y: number } | undefined>(undefined);
  const { controls } = setup.transmitter;
  const momentary = controls.find((c) => c.kind === 'momentary');

  useKeys((event, phase) => {
    if (event.key === ' ' && momentary && !(event.target instanceof HTMLButtonElement)) {
      event.preventDefault();
      rig.setControl(momentary.id, phase === 'down' ? 100 : -100);
    }
    if (phase === 'up') return;
    const tilt = TILT_KEYS[event.key] ?? TILT_KEYS[event.key.toLowerCase()];
    const digit = Number(event.key);
    if (tilt) {
      event.preventDefault();
      rig.tilt(...tilt);
    } else if (event.key === 'l' || event.key === 'L') rig.setLink(!rig.linkUp);
    else if (event.key === 'c' || event.key === 'C') rig.level();
    else if (digit >= 1) {
      const flip = switchesOf(controls)[digit - 1];
      if (!flip) return;
      const count = flip.kind === 'switch-3' ? 3 : 2;
      const now = switchPosition(flip.kind, rig.controls[flip.id]!);
      rig.setControl(flip.id, switchValue(flip.kind, (now + 1) % count));
    }
  });

  return (
    <div className="flex flex-col gap-4">
      <div className="grid gap-4 lg:grid-cols-[1fr_22rem]">
        <section className="card flex min-w-0 flex-col p-0" aria-label="The model on the stand">
          <div
            className="relative h-72 touch-none sm:h-[22rem]"
            data-testid="rig-stage"
            onPointerDown={(e) => {
              drag.current = { x: e.clientX, y: e.clientY };
              e.currentTarget.setPointerCapture(e.pointerId);
            }}
            onPointerMove={(e) => {
              if (!drag.current) return;
              const dx = e.clientX - drag.current.x;
              const dy = e.clientY - drag.current.y;
              drag.current = { x: e.clientX, y: e.clientY };
              rig.tilt(e.shiftKey ? 'yaw' : 'roll', dx * 0.4);
              rig.tilt('pitch', dy * 0.3);
            }}
            onPointerUp={() => {
              drag.current = undefined;
            }}
          >
            {snapshot && (
              <Pictured
                plain={
                  <PlainModel
                    airframe={setup.airframe}
                    attitudeDeg={[
                      snapshot.attitudeDeg.roll,
                      snapshot.attitudeDeg.pitch,
                      snapshot.attitudeDeg.yaw,
                    ]}
                    surfaceDeg={power.twitched(snapshot.surfaceDeg)}
                    marked={() => true}
                    fit
                  />
                }
              >
                <RigScene
                  airframe={setup.airframe}
                  attitudeDeg={snapshot.attitudeDeg}
                  surfaceDeg={power.twitched(snapshot.surfaceDeg)}
                  correctionPct={snapshot.correctionPct}
                  mounting={setup.installation.mounting}
                  unitAt={setup.installation.positionMm}
                  motorPct={Math.max(0, ...snapshot.motorPct)}
                />
              </Pictured>
            )}
            <p className="text-soft pointer-events-none absolute bottom-1 left-3 text-sm max-sm:hidden">
              Drag to tilt; with Shift sideways swings the nose.
            </p>
          </div>
          <div className="flex flex-wrap gap-1 border-t border-(--card-edge) p-2">
            {MOVES.map(([words, axis, deg]) => (
              <button
                key={words}
                type="button"
                className="btn px-3 text-sm"
                onClick={() => rig.tilt(axis, deg)}
              >
                {words}
              </button>
            ))}
            <button type="button" className="btn px-3 text-sm" onClick={rig.level}>
              Level
            </button>
            <button type="button" className="btn px-3 text-sm" onClick={power.start}>
              Power up
            </button>
            {power.words && (
              <p role="status" className="self-center px-2 text-sm">
                {power.words}
              </p>
            )}
          </div>
        </section>
        <TextTwin setup={setup} snapshot={snapshot} linkUp={rig.linkUp} />
      </div>
      <Hands setup={setup} rig={rig} />
      {snapshot && <ChainCells setup={setup} snapshot={snapshot} />}
    </div>
  );
}
