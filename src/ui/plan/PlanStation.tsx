'use client';

import { useMemo, useState } from 'react';
import { orderFunctions, planFor } from '@/core/plan';
import { useModel } from '../open/modelStore';
import { PaperLinks } from '../paper/PaperLinks';
import { StatusMark } from '../status/StatusMark';
import { PlanDrawing } from './PlanDrawing';
import { PluggingOrder } from './PluggingOrder';
import { useReplan } from './useReplan';
import { Section } from '../parts/Section';

/** Channels, the unit's plugs and the servos in one drawing: leads are moved, reasons stand beside. */
export function PlanStation() {
  const setup = useModel((s) => s.setup);
  const plan = useMemo(() => planFor(setup), [setup]);
  const { replan, refused } = useReplan();
  const { wishes, pins } = setup.intents;
  const [last, setLast] = useState<string>();
  const optional = orderFunctions(setup.unit).includes('recovery');
  const wanted = wishes.includes('recovery');
  return (
    <div className="flex flex-col gap-4">
      <PlanDrawing plan={plan} say={setLast} />
      {[...refused, ...(last ? [last] : [])].map((reason) => (
        <p key={reason} role="alert" className="text-stop">
          {reason}
        </p>
      ))}
      <p className="flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => replan(wishes, pins, 'Planned again')}>
          Plan again
        </button>
        {optional && (
          <button
            type="button"
            className="btn"
            aria-pressed={wanted}
            onClick={() =>
              replan(
                wanted ? wishes.filter((w) => w !== 'recovery') : [...wishes, 'recovery'],
                pins,
                wanted ? 'Without panic recovery' : 'With panic recovery',
              )
            }
          >
            panic recovery on a channel
          </button>
        )}
        <PaperLinks what="wiring" words="PDF" papers={['A4', 'LETTER']} />
      </p>
      {[...plan.impossible, ...plan.notes].map((note) => (
        <p key={note}>{note}</p>
      ))}
      {plan.taken.length > 0 && (
        <Section
          title={
            <>
              <StatusMark status="caution" words="Not enough channels" />
            </>
          }
          className=""
        >
          <p>Alternatives, cheapest first. The plan uses the first.</p>
          <ol className="mt-1 list-decimal pl-5">
            {plan.choices.slice(0, 5).map((ways) => (
              <li key={ways.map((w) => w.id).join()} className="mb-1">
                {ways.map((w) => (
                  <p key={w.id}>
                    <strong>{w.title}.</strong> {w.costs}
                  </p>
                ))}
              </li>
            ))}
          </ol>
        </Section>
      )}
      <PluggingOrder />
    </div>
  );
}
