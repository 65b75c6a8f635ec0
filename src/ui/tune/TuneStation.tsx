'use client';

import { Link } from '../parts/Link';
import { checklist } from '@/core/logbook';
import { useModel } from '../open/modelStore';
import { WhenProved } from '../open/verdict';
import { TestScript } from '../checks/TestScript';
import { kindOf } from '@/core/setup';
import { LOCAL_RULES } from '../words';
import { Section } from '../parts/Section';

/** Out there: trim, find the gain, read it off. */
export function TuneStation() {
  return (
    <WhenProved>
      <Tune />
    </WhenProved>
  );
}

function Tune() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  return (
    <div className="flex flex-col gap-4">
      <p className="border-caution bg-card border-l-4 px-3 py-2">
        {kindOf(setup.airframe).outside} {LOCAL_RULES}
      </p>
      <TestScript
        title={`One to three ${kindOf(setup.airframe).onSurface ? 'runs' : 'flights'}`}
        steps={checklist(setup, evidence, 'tune')}
      />
      {setup.unit.traits.gainLaw === 'fixed' && <OnTheUnit />}
      <Section title="Afterwards">
        <p className="mt-1">
          If you moved the trims, say so at{' '}
          <Link className="underline" href={`/models/${id}/job`}>
            the whole job
          </Link>{' '}
          and capture the centres again. Then{' '}
          <Link className="underline" href={`/models/${id}/logbook`}>
            write the {kindOf(setup.airframe).onSurface ? 'run' : 'flight'} down
          </Link>{' '}
          with the gain you read: that line is what proves it.
        </p>
      </Section>
    </div>
  );
}

function OnTheUnit() {
  return (
    <section className="card">
      <h2 className="text-lg font-bold">Gain is on the unit</h2>
      <p className="mt-1">
        No channel sets it. Turn its dial (or its menu value) a little for each pass, stopped, with
        the motor off; mark where it stood when it shook.
      </p>
    </section>
  );
}
