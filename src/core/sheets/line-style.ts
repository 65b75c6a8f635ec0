import type { Setup } from '../setup';
import {
  failsafeSection,
  inputSteps,
  linkSection,
  logicWords,
  outputSection,
  voiceSection,
} from './common';
import type { SheetSection } from './section';
import { channelWords, conditionWords, controlOf, pct, sourceWords } from './words';

const OPS = { add: 'add', multiply: 'multiply', replace: 'replace' } as const;

/** Every channel a list of lines, as the program is written. */
export function lineSections(setup: Setup): SheetSection[] {
  const { program } = setup;
  const channels = [...new Set(program.lines.map((l) => l.channel))].toSorted((a, b) => a - b);
  return [
    linkSection(setup),
    { title: 'Inputs', steps: inputSteps(setup) },
    {
      title: 'Variables',
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
      title: 'Logic',
      steps: program.logic.map((l) => ({
        id: `logic ${l.id}`,
        entry: l.label,
        value: logicWords(setup, l),
      })),
    },
    {
      title: 'Curves',
      steps: program.curves.map((c) => ({
        id: `curve ${c.id}`,
        entry: c.label,
        value: c.points.map((p) => `${pct(p.inPct)} → ${pct(p.outPct)}`).join('; '),
      })),
    },
    ...channels.map((channel) => ({
      title: `Lines of ${channelWords(setup, channel).toLowerCase()}`,
      steps: program.lines
        .filter((l) => l.channel === channel)
        .map((l, i) => ({
          id: `line ${l.id}`,
          entry: `${i + 1}. ${l.label ?? sourceWords(setup, l.source)}`,
          value: [
            `source ${sourceWords(setup, l.source)}`,
            `weight ${pct(l.weightPct)}`,
            `offset ${pct(l.offsetPct)}`,
            ...(l.curve ? [`curve ${program.curves.find((c) => c.id === l.curve)!.label}`] : []),
            ...(l.when ? [`when ${conditionWords(setup, l.when)}`] : []),
            ...(i > 0 || l.op !== 'add' ? [OPS[l.op]] : []),
          ].join(', '),
        })),
    })),
    outputSection(setup),
    failsafeSection(setup),
    voiceSection(setup),
  ];
}
