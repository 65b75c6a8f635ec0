'use client';

import { Link } from '../parts/Link';
import { useMemo } from 'react';
import { USUAL_STEERING } from '@/core/catalogue';
import { checklist } from '@/core/logbook';
import { axisFunction, stickOf } from '@/core/chain';
import { compileStops } from '@/core/linkage';
import { steeringEnds, steeringOf } from '@/core/plan';
import { kindOf } from '@/core/setup';
import { FindingsOf } from '../findings/Findings';
import { Slider } from '../fields/Slider';
import { useModel } from '../open/modelStore';
import { Throws } from '../plain/Throws';
import { useRig } from '../live/rigStore';
import { TestScript } from '../checks/TestScript';
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
      <TestScript title="Now on the model" steps={checklist(setup, evidence, 'steering')} />
      <Link href={`/models/${id}/capture`} className="btn self-start">
        Then let the unit learn
      </Link>
    </div>
  );
}

/** The drawing as the rig has it: the hand here is the hand there. */
function Drawn() {
  const setup = useModel((s) => s.setup);
  const { steering, servo, sense } = steeringOf(setup)!;
  const stops = useMemo(() => compileStops(steering), [steering]);
  const servoDeg = useRig((s) => s.snapshot?.servoDeg[servo]) ?? 0;
  const setControl = useRig((s) => s.setControl);
  const at = stickOf(setup.transmitter, axisFunction(setup, 'yaw'));
  const id = setup.transmitter.controls[at]?.id;
  const hand = useRig((s) => (id === undefined ? 0 : (s.controls[id] ?? 0)));
  const words = hand === 0 ? 'straight' : `${Math.abs(hand)} % ${hand < 0 ? 'left' : 'right'}`;
  return (
    <section className="card" aria-label="The steering from above">
      <SteeringDrawing steering={steering} servoDeg={stops(sense * servoDeg)} />
      {id !== undefined && (
        <div className="flex items-center gap-3 text-sm font-semibold">
          your hand
          <Slider
            label="your hand"
            words={words}
            step={5}
            centred
            value={hand}
            onChange={(v) => setControl(id, v)}
            className="h-11 flex-1"
          />
          <span className="num w-24 text-right font-normal">{words}</span>
        </div>
      )}
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
