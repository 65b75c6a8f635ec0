'use client';

import Link from 'next/link';
import { useState } from 'react';
import { USUAL_STEERING } from '@/core/catalogue';
import { tests } from '@/core/logbook';
import { steeringEnds } from '@/core/plan';
import { kindOf } from '@/core/setup';
import { FindingsOf } from '../findings/Findings';
import { useModel } from '../frame/modelStore';
import { Throws } from '../plain/Throws';
import { TestScript } from '../recovery/TestScript';
import { Ackermann } from './Ackermann';
import { Ends } from './Ends';
import { SteeringDrawing } from './SteeringDrawing';
import { SteeringMeasures } from './SteeringMeasures';

/** What steers, from the hand to the stop: drawn from above, its two ends, and what is loose. */
export function SteeringStation() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const { steering } = setup.airframe;
  const wheels = kindOf(setup.airframe).moves === 'wheels';
  return (
    <div className="flex min-w-0 flex-col gap-4">
      {wheels && steering ? (
        <div className="grid gap-4 @4xl:grid-cols-[1fr_22rem]">
          <div className="flex min-w-0 flex-col gap-4">
            <Drawn />
            <Ends ends={steeringEnds(setup)} />
            <FindingsOf step="steering" />
          </div>
          <div className="flex min-w-0 flex-col gap-4">
            <SteeringMeasures steering={steering} />
            <Ackermann steering={steering} />
          </div>
        </div>
      ) : (
        <>
          {wheels && <Measure />}
          <Throws />
        </>
      )}
      <TestScript title="Now on the model" steps={tests(setup, evidence, 'steering')} />
      <Link href={`/models/${id}/capture`} className="btn self-start">
        Then teach the unit
      </Link>
    </div>
  );
}

/** The drawing, turned by a hand of its own. */
function Drawn() {
  const steering = useModel((s) => s.setup.airframe.steering)!;
  const ends = steeringEnds(useModel((s) => s.setup));
  const [hand, setHand] = useState(0);
  const [left, right] = ends;
  const end = hand < 0 ? left : right;
  const share = Math.abs(hand) / 100;
  const reached = Math.min(end?.servoDeg ?? 0, end?.lockDeg ?? Infinity);
  const servoDeg = (hand < 0 ? 1 : -1) * Math.min(share * (end?.servoDeg ?? 0), reached);
  return (
    <section className="card" aria-label="The steering from above">
      <SteeringDrawing steering={steering} servoDeg={servoDeg} />
      <label className="flex items-center gap-3 text-sm font-semibold">
        your hand
        <input
          type="range"
          min={-100}
          max={100}
          step={5}
          value={hand}
          className="h-11 flex-1 accent-(--accent)"
          aria-valuetext={
            hand === 0 ? 'straight' : `${Math.abs(hand)} % ${hand < 0 ? 'left' : 'right'}`
          }
          onChange={(e) => setHand(Number(e.target.value))}
        />
        <span className="num w-24 text-right font-normal">
          {hand === 0 ? 'straight' : `${Math.abs(hand)} % ${hand < 0 ? 'left' : 'right'}`}
        </span>
      </label>
    </section>
  );
}

/** Nothing is measured yet: what it is good for, and a start. */
function Measure() {
  const { trackMm } = useModel((s) => s.setup.airframe.measures);
  const edit = useModel((s) => s.edit);
  return (
    <section className="card flex flex-wrap items-center gap-3">
      <p className="min-w-60 flex-1">
        With a few measures of arm, crank or rack and knuckles the ends are worked out before you
        touch the servo, and you see how the two wheels turn against each other.
      </p>
      <button
        type="button"
        className="btn btn-main"
        onClick={() =>
          void edit(
            [
              {
                op: 'add',
                path: '/airframe/steering',
                value: { ...USUAL_STEERING, kingpinMm: Math.round(trackMm * 0.85) },
              },
            ],
            'Steering drawn from the usual measures',
          )
        }
      >
        Draw it, from the usual measures
      </button>
    </section>
  );
}
