import { scriptOf, sentences, type Line, type Named, type ScriptStep } from '../script';
import type { Setup } from '../setup';
import { failsafeSection, logicWords, voiceSection } from './common';
import { enteredAs } from './entered';
import { posesOf } from './poses';
import type { SheetStep } from './section';
import { STYLES } from './styles';
import { channelWords } from './words';

const SAY = sentences('entry', {
  'compare-failsafe': () => 'Open the failsafe menu and compare it, channel by channel.',
  listen: () => 'Move the switches that speak, run the timer, and listen.',
  'count-seconds': () => 'Count the seconds with the channel monitor open.',
  'compare-menus': () => 'Compare these in their menus again: no reading shows them.',
  entry: ({ entry }: { entry: Named }) => entry.label,
});

/**
 * What is entered and no position of the controls shows on a channel monitor: failsafe presets, what
 * is spoken, how long something takes. Each is checked in another way.
 */
export function entryScript(setup: Setup): ScriptStep[] {
  const { program } = setup;
  if (program.outputs.length === 0) return [];
  const entry = (id: string, label: string) =>
    SAY.entry({ entry: { id: `${id}: ${enteredAs(setup, id)}`, label } });
  const steps = (all: readonly SheetStep[]) =>
    all.map((s) => entry(s.id, `${s.entry}: ${s.value}`));
  const voice = steps(voiceSection(setup).steps);
  const waits = [
    ...program.logic
      .filter((l) => l.op === 'delay')
      .map((l) => entry(`logic ${l.id}`, logicWords(setup, l))),
    ...program.outputs
      .filter((o) => (o.slowS ?? 0) > 0)
      .map((o) =>
        entry(
          `output ${o.channel}`,
          `${channelWords(setup, o.channel)}: ${o.slowS} s from end to end`,
        ),
      ),
  ];
  const hidden = new Set(posesOf(setup).unseen.map((w) => w.step));
  const inMenus = steps(
    STYLES[setup.transmitter.style]
      .sections(setup, [])
      .flatMap((s) => s.steps)
      .filter((s) => hidden.has(s.id)),
  );
  const lines: Line[] = [
    ['failsafe', SAY['compare-failsafe'](), steps(failsafeSection(setup).steps)],
    ['voice', SAY.listen(), voice],
    ['waits', SAY['count-seconds'](), waits],
    ['menu', SAY['compare-menus'](), inMenus],
  ];
  return scriptOf(
    'entry',
    lines.filter(([item, , sees]) => item === 'failsafe' || sees.length > 0),
  );
}
