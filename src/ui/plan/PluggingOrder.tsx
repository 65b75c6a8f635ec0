'use client';

import { gainLeadOf, leadsOf, leadWords } from '@/core/wiring';
import { useModel } from '../open/modelStore';
import { GainLead } from './GainLead';
import { mountingWords } from '@/core/setup';
import { Section } from '../parts/Section';

/** The wiring as a list in the order of plugging: the drawing in words. */
export function PluggingOrder() {
  const setup = useModel((s) => s.setup);
  const gainLead = gainLeadOf(setup)?.label;
  return (
    <Section title="Plug in, in this order" className="">
      <p className="text-soft">Battery out while you plug. Leave slack in the leads.</p>
      <ol className="mt-1 list-decimal pl-6">
        {leadsOf(setup).map((r) => (
          <li key={r.port}>{leadWords(r)}.</li>
        ))}
        {gainLead && (
          <li>
            {gainLead}
            <GainLead />
          </li>
        )}
        <li>
          Aerials: two straight ends at right angles, clear of carbon, motor leads and battery.
        </li>
        <li>
          Unit: {mountingWords(setup.installation.mounting, setup.airframe)}, square to the model.
        </li>
      </ol>
    </Section>
  );
}
