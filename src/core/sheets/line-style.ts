import type { Setup } from '../setup';
import {
  failsafeSection,
  inputSteps,
  linkSection,
  logicWords,
  outputSection,
  voiceSection,
} from './common';
import type { MenuSection } from './section';
import { channelWords, controlOf, lineWords, pct, sourceWords } from './words';

/** Every channel a list of lines, as the program is written. */
export function lineSections(setup: Setup): MenuSection[] {
  const { program } = setup;
  const channels = [...new Set(program.lines.map((l) => l.channel))].toSorted((a, b) => a - b);
  return [
    linkSection(setup),
    { item: 'inputs', steps: inputSteps(setup) },
    {
      item: 'variables',
      steps: program.variables.map((v) => ({
        id: `variable ${v.id}`,
        entry: v.label,
        value:
          pct(v.valuePct) +
          (v.adjust
            ? `, shifted by ${controlOf(setup, v.adjust.control).label} up to ${v.adjust.rangePct} %`
            : ''),
      })),
    },
    {
      item: 'logic',
      steps: program.logic.map((l) => ({
        id: `logic ${l.id}`,
        entry: l.label,
        value: logicWords(setup, l),
      })),
    },
    {
      item: 'shapes',
      steps: program.shapes.map((c) => ({
        id: `shape ${c.id}`,
        entry: c.label,
        value: c.points.map((p) => `${pct(p.inPct)} → ${pct(p.outPct)}`).join('; '),
      })),
    },
    ...channels.map((channel): MenuSection => ({
      item: 'lines',
      of: channelWords(setup, channel).toLowerCase(),
      steps: program.lines
        .filter((l) => l.channel === channel)
        .map((l, i) => ({
          id: `line ${l.id}`,
          entry: `${i + 1}. ${l.label ?? sourceWords(setup, l.follows)}`,
          value: lineWords(setup, l, i > 0),
        })),
    })),
    outputSection(setup),
    failsafeSection(setup),
    voiceSection(setup),
  ];
}
