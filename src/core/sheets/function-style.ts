import type { Setup } from '../setup';
import {
  failsafeSection,
  inputSteps,
  linkSection,
  logicWords,
  outputSection,
  voiceSection,
} from './common';
import { menuWords } from './menus';
import { asMixes, type Mix } from './mixes';
import type { MenuSection, SheetStep } from './section';
import { channelWords, conditionWords, pct, sourceWords } from './words';

/** More mixes than this are more than most of these transmitters have. Common practice, no source. */
const USUAL_MIXES = 8;

/** Functions on channels and controls, and programmable mixes: a share for each side, a shift, a switch. */
export function functionSections(setup: Setup, warnings: string[]): MenuSection[] {
  const { program } = setup;
  const assigned: SheetStep[] = [];
  const mixes: SheetStep[] = [];
  const cuts = program.lines.filter((l) => l.purpose === 'throttle-cut' && l.when);
  const rest = {
    ...setup,
    program: { ...program, lines: program.lines.filter((l) => !cuts.includes(l)) },
  };
  for (const { channel } of program.outputs) {
    const sums = asMixes(rest, channel);
    const name = channelWords(setup, channel);
    if (!sums) {
      warnings.push(`${name} scales one thing by another: this kind of transmitter only adds.`);
      continue;
    }
    const first = sums.find((m) => m.when.length === 0 && m.follows.kind !== 'fixed' && !m.shape);
    assigned.push({
      id: first ? `line ${first.from[0]}` : `channel ${channel}`,
      entry: name,
      value: first
        ? `${sourceWords(setup, first.follows)}${first.sharePct === 100 && first.shiftPct === 0 ? '' : `, ${range(first)}`}`
        : 'no control of its own: made by the mixes below',
    });
    for (const mix of sums)
      if (mix !== first)
        mixes.push({
          id: `line ${mix.from.at(-1)}`,
          entry: `Mix ${mixes.length + 1} onto ${name.toLowerCase()}`,
          value: mixWords(setup, mix),
        });
  }
  if (mixes.length > USUAL_MIXES)
    warnings.push(
      `${mixes.length} mixes are needed. If your transmitter has fewer, remove a choice rather than a position.`,
    );
  if (program.logic.length > 0)
    warnings.push(
      'Delays and latches are needed. If your transmitter has none, remove the choice that needs them: panic without its hold, no launch help.',
    );
  return [
    linkSection(setup),
    { item: 'functions', steps: assigned },
    { item: 'stick-rates', steps: inputSteps(setup) },
    {
      item: 'logic',
      perhaps: true,
      steps: program.logic.map((l) => ({
        id: `logic ${l.id}`,
        entry: l.label,
        value: logicWords(setup, l),
      })),
    },
    outputSection(setup),
    {
      item: 'throttle-cut',
      steps: cuts.map((l) => ({
        id: `line ${l.id}`,
        entry: channelWords(setup, l.channel),
        value: `${pct(l.sharePct + l.shiftPct)} when ${conditionWords(setup, l.when!)}`,
      })),
    },
    { item: 'mixes', steps: mixes },
    failsafeSection(setup),
    voiceSection(setup),
  ];
}

/** A control that gives other than −100 to +100: both ends as they are entered. */
const range = ({ sharePct, shiftPct }: Mix) =>
  `low end ${pct(shiftPct - sharePct)}, high end ${pct(shiftPct + sharePct)}`;

function mixWords(setup: Setup, mix: Mix): string {
  const on =
    mix.when.length === 0
      ? 'always on'
      : `on when ${mix.when.map((c) => conditionWords(setup, c)).join(' and ')}`;
  if (mix.follows.kind === 'fixed')
    return `a fixed value of ${pct(mix.sharePct + mix.shiftPct)}, ${on}`;
  return `follows ${sourceWords(setup, mix.follows)}, ${menuWords(setup, 'share')} ${pct(mix.sharePct)} on both sides, ${menuWords(setup, 'shift')} ${pct(mix.shiftPct)}, ${on}`;
}
