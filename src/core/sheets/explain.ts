import { applyPatch, type PatchOperation } from '../patch';
import { parseSetup, pointer, type Setup } from '../setup';
import { TOLERANCE_PCT, readerOf, type ReadBack } from './read-back';
import { sourceWords } from './words';

/** What a person read off the monitor, by the id of the read-back. */
export type Readings = Readonly<Record<string, number>>;

/** A single wrong entry that would make the transmitter show what was read. */
export interface Explanation {
  /** The step of the sheet it concerns. */
  step: string;
  says: string;
  /** The wrong entry, as a change of the program: what the transmitter seems to hold. */
  patch: PatchOperation[];
}

export interface Mismatch {
  readBack: ReadBack;
  readPct: number;
}

/** Readings further from the prediction than monitors and knobs account for. */
export function mismatches(readBacks: readonly ReadBack[], readings: Readings): Mismatch[] {
  return readBacks.flatMap((readBack) => {
    const readPct = readings[readBack.id];
    return readPct !== undefined && Math.abs(readPct - readBack.predictedPct) > TOLERANCE_PCT
      ? [{ readBack, readPct }]
      : [];
  });
}

/**
 * Which single wrong entry explains every reading: each thing a finger can get wrong is tried on the
 * chain, and those that give what was read everywhere are named, the commonest first.
 */
export function explain(
  setup: Setup,
  readBacks: readonly ReadBack[],
  readings: Readings,
): Explanation[] {
  if (mismatches(readBacks, readings).length === 0) return [];
  // What differs first: most candidates fail there at once.
  const wrongIds = new Set(mismatches(readBacks, readings).map((m) => m.readBack.id));
  const asked = readBacks
    .filter((r) => readings[r.id] !== undefined)
    .toSorted((a, b) => Number(wrongIds.has(b.id)) - Number(wrongIds.has(a.id)));
  const fits = (patch: PatchOperation[]): boolean => {
    const wrong = applyPatch(setup, patch);
    const read = readerOf(wrong);
    const same = asked.every(
      (r) => Math.abs(read(r.channel, r.controls).pct - readings[r.id]!) <= TOLERANCE_PCT,
    );
    return same && parseSetup(wrong).ok;
  };
  const chained = setup.program.lines.some((l) => l.follows.kind === 'channel');
  const wrongChannels = new Set(asked.filter((r) => wrongIds.has(r.id)).map((r) => r.channel));
  const found = candidates(setup)
    .filter((c) => chained || c.channel === undefined || wrongChannels.has(c.channel))
    .filter((c) => fits(c.patch))
    .map(({ step, says, patch }): Explanation => ({ step, says, patch }));
  const swapped = swaps(setup, asked, readings);
  const seen = new Set<string>();
  return [...found, ...swapped].filter((e) => !seen.has(e.says) && seen.add(e.says));
}

const put = (value: unknown, ...path: (string | number)[]): PatchOperation[] => [
  { op: 'replace', path: pointer(...path), value },
];

/** An explanation to be tried; the channel is the only one it can change. */
type Candidate = Explanation & { channel: number | undefined };

/** Everything one finger can get wrong, commonest first. */
function candidates(setup: Setup): Candidate[] {
  const { program, transmitter } = setup;
  const list: Candidate[] = [];
  let channel: number | undefined;
  const add = (step: string, says: string, patch: PatchOperation[]) =>
    list.push({ step, says, patch, channel });

  program.outputs.forEach((o, i) => {
    const at = (field: string, value: unknown) => put(value, 'program', 'outputs', i, field);
    const name = `Channel ${o.channel} (${o.carries})`;
    const step = `output ${o.channel}`;
    channel = o.channel;
    add(
      step,
      `${name} is ${o.reversed ? 'not reversed' : 'reversed'}.`,
      at('reversed', !o.reversed),
    );
    for (const [field, words] of [
      ['minPct', 'lower'],
      ['maxPct', 'upper'],
    ] as const)
      for (const size of [100, 125, 150, 50, 80, 75, 120, 0])
        if (Math.abs(o[field]) !== size)
          add(
            step,
            `The ${words} end of ${name.toLowerCase()} is ${size} % instead of ${Math.abs(o[field])} %.`,
            at(field, field === 'minPct' ? -size : size),
          );
    if (o.subtrimPct !== 0) {
      add(step, `The subtrim of ${name.toLowerCase()} is missing.`, at('subtrimPct', 0));
      add(
        step,
        `The subtrim of ${name.toLowerCase()} has the wrong sign.`,
        at('subtrimPct', -o.subtrimPct),
      );
    } else
      for (const trim of [-20, -10, -5, 5, 10, 20])
        add(
          step,
          `Channel ${o.channel} (${o.carries}) has a subtrim of ${trim} %.`,
          at('subtrimPct', trim),
        );
  });

  channel = undefined;
  program.inputs.forEach((input, i) =>
    input.rates.forEach((rate, j) => {
      const at = (value: number) => put(value, 'program', 'inputs', i, 'rates', j, 'sharePct');
      const step = `input ${input.id} ${j}`;
      for (const weight of [100, 70, 50, 60, 80])
        if (weight !== rate.sharePct)
          add(
            step,
            `The rate of ${input.label.toLowerCase()} is ${weight} % instead of ${rate.sharePct} %.`,
            at(weight),
          );
    }),
  );
  program.lines.forEach((l, i) => {
    const at = (field: string, value: unknown) => put(value, 'program', 'lines', i, field);
    const name = `“${l.label ?? sourceWords(setup, l.follows)}” on channel ${l.channel}`;
    const step = `line ${l.id}`;
    channel = l.channel;
    add(step, `${name} is missing.`, [{ op: 'remove', path: pointer('program', 'lines', i) }]);
    if (l.sharePct !== 0) {
      add(step, `The share of ${name} has the wrong sign.`, at('sharePct', -l.sharePct));
      add(
        step,
        `The share of ${name} is half of what it should be.`,
        at('sharePct', l.sharePct / 2),
      );
      if (Math.abs(l.sharePct) <= 100)
        add(
          step,
          `The share of ${name} is twice what it should be: a half range was meant.`,
          at('sharePct', l.sharePct * 2),
        );
    }
    if (l.shiftPct !== 0) {
      add(step, `${name} is not shifted.`, at('shiftPct', 0));
      add(step, `${name} is shifted the wrong way.`, at('shiftPct', -l.shiftPct));
    }
    if (l.when) {
      add(step, `The switch of ${name} is missing: it is always on.`, [
        { op: 'remove', path: pointer('program', 'lines', i, 'when') },
      ]);
      if (l.when.kind === 'switch') {
        const { control, position } = l.when;
        const three = transmitter.controls.find((c) => c.id === control)?.kind === 'switch-3';
        for (let p = 0; p < (three ? 3 : 2); p++)
          if (p !== position)
            add(
              step,
              `The switch position of ${name} is another one.`,
              at('when', { kind: 'switch', control, position: p }),
            );
      }
    }
    for (const effect of ['adds', 'takes-over'] as const)
      if (effect !== l.effect && l.effect !== 'scales')
        add(
          step,
          effect === 'adds'
            ? `${name} adds to the lines above; it should take over from them.`
            : `${name} takes over from the lines above; it should add to them.`,
          at('effect', effect),
        );
    if (l.follows.kind === 'control') {
      const { id } = l.follows;
      const kind = transmitter.controls.find((c) => c.id === id)?.kind;
      for (const other of transmitter.controls)
        if (other.id !== id && other.kind === kind)
          add(
            step,
            `${name} follows ${other.label}.`,
            at('follows', { kind: 'control', id: other.id }),
          );
    }
    if (l.follows.kind === 'input') {
      const { id } = l.follows;
      for (const other of program.inputs)
        if (other.id !== id)
          add(
            step,
            `${name} follows ${other.label}.`,
            at('follows', { kind: 'input', id: other.id }),
          );
    }
  });

  channel = undefined;
  for (const scale of [400, 500, 512])
    if (scale !== transmitter.pulse.usAt100)
      add(
        'link',
        `The readings are on a scale where 100 % is ${scale} µs, not ${transmitter.pulse.usAt100} µs. Set that at Transmitter.`,
        put(scale, 'transmitter', 'pulse', 'usAt100'),
      );
  return list;
}

/** Two channels read for one another: what was entered for one sits on the other. */
function swaps(setup: Setup, asked: readonly ReadBack[], readings: Readings): Explanation[] {
  const read = readerOf(setup);
  const channels = setup.program.outputs.map((o) => o.channel);
  const found: Explanation[] = [];
  for (const a of channels)
    for (const b of channels) {
      if (b <= a) continue;
      const touched = asked.filter((r) => r.channel === a || r.channel === b);
      const fits = asked.every((r) => {
        const other = r.channel === a ? b : r.channel === b ? a : r.channel;
        return Math.abs(read(other, r.controls).pct - readings[r.id]!) <= TOLERANCE_PCT;
      });
      if (touched.length > 0 && fits)
        found.push({
          step: `output ${a}`,
          says: `Channels ${a} and ${b} are exchanged.`,
          patch: [],
        });
    }
  return found;
}
