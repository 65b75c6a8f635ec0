import type { Condition, Input, Line, Logic, Program, Source, Variable } from './schema/program';

/*
 * What reads what. Everything that follows a program (the check of its names, the search for circles,
 * the order it runs in, the cone of a proof, what a control does) asks here; nothing else looks into
 * conditions and sources to see what they name.
 */

type Path = readonly (string | number)[];

/** Something an entry of the program reads. */
export type Read = (
  | { kind: 'control'; id: string; position?: number }
  | { kind: 'logic'; id: string }
  | { kind: 'input'; id: string }
  | { kind: 'variable'; id: string }
  | { kind: 'shape'; id: string }
  | { kind: 'channel'; channel: number }
) & {
  /** Where the name stands, from the program on. */
  path: Path;
  /** Only compared with a threshold: its value matters by the outcome. */
  compared?: true;
  /** A trim, which shifts a value by little. */
  trim?: true;
};

export function readsOfCondition(c: Condition, path: Path = []): Read[] {
  switch (c.kind) {
    case 'switch':
      return [{ kind: 'control', id: c.control, position: c.position, path: [...path, 'control'] }];
    case 'logic':
      return [{ kind: 'logic', id: c.id, path: [...path, 'id'] }];
    case 'not':
      return readsOfCondition(c.of, [...path, 'of']);
    case 'all':
    case 'any':
      return c.of.flatMap((part, i) => readsOfCondition(part, [...path, 'of', i]));
  }
}

export function readsOfSource(s: Source, path: Path = []): Read[] {
  switch (s.kind) {
    case 'fixed':
      return [];
    case 'channel':
      return [{ kind: 'channel', channel: s.channel, path: [...path, 'channel'] }];
    default:
      return [{ kind: s.kind, id: s.id, path: [...path, 'id'] }];
  }
}

export function readsOfLogic(entry: Logic, path: Path = []): Read[] {
  switch (entry.op) {
    case 'near':
    case 'greater':
      return readsOfSource(entry.follows, [...path, 'follows']).map((r) => ({
        ...r,
        compared: true as const,
      }));
    case 'when':
      return readsOfCondition(entry.when, [...path, 'when']);
    case 'latch':
      return [
        ...readsOfCondition(entry.set, [...path, 'set']),
        ...readsOfCondition(entry.reset, [...path, 'reset']),
      ];
    default:
      return readsOfCondition(entry.of, [...path, 'of']);
  }
}

export function readsOfInput(input: Input, path: Path = []): Read[] {
  return [
    { kind: 'control', id: input.control, path: [...path, 'control'] },
    ...(input.trim === undefined
      ? []
      : [{ kind: 'control', id: input.trim, trim: true, path: [...path, 'trim'] } as const]),
    ...input.rates.flatMap((rate, i) =>
      rate.when ? readsOfCondition(rate.when, [...path, 'rates', i, 'when']) : [],
    ),
  ];
}

export function readsOfLine(line: Line, path: Path = []): Read[] {
  return [
    ...readsOfSource(line.follows, [...path, 'follows']),
    ...(line.when ? readsOfCondition(line.when, [...path, 'when']) : []),
    ...(line.shape === undefined
      ? []
      : [{ kind: 'shape', id: line.shape, path: [...path, 'shape'] } as const]),
  ];
}

export const readsOfVariable = ({ adjust }: Variable, path: Path = []): Read[] =>
  adjust ? [{ kind: 'control', id: adjust.control, path: [...path, 'adjust', 'control'] }] : [];

export const readsOfCallout = (
  { when, moved, reading }: Program['callouts'][number],
  path: Path = [],
): Read[] => [
  ...(when ? readsOfCondition(when, [...path, 'when']) : []),
  ...(moved ? readsOfSource(moved.follows, [...path, 'moved', 'follows']) : []),
  ...(reading ? readsOfSource(reading, [...path, 'reading']) : []),
];

export const readsOfTimer = ({ when }: Program['timers'][number], path: Path = []): Read[] =>
  readsOfCondition(when, [...path, 'when']);

/** Every read of a program, list by list. */
export function readsOfProgram(program: Program): Read[] {
  return [
    ...program.inputs.flatMap((e, i) => readsOfInput(e, ['inputs', i])),
    ...program.logic.flatMap((e, i) => readsOfLogic(e, ['logic', i])),
    ...program.variables.flatMap((e, i) => readsOfVariable(e, ['variables', i])),
    ...program.lines.flatMap((e, i) => readsOfLine(e, ['lines', i])),
    ...program.callouts.flatMap((e, i) => readsOfCallout(e, ['callouts', i])),
    ...program.timers.flatMap((e, i) => readsOfTimer(e, ['timers', i])),
  ];
}

/** Something that is worked out in every frame, by its name. */
export type Worked =
  | { kind: 'logic'; id: string }
  | { kind: 'input'; id: string }
  | { kind: 'variable'; id: string }
  | { kind: 'channel'; channel: number };

/** What one thing that is worked out reads directly. */
export function readsOf(program: Program, of: Worked): Read[] {
  switch (of.kind) {
    case 'logic':
      return program.logic.filter((l) => l.id === of.id).flatMap((l) => readsOfLogic(l));
    case 'input':
      return program.inputs.filter((i) => i.id === of.id).flatMap((i) => readsOfInput(i));
    case 'variable':
      return program.variables.filter((v) => v.id === of.id).flatMap((v) => readsOfVariable(v));
    case 'channel':
      return program.lines.filter((l) => l.channel === of.channel).flatMap((l) => readsOfLine(l));
  }
}

export const isWorked = (read: Read): read is Read & Worked =>
  read.kind !== 'control' && read.kind !== 'shape';

/** One name for each thing, to tell them apart in a set. */
export const nameOfWorked = (of: Worked): string =>
  of.kind === 'channel' ? `channel ${of.channel}` : `${of.kind} ${of.id}`;

/** Whether one thing reads another, however far round; it reads itself. */
export const reaches = (program: Program, from: Worked, to: Worked): boolean =>
  allReads(program, [{ ...from, path: [] }]).some(
    (read) => isWorked(read) && nameOfWorked(read) === nameOfWorked(to),
  );

/**
 * Follows reads to the end: what stands behind them, all the way to the controls.
 * @returns each read once for every place that has it
 */
export function allReads(program: Program, from: readonly Read[]): Read[] {
  const found: Read[] = [];
  const done = new Set<string>();
  const visit = (read: Read): void => {
    found.push(read);
    if (!isWorked(read) || done.has(nameOfWorked(read))) return;
    done.add(nameOfWorked(read));
    readsOf(program, read).forEach(visit);
  };
  from.forEach(visit);
  return found;
}
