import { scriptOf, type ScriptStep } from '../script';
import type { Setup } from '../setup';
import { failsafeSection, logicWords, voiceSection } from './common';
import { posesOf } from './poses';
import { STYLES } from './styles';
import { channelWords } from './words';

const lines = (steps: readonly { entry: string; value: string }[]) =>
  steps.map((s) => `${s.entry}: ${s.value}`);

/**
 * What is entered and no position of the hands shows on a channel monitor: presets for a lost link,
 * what is spoken, how long something takes. Each is looked at in another way.
 */
export function entryScript(setup: Setup): ScriptStep[] {
  const { program } = setup;
  if (program.outputs.length === 0) return [];
  const voice = lines(voiceSection(setup).steps);
  const waits = [
    ...program.logic.filter((l) => l.op === 'delay').map((l) => logicWords(setup, l)),
    ...program.outputs
      .filter((o) => (o.slowS ?? 0) > 0)
      .map((o) => `${channelWords(setup, o.channel)}: ${o.slowS} s from end to end`),
  ];
  const hidden = new Set(posesOf(setup).unseen.map((w) => w.step));
  const entries = STYLES[setup.transmitter.style]
    .sections(setup, [])
    .flatMap((s) => s.steps)
    .filter((s) => hidden.has(s.id));
  return scriptOf('entry', [
    [
      'failsafe',
      'Open the failsafe menu and compare it, channel by channel.',
      lines(failsafeSection(setup).steps),
    ],
    ...(voice.length > 0
      ? [['voice', 'Work the switches that speak, run the timer, and listen.', voice] as const]
      : []),
    ...(waits.length > 0
      ? [['waits', 'Count the seconds with the channel monitor open.', waits] as const]
      : []),
    ...(entries.length > 0
      ? [
          [
            'menu',
            'Compare these in their menus once more: no position of the hands tells them.',
            lines(entries),
          ] as const,
        ]
      : []),
  ]);
}
