'use client';

import type { Caution } from '@/core/procedure';
import { StatusMark } from '../status/StatusMark';
import { useAcknowledged } from './useAcknowledged';
import { useModel } from '../frame/modelStore';
import { cautionWords } from './words';

/** What must be sure before a step in which someone can be hurt: asked once a session, then one line. */
export function Cautions({ cautions }: { cautions: readonly Caution[] }) {
  const { has } = useAcknowledged();
  const airframe = useModel((s) => s.setup.airframe);
  if (cautions.length === 0) return null;
  if (cautions.every(has))
    return (
      <p className="mt-1 text-sm">
        <StatusMark
          status="caution"
          words={`You said: ${cautions.map((c) => cautionWords(c, airframe).replace(/\.$/, '')).join(' · ')}`}
        />
      </p>
    );
  return (
    <fieldset className="border-caution bg-card mt-2 border-l-4 px-3 py-1">
      <legend className="sr-only">Before you go on</legend>
      <p className="text-caution font-bold">Before you go on: tick each true statement.</p>
      <CautionBoxes cautions={cautions} />
    </fieldset>
  );
}

/** A box to tick for each of them. */
export function CautionBoxes({ cautions }: { cautions: readonly Caution[] }) {
  const { has, acknowledge } = useAcknowledged();
  const airframe = useModel((s) => s.setup.airframe);
  return cautions.map((c) => (
    <label key={c} className="flex min-h-11 items-center gap-3">
      <input
        type="checkbox"
        className="size-6"
        checked={has(c)}
        onChange={(e) => acknowledge(c, e.target.checked)}
      />
      {cautionWords(c, airframe)}
    </label>
  ));
}
