'use client';

import { gatesOf, gateWords, type Caution, type Step } from '@/core/procedure';
import { useModel } from '../open/modelStore';
import { StatusMark } from '../status/StatusMark';
import { useBench } from '../open/useBench';
import { sessionWords } from '../words/sessions';

/**
 * What must be true before power or propeller: asked once when the bench is set up again, first on the
 * page; until then nothing below can be answered.
 */
export function Cautions({ step }: { step: Step }) {
  const { open } = useBench();
  const setup = useModel((s) => s.setup);
  const gates = gatesOf(step, setup);
  if (gates.length === 0) return null;
  if (open(step).length === 0)
    return (
      <p className="mt-1 text-sm">
        <StatusMark
          status="caution"
          words={`You said: ${gates.map((c) => gateWords(c, setup.airframe).replace(/\.$/, '')).join(' · ')}`}
        />
      </p>
    );
  return (
    <fieldset className="border-caution bg-card mt-2 border-l-8 px-4 py-3 max-lg:px-3 max-lg:py-1">
      <legend className="sr-only">Before you go on</legend>
      <p className="text-caution text-xl leading-tight font-bold max-lg:text-base">
        {sessionWords(step.session, setup.airframe)}: confirm each statement before you go on.
      </p>
      <div className="text-lg leading-tight max-lg:text-base">
        <CautionBoxes step={step} />
      </div>
    </fieldset>
  );
}

/** A box to tick for each of them. */
export function CautionBoxes({ step }: { step: Step }) {
  const { open, say } = useBench();
  const setup = useModel((s) => s.setup);
  const missing = open(step);
  return gatesOf(step, setup).map((c: Caution) => (
    <label key={c} className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-6 shrink-0"
        checked={!missing.includes(c)}
        onChange={(e) => say(step.session, c, e.target.checked)}
      />
      {gateWords(c, setup.airframe)}
    </label>
  ));
}
