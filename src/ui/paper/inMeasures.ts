import { restated, type System } from '@/core/measure';
import type { PaperList } from './listPdf';

/** A paper with its lengths, weights and speeds in the measures of whoever reads it. */
export function inMeasures(list: PaperList, system: System): PaperList {
  const said = (text: string) => restated(text, system);
  return {
    ...list,
    caution: said(list.caution),
    sections: list.sections.map(({ heading, lines }) => ({
      ...(heading === undefined ? {} : { heading }),
      lines: lines.map((l) => ({ ...l, does: said(l.does), sees: l.sees.map(said) })),
    })),
  };
}
