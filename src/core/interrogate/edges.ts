import { copyOf } from '../json';
import { lightWords, modeWords } from '../chain';
import { isSwitched, type Mode, type Setup } from '../setup';
import { coneOf } from '../verify';
import { looksOf } from './experiment';
import { experimentsFor } from './experiments';
import { possibleUnit } from './show';
import { actWords } from './words';

/** How far a hand overshoots that turns slowly, in microseconds. Common practice, no source. */
const HAND_US = 5;
/** The two ways apart by more than this were turned too fast. */
const MOST_APART_US = 60;

/** One place of the mode channel where the mode changes, to be read by hand. */
export interface EdgeToRead {
  below: Mode;
  above: Mode;
  /** Where the description has it. */
  nowUs: number;
  /** What shows that it was passed. */
  sign: string;
}

/** How the edges of the mode channel are read. */
export interface EdgesToRead {
  channel: number;
  /** A control that nothing uses and that can be turned slowly, by its name. */
  knob: string | undefined;
  /** What is done with the model meanwhile. */
  hold: string;
  edges: readonly EdgeToRead[];
}

/** Where an edge was seen, turning up and turning back, in microseconds. */
export interface EdgeReading {
  upUs: number;
  downUs: number;
}

/**
 * The edges that can be read on this unit.
 * @returns undefined where its modes are not bands of one channel, one right after the other
 */
export function edgesToRead(setup: Setup): EdgesToRead | undefined {
  const { unit, transmitter } = setup;
  const select = unit.traits.modeSelect;
  const channel = unit.settings.inputs.find((i) => i.carries === 'mode')?.channel;
  if (select.by !== 'bands' || channel === undefined) return undefined;
  const { bands } = select;
  if (bands.some((b, i) => i > 0 && b.fromUs !== bands[i - 1]!.toUs)) return undefined;
  const modeOf = (band: (typeof bands)[number]) => unit.settings.slots[band.slot] ?? 'off';
  const used = new Set(
    coneOf(
      setup,
      setup.program.lines.map((l) => l.channel),
    ).controls,
  );
  const knob = transmitter.controls.find(
    (c, i) => !used.has(i) && !isSwitched(c) && c.kind !== 'stick' && c.kind !== 'trim',
  );
  const [tilt] = experimentsFor(setup);
  const watched = tilt && looksOf(tilt)[0];
  const watch = setup.airframe.surfaces.find((s) => s.id === watched)?.label.toLowerCase();
  const shows = (mode: Mode) => {
    const everywhere = copyOf(setup);
    everywhere.unit.settings.slots.fill(mode);
    return tilt ? possibleUnit(everywhere).show(tilt).looks[0]![0] : 'none';
  };
  const light = (mode: Mode) => unit.traits.lights?.find((l) => l.mode === mode);
  const signOf = (below: Mode, above: Mode): string => {
    const [from, to] = [light(below), light(above)];
    if (from && to && lightWords(unit, from) !== lightWords(unit, to))
      return `the light changes: ${lightWords(unit, from)}, then ${lightWords(unit, to)}`;
    const [one, other] = [shows(below), shows(above)];
    if (one === other) return 'no surface shows it: watch the light of the unit';
    return one.endsWith('stays') || other.endsWith('stays')
      ? `the ${watch} moves, with the model held tilted`
      : `the ${watch} answers when the model is rocked, on one side of the edge only`;
  };
  return {
    channel,
    knob: knob?.label,
    hold: tilt ? `${actWords(setup, tilt.steps[0]!.act)} and hold it there.` : '',
    edges: bands.slice(1).map((band, i) => {
      const [below, above] = [modeOf(bands[i]!), modeOf(band)];
      return { below, above, nowUs: band.fromUs, sign: signOf(below, above) };
    }),
  };
}

/** What two readings of an edge come to; a reason where they cannot both be right. In whole microseconds. */
export function edgeRead({ upUs, downUs }: EdgeReading): { us: number; withinUs: number } | string {
  const apart = Math.abs(upUs - downUs);
  return apart > MOST_APART_US
    ? `${Math.round(apart)} µs apart: turn more slowly, both ways again`
    : { us: Math.round((upUs + downUs) / 2), withinUs: Math.ceil(apart / 2 + HAND_US) };
}

/**
 * The Setup with the edges of its mode bands as they were read; its description says how exactly they are known.
 * @param read each edge from below; undefined where it was not read
 * @returns a reason where the edges do not rise
 */
export function withEdges(
  setup: Setup,
  read: readonly ({ us: number; withinUs: number } | undefined)[],
): Setup | string {
  const next = { ...setup, unit: copyOf(setup.unit) };
  const select = next.unit.traits.modeSelect;
  if (select.by !== 'bands') return 'its modes are not bands of one channel';
  read.forEach((edge, i) => {
    if (!edge) return;
    select.bands[i]!.toUs = edge.us;
    select.bands[i + 1]!.fromUs = edge.us;
  });
  const falling = select.bands.find((b) => b.fromUs >= b.toUs);
  if (falling)
    return `${falling.fromUs} and ${falling.toUs} µs: the band of ${modeWords(next.unit, next.unit.settings.slots[falling.slot] ?? 'off')} would be empty`;
  const known = read.flatMap((edge) => (edge ? [edge.withinUs] : []));
  // An edge that was not read is as exact as it was described.
  const before = known.length < read.length ? (select.withinUs ?? 0) : 0;
  select.withinUs = Math.max(before, ...known);
  return next;
}
