'use client';

import { differentialOf, setDifferential } from '@/core/plan';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

/** Less aileron down than up, worked out as endpoints; or why it cannot be done here. */
export function Differential() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  if (!setup.airframe.surfaces.some((s) => s.role === 'aileron')) return null;
  const now = differentialOf(setup);
  return (
    <Section title="Aileron differential">
      {now === undefined ? (
        <p className="text-soft">
          One channel works both ailerons here, so the transmitter cannot make them differ. Set the
          servo arms off square at centre, or give each aileron a channel of its own.
        </p>
      ) : (
        <div className="mt-1 grid gap-3 @lg:grid-cols-[10rem_1fr] @lg:items-end">
          <NumberField
            label="less down than up"
            unit="%"
            min={-50}
            max={90}
            value={now}
            onCommit={(v) => edit(setDifferential(setup, v), `Differential ${v} %`)[0]?.reason}
          />
          <p className="text-soft text-sm">
            Set as endpoints of both aileron channels; the way up stays. It keeps the nose from
            swinging out of a roll. Common practice, no source: 20 to 50 % on flat-bottomed wings,
            none on aerobatic ones.
          </p>
        </div>
      )}
    </Section>
  );
}
