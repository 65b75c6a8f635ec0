import type { Logic, Setup } from '../setup';
import { menuWords } from './menus';
import type { MenuSection, SheetStep } from './section';
import { channelWords, conditionWords, controlOf, pct, sourceWords } from './words';

/** Rates and expo of every stick. */
export function inputSteps(setup: Setup): SheetStep[] {
  return setup.program.inputs.flatMap((input) => [
    {
      id: `input ${input.id}`,
      entry: `${input.label}: follows`,
      value:
        controlOf(setup, input.control).label +
        (input.trim ? `, trim ${controlOf(setup, input.trim).label}` : ''),
    },
    ...input.rates.map((rate, i) => ({
      id: `input ${input.id} ${i}`,
      entry: `${input.label}: ${rate.when ? conditionWords(setup, rate.when) : input.rates.length > 1 ? 'otherwise' : 'always'}`,
      value: `${menuWords(setup, 'rate')} ${rate.sharePct} %, ${menuWords(setup, 'expo')} ${rate.expoPct} %`,
    })),
  ]);
}

/** Reverse, subtrim and ends of every channel. */
export function outputSection(setup: Setup): MenuSection {
  return {
    item: 'outputs',
    steps: setup.program.outputs.map((o) => ({
      id: `output ${o.channel}`,
      entry: channelWords(setup, o.channel),
      value: `${o.reversed ? menuWords(setup, 'reversed') : 'normal'}, ${menuWords(setup, 'ends')} ${pct(o.minPct)} and ${pct(o.maxPct)}, ${menuWords(setup, 'subtrim')} ${pct(o.subtrimPct)}${o.slowS ? `, ${o.slowS} s from end to end` : ''}`,
    })),
  };
}

export function failsafeSection(setup: Setup): MenuSection {
  const words = { hold: 'hold the last value', 'no-pulses': 'no pulses' };
  return {
    item: 'failsafe',
    steps: setup.program.outputs.map(({ channel }) => {
      const own = setup.program.failsafe.find((f) => f.channel === channel);
      return {
        id: `failsafe ${channel}`,
        entry: channelWords(setup, channel),
        value: !own
          ? 'leave unset'
          : own.kind === 'preset'
            ? `preset ${pct(own.valuePct)}`
            : words[own.kind],
      };
    }),
  };
}

export function logicWords(setup: Setup, l: Logic): string {
  switch (l.op) {
    case 'near':
      return `${sourceWords(setup, l.follows)} within ${l.withinPct} % of ${pct(l.valuePct)}`;
    case 'greater':
      return `${sourceWords(setup, l.follows)} above ${pct(l.valuePct)}`;
    case 'when':
      return conditionWords(setup, l.when);
    case 'latch':
      return `set by ${conditionWords(setup, l.set)}; reset by ${conditionWords(setup, l.reset)}; reset wins`;
    case 'edge':
      return `the moment ${conditionWords(setup, l.of)} begins`;
    case 'delay':
      return `${conditionWords(setup, l.of)}, on after ${l.onS} s, off after ${l.offS} s`;
    case 'toggles':
      return `${conditionWords(setup, l.of)} ${l.count} times within ${l.withinS} s`;
  }
}

/** "When Switch A far", "When channel 6 has moved by more than 1 %, still for 0.5 s" */
function calloutWords(setup: Setup, { when, moved }: Setup['program']['callouts'][number]): string {
  const parts = [
    ...(when ? [conditionWords(setup, when)] : []),
    ...(moved
      ? [
          `${sourceWords(setup, moved.follows)} has moved by more than ${moved.byPct} % and stood still for ${moved.settledS} s`,
        ]
      : []),
  ];
  return `When ${parts.join(' and ') || 'never'}`;
}

/** What is spoken, and timers. */
export function voiceSection(setup: Setup): MenuSection {
  const { callouts, timers } = setup.program;
  return {
    item: 'voice',
    steps: [
      ...callouts.map((c) => ({
        id: `callout ${c.id}`,
        entry: calloutWords(setup, c),
        value: `say “${c.say}”${c.reading ? `, then the value of ${sourceWords(setup, c.reading)}` : ''}`,
      })),
      ...timers.map((t) => ({
        id: `timer ${t.id}`,
        entry: `${t.label}: runs when ${conditionWords(setup, t.when)}`,
        value: `${Math.floor(t.seconds / 60)} min ${Math.round(t.seconds % 60)} s`,
      })),
    ],
  };
}

export const linkSection = (setup: Setup): MenuSection => ({
  item: 'link',
  steps: [
    {
      id: 'link',
      entry: 'Link',
      value: setup.transmitter.linkVariants.find((v) => v.id === setup.transmitter.link)!.label,
    },
  ],
});
