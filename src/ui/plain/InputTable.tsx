'use client';

import { pointer } from '@/core/setup';
import dynamic from 'next/dynamic';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

const RateChart = dynamic(() => import('./RateChart'), { ssr: false });

/** Rate and expo of every stick. */
export function InputTable() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const change = (i: number, j: number, field: string, value: number, words: string) =>
    edit(
      [{ op: 'replace', path: pointer('program', 'inputs', i, 'rates', j, field), value }],
      `${setup.program.inputs[i]!.label}: ${words}`,
    )[0]?.reason;
  return (
    <Section title="Rates and expo">
      <RateChart inputs={setup.program.inputs} />
      <ul className="mt-2 grid gap-3 @lg:grid-cols-2">
        {setup.program.inputs.map((input, i) =>
          input.rates.map((rate, j) => (
            <li key={`${input.id}-${j}`} className="grid grid-cols-[1fr_1fr_1fr] items-end gap-2">
              <p className="self-center font-semibold">{input.label}</p>
              <NumberField
                label="rate"
                unit="%"
                at="/program/inputs/0/rates/0/sharePct"
                value={rate.sharePct}
                onCommit={(v) => change(i, j, 'sharePct', v, `rate ${v} %`)}
              />
              <NumberField
                label="expo"
                unit="%"
                at="/program/inputs/0/rates/0/expoPct"
                value={rate.expoPct}
                onCommit={(v) => change(i, j, 'expoPct', v, `expo ${v} %`)}
              />
            </li>
          )),
        )}
      </ul>
    </Section>
  );
}
