'use client';

import dynamic from 'next/dynamic';
import { capital, kindOf, type Airframe, type Axis } from '@/core/setup';
import { PlainModel } from '../drawing/PlainModel';
import { Pictured } from '../drawing/Pictured';
import { LinkButton } from '../live/LinkButton';
import { ChainCells } from './ChainCells';
import { TextTwin } from './TextTwin';
import { usePowerUp } from './usePowerUp';
import { LiveFace } from '../transmitter/LiveFace';
import { RigKeys } from './RigKeys';
import { useRig } from '../live/rigStore';
import { Trims } from './Trims';
import { useTiltDrag } from '../live/useTiltDrag';
import { SETTING_UP } from '../words';

const RigScene = dynamic(() => import('./RigScene'), {
  ssr: false,
  loading: () => <p className="text-soft p-4">{SETTING_UP}</p>,
});

function movesOf(airframe: Airframe): (readonly [string, Axis, number])[] {
  const { onSurface, front, back } = kindOf(airframe);
  const head = capital(front);
  const sideWords = onSurface ? 'side' : 'wing';
  return [
    [`Raise left ${sideWords}`, 'roll', 25],
    [`Raise right ${sideWords}`, 'roll', -25],
    [`Raise ${front}`, 'pitch', 20],
    [`Raise ${back}`, 'pitch', -20],
    [`${head} right`, 'yaw', 30],
    [`${head} left`, 'yaw', -30],
  ];
}

/** The virtual bench: the whole chain running, with everything on it to touch. */
export function RigBench() {
  const setup = useRig((s) => s.setup);
  const snapshot = useRig((s) => s.snapshot);
  const tilt = useRig((s) => s.tilt);
  const level = useRig((s) => s.level);
  const linkUp = useRig((s) => s.linkUp);
  const power = usePowerUp(setup);
  const drag = useTiltDrag();
  return (
    <div className="flex flex-col gap-4">
      <div className="grid gap-4 @4xl:grid-cols-[1fr_22rem]">
        <section className="card flex min-w-0 flex-col p-0" aria-label="The model on the stand">
          <div className="relative h-72 touch-none @lg:h-[22rem]" data-testid="rig-stage" {...drag}>
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
            <p className="text-soft pointer-events-none absolute bottom-1 left-3 text-sm @max-lg:hidden">
              Drag to tilt; with Shift sideways turns it.
            </p>
          </div>
          <div className="flex flex-wrap gap-1 border-t border-(--card-edge) p-2">
            {movesOf(setup.airframe).map(([words, axis, deg]) => (
              <button
                key={words}
                type="button"
                className="btn px-3 text-sm"
                onClick={() => tilt(axis, deg)}
              >
                {words}
              </button>
            ))}
            <button type="button" className="btn px-3 text-sm" onClick={level}>
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
        <TextTwin setup={setup} snapshot={snapshot} linkUp={linkUp} />
      </div>
      <section className="card" aria-label="Hands">
        <LiveFace className="mx-auto h-60 max-w-2xl" />
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <LinkButton />
          <Trims />
        </div>
      </section>
      <RigKeys />
      {snapshot && <ChainCells setup={setup} snapshot={snapshot} />}
    </div>
  );
}
