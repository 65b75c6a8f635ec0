import { createElement as h, type ComponentType } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { SearchParamsContext } from 'next/dist/shared/lib/hooks-client-context.shared-runtime';
import { describe, expect, it } from 'vitest';
import { TRANSMITTERS, UNITS } from '@/core/catalogue';
import type { StationId } from '@/core/procedure';
import type { Setup } from '@/core/setup';
import { LOADERS } from '@/ui/frame/stations';
import { RigProvider } from '@/ui/live/rigStore';
import { JobProvider } from '@/ui/open/job';
import { ModelContext, createModelStore } from '@/ui/open/modelStore';
import { loadReader } from '@/ui/open/reading';
import { VerdictContext } from '@/ui/open/verdict';
import { verdictOf, type Verdict } from '@/core/verdict';
import { makeSetup } from '../kit/setups';
import { airframe, planned } from '../setups/kit';

/** What is the same in every language: units, formats, sizes of paper, what is printed beside a plug. */
const SAME = /\b(?:PDF|CSV|ST|TH|AUX|AIL|ELE|RUD|A[4-6]|LiPo|mm|cm|kg|m|g|s|ms|min|Hz|µs)\b/g;
const MODELS: Record<string, () => Setup> = {
  aeroplane: makeSetup,
  'V-tail': () => made('v-tail', 'wizard-receiver', 'line-sixteen'),
  car: () => made('car', 'steering-receiver', 'surface-four'),
};
const made = (kind: 'v-tail' | 'car', unit: string, transmitter: string): Setup =>
  planned('7', {
    airframe: airframe(kind, {}),
    unit: UNITS[unit]!,
    transmitter: TRANSMITTERS[transmitter]!,
  });

/** A station as the page draws it, everything judged. */
function drawn(Station: ComponentType, setup: Setup, judged: Verdict): string {
  const store = createModelStore({ id: 'm', version: 1, setup, evidence: [] });
  const verdict = { ...judged, visiting: undefined, failed: undefined };
  const rig = h(RigProvider, { setup, children: h(Station) });
  return renderToStaticMarkup(
    h(
      SearchParamsContext,
      { value: new URLSearchParams() },
      h(
        ModelContext,
        { value: store },
        h(VerdictContext, { value: verdict }, h(JobProvider, null, rig)),
      ),
    ),
  );
}

/** Lines of text in which something is still English. */
const english = (html: string): string[] => [
  ...new Set(
    html
      .replace(/<(?:style|script).*?<\/(?:style|script)>/gs, ' ')
      .replace(/ (?:aria-label|title|placeholder)="([^"]*)"/g, '>$1<i')
      .replace(/<[^>]*>/g, '\n')
      .replace(/&[a-z#0-9]+;/g, ' ')
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => /[A-Za-z]{2,}/.test(line.replace(SAME, ''))),
  ),
];

describe.each(Object.keys(MODELS))('in a language nobody speaks, %s', (kind) => {
  const setup = MODELS[kind]!();
  const judged = verdictOf(setup, () => undefined);
  it.each(Object.keys(LOADERS) as StationId[])('%s has no English left', async (id) => {
    await loadReader();
    const html = drawn(await LOADERS[id](), setup, judged);
    expect(html).toMatch(/[ⓐ-ⓩ]{3}/);
    expect(english(html)).toEqual([]);
  });
});
