import { compileChain, positionsOf, switchValue } from '../chain';
import type { ChannelFunction, Control, Setup } from '../setup';
import { handsOn } from '../verify';
import { channelWords, placeWords } from './words';

/** One value to read off the channel monitor, with the hands in a place. */
export interface ReadBack {
  id: string;
  channel: number;
  carries: ChannelFunction;
  words: string;
  controls: Record<string, number>;
  /** Something has to be held this long first. */
  holdS: number;
  /** What the monitor must show, percent of this transmitter's scale, after the output stage. */
  predictedPct: number;
}

/**
 * Monitors round to whole percent and knobs stop a little short of their ends; more than this is
 * another value. Common practice, no source.
 */
export const TOLERANCE_PCT = 3;

/** More combinations than this of one channel are read one switch at a time. */
const MOST = 12;

/** What a hand moves to read a channel: its switches through all positions, the rest to the ends. */
function placesOf(control: Control): { value: number; words: string }[] {
  if (control.kind === 'switch-3' || control.kind === 'switch-2' || control.kind === 'momentary')
    return Array.from({ length: positionsOf(control.kind) }, (_, p) => ({
      value: switchValue(control.kind, p),
      words: placeWords(control, p),
    }));
  const words =
    control.hand === 'throttle'
      ? ['low', 'in the middle', 'high']
      : control.hand === 'elevator'
        ? ['back', 'in the middle', 'away from you']
        : ['left', 'in the middle', 'right'];
  return [-100, 0, 100].map((value, i) => ({
    value,
    words:
      control.kind === 'stick'
        ? `${control.label} ${words[i]}`
        : `${control.label} ${['at its low end', 'in the middle', 'at its high end'][i]}`,
  }));
}

const known = new WeakMap<Setup, ReadBack[]>();

/** Every value to read back: each channel in every place of what reaches it. Worked out once. */
export function readBacksOf(setup: Setup): ReadBack[] {
  const list = known.get(setup) ?? workOut(setup);
  known.set(setup, list);
  return list;
}

function workOut(setup: Setup): ReadBack[] {
  const reader = readerOf(setup);
  return setup.program.outputs.flatMap(({ channel, carries }) => {
    const cone = handsOn(setup, channel);
    const count = cone.reduce((n, c) => n * placesOf(c).length, 1);
    let places: { controls: Record<string, number>; words: string[] }[] = [
      { controls: {}, words: [] },
    ];
    if (count <= MOST)
      for (const control of cone)
        places = places.flatMap((p) =>
          placesOf(control).map(({ value, words }) => ({
            controls: { ...p.controls, [control.id]: value },
            words: [...p.words, words],
          })),
        );
    // A rate switch, a trim of it and the stick: one after another says enough.
    else {
      const lively = livelyPlace(setup, channel, cone);
      places = [
        ...cone.flatMap((control) =>
          placesOf(control).map(({ value, words }) => ({
            controls: { ...lively, [control.id]: value },
            words: [words, ...othersWords(cone, { ...lively }, control)],
          })),
        ),
        ...cone.flatMap((control) =>
          placesOf(control)
            .filter(({ value }) => value !== control.rest)
            .map(({ value, words }) => ({
              controls: { [control.id]: value },
              words: [words, 'all else at rest'],
            })),
        ),
      ];
    }
    const unique = new Map(places.map((p) => [JSON.stringify(p.controls), p]));
    return [...unique.values()].map((p, i): ReadBack => {
      const { holdS, pct } = reader(channel, p.controls);
      return {
        id: `ch${channel}-${i}`,
        channel,
        carries,
        words: `${channelWords(setup, channel)}: ${p.words.join(', ') || 'as it stands'}`,
        controls: p.controls,
        holdS,
        predictedPct: pct,
      };
    });
  });
}

/** Every control of a channel away from rest: the place in which most of its lines act. */
function livelyPlace(
  setup: Setup,
  channel: number,
  cone: readonly Control[],
): Record<string, number> {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const value = (controls: Record<string, number>) => {
    const stimulus = chain.restStimulus();
    for (const [id, v] of Object.entries(controls))
      stimulus.controls[chain.layout.controls.get(id)!] = v;
    chain.step(stimulus, chain.newMemory(), frame);
    return frame.channelsPct[channel - 1]!;
  };
  let best: Record<string, number> = {};
  // Switches first: each is left where the sticks and knobs have the most effect.
  const moving = cone.filter((c) => c.kind === 'stick' || c.kind === 'knob' || c.kind === 'slider');
  const effect = (controls: Record<string, number>) =>
    moving.reduce(
      (sum, c) =>
        sum + Math.abs(value({ ...controls, [c.id]: 100 }) - value({ ...controls, [c.id]: -100 })),
      0,
    );
  for (const control of cone) {
    if (moving.includes(control)) continue;
    best = placesOf(control)
      .map(({ value: v }) => ({ ...best, [control.id]: v }))
      .reduce((a, b) => (effect(b) > effect(a) ? b : a));
  }
  return best;
}

function othersWords(
  cone: readonly Control[],
  controls: Record<string, number>,
  except: Control,
): string[] {
  return cone
    .filter((c) => c !== except && controls[c.id] !== undefined && controls[c.id] !== c.rest)
    .map((c) => placesOf(c).find((p) => p.value === controls[c.id])!.words);
}

/** What the monitor of a Setup shows for a channel with the hands somewhere, settled. */
export function readerOf(
  setup: Setup,
): (channel: number, controls: Record<string, number>) => { pct: number; holdS: number } {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const { pulse } = setup.transmitter;
  const waits = setup.program.logic.flatMap((l) => (l.op === 'delay' ? [l.onS] : []));
  const longestS = Math.max(0, ...waits);
  const monitor = (channel: number) =>
    ((frame.sentUs[channel - 1]! - pulse.centreUs) / pulse.usAt100) * 100;
  return (channel, controls) => {
    const stimulus = chain.restStimulus();
    const memory = chain.newMemory();
    chain.step(stimulus, memory, frame);
    for (const [id, value] of Object.entries(controls)) {
      const at = chain.layout.controls.get(id);
      if (at !== undefined) stimulus.controls[at] = value;
    }
    chain.step(stimulus, memory, frame);
    const atOnce = monitor(channel);
    if (longestS === 0) return { pct: atOnce, holdS: 0 };
    stimulus.dtS = longestS + 0.1;
    chain.step(stimulus, memory, frame);
    const settled = monitor(channel);
    return { pct: settled, holdS: Math.abs(settled - atOnce) > 0.5 ? longestS : 0 };
  };
}
