import type { PatchOperation } from '../patch';
import {
  pointer,
  reaches,
  type Line,
  type Setup,
  type Source,
  type WishId,
  type Worked,
} from '../setup';

/*
 * Lines of a program changed by hand: each change is a patch, and what it is offered from is what the
 * program and the transmitter have. Nothing is judged here; the chain does that with the patch applied.
 */

/** One thing a line can follow, as a key for lists. */
export interface SourceChoice {
  key: string;
  source: Source;
}

export const sourceKey = (source: Source): string => {
  switch (source.kind) {
    case 'fixed':
      return 'fixed';
    case 'channel':
      return `channel ${source.channel}`;
    default:
      return `${source.kind} ${source.id}`;
  }
};

/**
 * Everything that may be followed: nothing that comes back to where it is put, however far round.
 * @param of the channel or the logic it is put in; left out where nothing can come back: a call-out
 */
export function sourcesFor({ program, transmitter }: Setup, of?: Worked): SourceChoice[] {
  const worked: (Source & Worked)[] = [
    ...program.inputs.map(({ id }) => ({ kind: 'input' as const, id })),
    ...program.variables.map(({ id }) => ({ kind: 'variable' as const, id })),
    ...program.outputs.map(({ channel }) => ({ kind: 'channel' as const, channel })),
  ];
  const free = worked.filter((source) => !of || !reaches(program, source, of));
  const sources: Source[] = [
    ...free.filter((s) => s.kind === 'input'),
    ...transmitter.controls.map(({ id }) => ({ kind: 'control' as const, id })),
    ...free.filter((s) => s.kind !== 'input'),
    { kind: 'fixed' },
  ];
  return sources.map((source) => ({ key: sourceKey(source), source }));
}

const at = (setup: Setup, id: string): number => setup.program.lines.findIndex((l) => l.id === id);

/**
 * A part of a line as the person wants it. A line of a choice becomes the person's own by that: the choice
 * does not write it again, and still checks that its aim holds.
 */
export function changeLine(setup: Setup, id: string, change: Partial<Line>): PatchOperation[] {
  const i = at(setup, id);
  if (i < 0) return [];
  const { owner, label, ...line } = setup.program.lines[i]!;
  // The name a choice gave it tells what the choice wrote.
  const next: Partial<Line> = { ...line, ...(owner ? {} : { label }), ...change };
  for (const key of Object.keys(next) as (keyof Line)[])
    if (next[key] === undefined) delete next[key];
  return [{ op: 'replace', path: pointer('program', 'lines', i), value: next }];
}

/** Which choice wrote a line; undefined for one of the person's own. */
export const writerOf = ({ owner }: Line): WishId | undefined => owner;

/**
 * A name no line has yet, neither one that is in force nor one that is switched off.
 * @param taken names that are given away already
 */
export function freeLineId(
  setup: Setup,
  stem: string,
  taken: ReadonlySet<string> = new Set(),
): string {
  const base = stem.slice(0, 34);
  for (let n = 1; ; n++) {
    const id = `${base}-${n}`;
    const known = (l: Line) => l.id === id;
    const { lines, aside = [] } = setup.program;
    if (!taken.has(id) && !lines.some(known) && !aside.some((a) => known(a.line))) return id;
  }
}

/** A new line at the end of a channel, following what is asked for; it does nothing yet. */
export function addLine(setup: Setup, channel: number, follows: Source): PatchOperation[] {
  const line: Line = {
    id: freeLineId(setup, 'own'),
    channel,
    follows,
    sharePct: 0,
    shiftPct: 0,
    effect: 'adds',
    purpose: 'mix',
  };
  return [{ op: 'add', path: '/program/lines/-', value: line }];
}

/** The same again, right below, as the person's own. */
export function duplicateLine(setup: Setup, id: string): PatchOperation[] {
  const i = at(setup, id);
  if (i < 0) return [];
  const { owner: _, ...line } = setup.program.lines[i]!;
  return [
    {
      op: 'add',
      path: pointer('program', 'lines', i + 1),
      value: { ...line, id: freeLineId(setup, id) },
    },
  ];
}

export function removeLine(setup: Setup, id: string): PatchOperation[] {
  const i = at(setup, id);
  return i < 0 ? [] : [{ op: 'remove', path: pointer('program', 'lines', i) }];
}

/** One place up or down among the lines of its own channel; nothing at the end. */
export function moveLine(setup: Setup, id: string, by: -1 | 1): PatchOperation[] {
  const { lines } = setup.program;
  const i = at(setup, id);
  if (i < 0) return [];
  let j = i + by;
  while (lines[j] && lines[j]!.channel !== lines[i]!.channel) j += by;
  return lines[j] ? moveLineTo(setup, id, lines[j]!.id) : [];
}

/** To the place of another line of its channel, which makes room; nothing where that is none. */
export function moveLineTo(setup: Setup, id: string, other: string): PatchOperation[] {
  const { lines } = setup.program;
  const [i, j] = [at(setup, id), at(setup, other)];
  if (i < 0 || j < 0 || i === j || lines[i]!.channel !== lines[j]!.channel) return [];
  return [
    { op: 'move', from: pointer('program', 'lines', i), path: pointer('program', 'lines', j) },
  ];
}

/**
 * Switches a line off without losing it: it stands aside and does nothing until it is brought back to
 * where it stood. A line of a choice becomes the person's own by that, and is not written again.
 */
export function setAside(setup: Setup, id: string): PatchOperation[] {
  const { lines, aside } = setup.program;
  const i = at(setup, id);
  if (i < 0) return [];
  const { owner: _, ...line } = lines[i]!;
  const above = lines.slice(0, i).findLast((l) => l.channel === line.channel);
  const value = { line, ...(above ? { after: above.id } : {}) };
  return [
    { op: 'remove', path: pointer('program', 'lines', i) },
    aside
      ? { op: 'add', path: '/program/aside/-', value }
      : { op: 'add', path: '/program/aside', value: [value] },
  ];
}

/** Switches a line on again, behind the line it stood behind; at the end of its channel where that is gone. */
export function bringBack(setup: Setup, id: string): PatchOperation[] {
  const { lines, aside = [] } = setup.program;
  const i = aside.findIndex(({ line }) => line.id === id);
  const entry = aside[i];
  if (!entry) return [];
  const own = lines.flatMap((l, k) => (l.channel === entry.line.channel ? [k] : []));
  const behind = own.find((k) => lines[k]!.id === entry.after);
  const place = entry.after === undefined ? own[0] : behind === undefined ? undefined : behind + 1;
  return [
    ...takenAway(setup, i),
    {
      op: 'add',
      path: place === undefined ? '/program/lines/-' : pointer('program', 'lines', place),
      value: entry.line,
    },
  ];
}

/** A line that stands aside, gone for good. */
export function dropAside(setup: Setup, id: string): PatchOperation[] {
  const i = (setup.program.aside ?? []).findIndex(({ line }) => line.id === id);
  return i < 0 ? [] : takenAway(setup, i);
}

/** No empty list stays behind: a program without lines aside is the one it was before. */
const takenAway = ({ program }: Setup, i: number): PatchOperation[] => [
  {
    op: 'remove',
    path: program.aside!.length === 1 ? '/program/aside' : pointer('program', 'aside', i),
  },
];
