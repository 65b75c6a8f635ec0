'use client';

import { useMemo } from 'react';
import { compileChain } from '@/core/chain';
import { checklist } from '@/core/logbook';
import { isThrow } from '@/core/preparation';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { StatusMark } from '../status/StatusMark';
import { ChannelTable } from './ChannelTable';
import { InputTable } from './InputTable';
import { kindOf } from '@/core/setup';
import { Section } from '../parts/Section';

/** The model must be right with the unit off: sticks, centres, endpoints, rates, throttle cut. */
export function PlainStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const ground = kindOf(setup.airframe).onSurface;
  return (
    <div className="flex min-w-0 flex-col gap-4">
      <p className="text-lg">
        With the unit <strong>off</strong> the model must already be right:{' '}
        {ground ? 'its steering, its centre' : 'every stick, every centre'}, the throttle cut.
        Everything that follows depends on it.
      </p>
      <div className="grid gap-4 @4xl:grid-cols-[1fr_22rem]">
        <div className="flex min-w-0 flex-col gap-4">
          <ChannelTable />
          <InputTable />
        </div>
        <div className="flex min-w-0 flex-col gap-4">
          <ThrottleCut />
        </div>
      </div>
      <TestScript
        title="Now on the model"
        steps={checklist(setup, evidence, 'plain-model').filter((t) => !isThrow(t.asked))}
      />
    </div>
  );
}

/** Whether a control holds the motor off, tried on the chain with the stick right up. */
function ThrottleCut() {
  const setup = useModel((s) => s.setup);
  const { safe: safely } = kindOf(setup.airframe);
  const cut = useMemo(() => {
    if (setup.airframe.motors.length === 0) return undefined;
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const stimulus = chain.restStimulus();
    const stick = setup.transmitter.controls.findIndex(
      (c) => c.kind === 'stick' && c.hand === 'throttle',
    );
    const motorAt = (throttle: number) => {
      if (stick >= 0) stimulus.controls[stick] = throttle;
      chain.step(stimulus, chain.newMemory(), frame);
      return Math.max(...frame.motorPct);
    };
    const line = setup.program.lines.find((l) => l.purpose === 'throttle-cut');
    const control = line?.when?.kind === 'switch' ? line.when.control : undefined;
    return {
      name: setup.transmitter.controls.find((c) => c.id === control)?.label,
      lowPct: motorAt(-100),
      highPct: motorAt(100),
    };
  }, [setup]);
  if (!cut) return null;
  const safe = cut.name !== undefined && cut.highPct < 1 && cut.lowPct < 1;
  return (
    <Section title="Throttle cut">
      <div className="mt-1">
        <StatusMark
          status={safe ? 'todo' : 'stop'}
          words={
            safe ? `${cut.name} at rest should hold the motor off` : 'the motor is live at rest'
          }
        />
      </div>
      <p className="text-soft mt-1 text-sm">
        Switches at rest: throttle closed gives {cut.lowPct.toFixed(0)} %, full gives{' '}
        {cut.highPct.toFixed(0)} %. {safely} first, then try both on the model before you open any
        menu.
      </p>
    </Section>
  );
}
