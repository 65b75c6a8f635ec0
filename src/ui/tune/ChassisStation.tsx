'use client';

import { isDone, checklist } from '@/core/logbook';
import { kindOf } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { WhenProved } from '../open/verdict';
import { useWishes } from '../program/useWishes';
import { WhatElse } from '../program/WhatElse';
import { TestScript } from '../checks/TestScript';
import { LOCAL_RULES } from '../words';

/** The model without its gyro: each check with what the gyro would hide. */
export function ChassisStation() {
  return (
    <WhenProved>
      <Chassis />
    </WhenProved>
  );
}

function Chassis() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const wishing = useWishes();
  const { wishes, wish } = wishing;
  const { lock, ...open } = wishes;
  const script = checklist(setup, evidence, 'chassis');
  const done = script.every((s) => isDone(s.status));
  const { outside } = kindOf(setup.airframe);
  return (
    <div className="flex flex-col gap-4">
      <p className="border-caution bg-card border-l-4 px-3 py-2">
        {outside} {LOCAL_RULES}
      </p>
      {setup.unit.traits.gainLaw !== 'fixed' && (
        <section className="card flex flex-wrap items-center gap-3" aria-labelledby="lock-title">
          <div className="min-w-60 flex-1">
            <h2 id="lock-title" className="text-lg font-bold">
              {lock ? 'The gain is locked at off' : 'The gain is unlocked'}
            </h2>
            <p className="text-soft">
              {lock
                ? done
                  ? 'All correct without the gyro: unlock the gain, enter the sheet again, and go on.'
                  : 'Whatever the dial says, the gyro does nothing. Unlock it when everything below is correct.'
                : 'Lock it at off in the program, so that a bumped dial cannot help you unnoticed.'}
            </p>
          </div>
          <button
            type="button"
            className={`btn ${lock && done ? 'btn-main' : ''}`}
            onClick={() =>
              wish(
                lock ? open : { ...wishes, lock: { until: 'chassis' } },
                lock ? 'Gain unlocked' : 'Gain locked at off',
              )
            }
          >
            {lock ? 'Unlock the gain' : 'Lock the gain at off'}
          </button>
          <WhatElse {...wishing} />
        </section>
      )}
      <TestScript title="Gyro off, in this order" steps={script} />
    </div>
  );
}
