import { compileChain, positionsOf, switchValue } from '../chain';
import { isSwitched, type Setup } from '../setup';
import { handsOn } from '../verify';
import {
  failsafeSection,
  inputSteps,
  linkSection,
  logicWords,
  outputSection,
  voiceSection,
} from './common';
import type { MenuSection, SheetStep } from './section';
import { channelWords, pct, placeWords, sourceWords } from './words';

/** A table joins no more switches than this. */
export const MOST_SWITCHES = 2;

/** A number for every switch position; two switches together make a table. */
export function switchValueSections(setup: Setup, warnings: string[]): MenuSection[] {
  const { program } = setup;
  const sticks: SheetStep[] = [];
  const tables: MenuSection[] = [];
  for (const { channel } of program.outputs) {
    const own = program.lines.filter((l) => l.channel === channel);
    const name = channelWords(setup, channel);
    const stick = own.find((l) => l.follows.kind === 'input');
    if (stick) {
      for (const l of own)
        sticks.push({
          id: `line ${l.id}`,
          entry: name,
          value:
            l.effect === 'takes-over' && l.when
              ? `${pct(l.sharePct + l.shiftPct)} while ${l.label ?? 'its switch'} holds`
              : `${sourceWords(setup, l.follows)}${l.sharePct === 100 ? '' : ` ${pct(l.sharePct)}`}`,
        });
      continue;
    }
    if (own.length > 0) tables.push(tableOf(setup, channel, name, warnings));
  }
  if (program.logic.length > 0)
    warnings.push(
      'Delays and latches are needed. If your transmitter has none, remove the choice that needs them.',
    );
  return [
    linkSection(setup),
    { item: 'sticks', steps: sticks },
    { item: 'stick-rates', steps: inputSteps(setup) },
    ...tables,
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
    failsafeSection(setup),
    voiceSection(setup),
  ];
}

/** The values of a channel for every position of its switches, asked of the chain. */
function tableOf(setup: Setup, channel: number, name: string, warnings: string[]): MenuSection {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const cone = handsOn(setup, channel);
  const switches = cone.filter(isSwitched);
  const turning = cone.filter((c) => c.kind === 'knob' || c.kind === 'slider');
  if (switches.length > MOST_SWITCHES)
    warnings.push(
      `${name} looks at ${switches.length} switches; a table combines two. Use the first two and remove a choice.`,
    );
  const steps: SheetStep[] = [];
  const read = (values: Record<string, number>) => {
    const stimulus = chain.restStimulus();
    for (const [id, v] of Object.entries(values))
      stimulus.controls[chain.layout.controls.get(id)!] = v;
    const memory = chain.newMemory();
    chain.step(stimulus, memory, frame);
    // A hold before panic acts is over after a few seconds.
    stimulus.dtS = 10;
    chain.step(stimulus, memory, frame);
    return frame.channelsPct[channel - 1]!;
  };
  const visit = (at: number, values: Record<string, number>, words: string[]): void => {
    const control = switches[at];
    if (control) {
      for (let p = 0; p < positionsOf(control.kind); p++)
        visit(at + 1, { ...values, [control.id]: switchValue(control.kind, p) }, [
          ...words,
          placeWords(control, p),
        ]);
      return;
    }
    const knob = turning[0];
    const low = knob ? read({ ...values, [knob.id]: -100 }) : read(values);
    const high = knob ? read({ ...values, [knob.id]: 100 }) : low;
    steps.push({
      id: `table ${channel} ${steps.length}`,
      entry: words.length > 0 ? `Position ${steps.length}: ${words.join(', ')}` : 'Always',
      value: low === high ? pct(low) : `${knob!.label}, from ${pct(low)} to ${pct(high)}`,
    });
  };
  visit(0, {}, []);
  return { item: 'values', of: name.toLowerCase(), steps };
}
