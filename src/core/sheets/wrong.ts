import { positionsOf } from '../chain';
import type { PatchOperation } from '../patch';
import { functionOf, pointer, type Condition, type Setup } from '../setup';
import { placeWords, sourceWords } from './words';

const put = (value: unknown, ...path: (string | number)[]): PatchOperation[] => [
  { op: 'replace', path: pointer(...path), value },
];

/** The first switch of a condition put elsewhere: another position of it, another switch of its kind. */
function otherPlaces(setup: Setup, condition: Condition): [words: string, Condition][] {
  const { controls } = setup.transmitter;
  switch (condition.kind) {
    case 'switch': {
      const own = controls.find((c) => c.id === condition.control)!;
      const positions = Array.from({ length: positionsOf(own.kind) }, (_, i) => i);
      return [
        ...positions
          .filter((position) => position !== condition.position)
          .map((position): [string, Condition] => [
            placeWords(own, position),
            { ...condition, position },
          ]),
        ...controls
          .filter((c) => c.kind === own.kind && c !== own)
          .slice(0, 2)
          .map((c): [string, Condition] => [
            placeWords(c, condition.position),
            { ...condition, control: c.id },
          ]),
      ];
    }
    case 'logic':
      return [];
    case 'not':
      return [['reversed', condition.of]];
    case 'all':
    case 'any':
      return condition.of.flatMap((part, i) =>
        otherPlaces(setup, part).map(([words, other]): [string, Condition] => [
          words,
          { ...condition, of: condition.of.map((c, j) => (j === i ? other : c)) },
        ]),
      );
  }
}

/** An entry made otherwise than it stands on the sheet. */
export interface WrongEntry {
  /** The step of the sheet it concerns. */
  step: string;
  says: string;
  /** The wrong entry, as a change of the program: what the transmitter seems to hold. */
  patch: PatchOperation[];
  /** The only channel it can change; undefined where it may be any. */
  channel: number | undefined;
}

const lower = (text: string) => text[0]!.toLowerCase() + text.slice(1);

/** Everything one finger can get wrong, commonest first. */
export function wrongEntries(setup: Setup): WrongEntry[] {
  const { program, transmitter } = setup;
  const list: WrongEntry[] = [];
  let channel: number | undefined;
  const add = (step: string, says: string, patch: PatchOperation[]) =>
    list.push({ step, says, patch, channel });

  program.outputs.forEach((o, i) => {
    const at = (field: string, value: unknown) => put(value, 'program', 'outputs', i, field);
    const name = `Channel ${o.channel} (${functionOf(o.carries).words})`;
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
            `The ${words} end of ${lower(name)} is ${size} % instead of ${Math.abs(o[field])} %.`,
            at(field, field === 'minPct' ? -size : size),
          );
    if (o.subtrimPct !== 0) {
      add(step, `The subtrim of ${lower(name)} is missing.`, at('subtrimPct', 0));
      add(
        step,
        `The subtrim of ${lower(name)} has the wrong sign.`,
        at('subtrimPct', -o.subtrimPct),
      );
    } else
      for (const trim of [-20, -10, -5, 5, 10, 20])
        add(step, `${name} has a subtrim of ${trim} %.`, at('subtrimPct', trim));
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
      const expo = (value: number) => put(value, 'program', 'inputs', i, 'rates', j, 'expoPct');
      const own = input.label.toLowerCase();
      if (rate.expoPct !== 0) {
        add(step, `The expo of ${own} is missing.`, expo(0));
        add(step, `The expo of ${own} has the wrong sign.`, expo(-rate.expoPct));
      } else add(step, `There is an expo of 30 % on ${own} that should not be.`, expo(30));
      if (rate.when)
        for (const [words, when] of otherPlaces(setup, rate.when))
          add(step, `The rate of ${own} counts in another place: ${words}.`, [
            {
              op: 'replace',
              path: pointer('program', 'inputs', i, 'rates', j, 'when'),
              value: when,
            },
          ]);
    }),
  );
  program.inputs.forEach((input, i) => {
    for (const other of transmitter.controls)
      if (other.kind === 'stick' && other.id !== input.control)
        add(
          `input ${input.id}`,
          `${input.label} is controlled by ${lower(other.label)}.`,
          put(other.id, 'program', 'inputs', i, 'control'),
        );
  });
  program.shapes.forEach((shape, i) =>
    shape.points.forEach((point, j) => {
      for (const by of [-20, 20])
        if (Math.abs(point.outPct + by) <= 100)
          add(
            `shape ${shape.id}`,
            `Point ${j + 1} of the shape ${shape.label} is ${point.outPct + by} % instead of ${point.outPct} %.`,
            put(point.outPct + by, 'program', 'shapes', i, 'points', j, 'outPct'),
          );
    }),
  );
  program.variables.forEach((v, i) => {
    for (const by of [-20, 20])
      add(
        `variable ${v.id}`,
        `The variable ${v.label} is ${v.valuePct + by} % instead of ${v.valuePct} %.`,
        put(v.valuePct + by, 'program', 'variables', i, 'valuePct'),
      );
  });
  program.logic.forEach((l, i) => {
    const at = (field: string, value: unknown) => put(value, 'program', 'logic', i, field);
    const step = `logic ${l.id}`;
    const name = `“${l.label}”`;
    if (l.op === 'near' || l.op === 'greater') {
      if (l.valuePct !== 0)
        add(step, `The value of ${name} has the wrong sign.`, at('valuePct', -l.valuePct));
      for (const by of [-50, 50])
        add(step, `The value of ${name} is ${l.valuePct + by} %.`, at('valuePct', l.valuePct + by));
    }
    const read = l.op === 'when' ? 'when' : l.op === 'latch' ? 'set' : 'of';
    const condition = (l as unknown as Record<string, Condition | undefined>)[read];
    if (condition)
      for (const [words, when] of otherPlaces(setup, condition))
        add(step, `${name} looks at another place: ${words}.`, at(read, when));
    if (l.op === 'latch')
      add(step, `${name} has set and reset exchanged.`, [
        ...at('set', l.reset),
        ...at('reset', l.set),
      ]);
  });
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
      for (const [words, when] of otherPlaces(setup, l.when))
        add(step, `${name} counts in another place: ${words}.`, at('when', when));
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
