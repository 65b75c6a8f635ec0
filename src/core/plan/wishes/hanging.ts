import {
  readsOfCallout,
  readsOfInput,
  readsOfLine,
  readsOfLogic,
  readsOfTimer,
  readsOfVariable,
  type Program,
  type Read,
  type WishId,
} from '../../setup';

/** Lists whose entries others read by name. */
const READ = ['logic', 'inputs', 'variables', 'shapes'] as const;
type ReadList = (typeof READ)[number];
const LIST_OF = {
  logic: 'logic',
  input: 'inputs',
  variable: 'variables',
  shape: 'shapes',
} as const satisfies Partial<Record<Read['kind'], ReadList>>;

/** An entry as the person knows it. */
export interface Known {
  list: 'inputs' | 'logic' | 'variables' | 'shapes' | 'lines' | 'callouts' | 'timers';
  id: string;
  label: string;
}

/** What a choice wrote and others read, so that it cannot go without them. */
export interface Hanging {
  /** All of them, with what they read themselves. */
  entries: Known[];
  /** Those that the readers name. */
  named: Known[];
  readers: Known[];
}

const known = (list: Known['list'], e: { id: string; label?: string; say?: string }): Known => ({
  list,
  id: e.id,
  label: e.label ?? e.say ?? e.id,
});

/** Everything that reads something by name, with what it reads. */
function readersIn(program: Program): { who: Known; owner: WishId | undefined; reads: Read[] }[] {
  return [
    ...program.inputs.map((e) => ({
      who: known('inputs', e),
      owner: e.owner,
      reads: readsOfInput(e),
    })),
    ...program.logic.map((e) => ({
      who: known('logic', e),
      owner: e.owner,
      reads: readsOfLogic(e),
    })),
    ...program.variables.map((e) => ({
      who: known('variables', e),
      owner: e.owner,
      reads: readsOfVariable(e),
    })),
    ...program.lines.map((e) => ({
      who: known('lines', e),
      owner: e.owner,
      reads: readsOfLine(e),
    })),
    ...program.callouts.map((e) => ({
      who: known('callouts', e),
      owner: e.owner,
      reads: readsOfCallout(e),
    })),
    ...program.timers.map((e) => ({
      who: known('timers', e),
      owner: e.owner,
      reads: readsOfTimer(e),
    })),
  ];
}

const namedBy = (read: Read): string | undefined =>
  read.kind in LIST_OF && 'id' in read
    ? `${LIST_OF[read.kind as keyof typeof LIST_OF]} ${read.id}`
    : undefined;

/**
 * Puts back whatever a choice had written, writes no more, and somebody else still reads: a name that
 * nothing stands behind is no program.
 * @param before with everything the choice had written @param after without what it writes no more
 */
export function withWhatIsRead(
  before: Program,
  after: Program,
  owner: WishId,
): { program: Program; hanging: Hanging } {
  const hanging: Hanging = { entries: [], named: [], readers: [] };
  let program = after;
  for (;;) {
    const there = new Set(READ.flatMap((list) => program[list].map((e) => `${list} ${e.id}`)));
    const readers = readersIn(program).filter(({ reads }) =>
      reads.some((r) => {
        const name = namedBy(r);
        return name !== undefined && !there.has(name);
      }),
    );
    const wanted = new Set(readers.flatMap(({ reads }) => reads.map(namedBy)));
    const back = READ.flatMap((list) =>
      before[list].flatMap((e, at) =>
        e.owner === owner && wanted.has(`${list} ${e.id}`) && !there.has(`${list} ${e.id}`)
          ? [{ list, e, at }]
          : [],
      ),
    );
    if (back.length === 0) return { program, hanging };
    program = { ...program };
    const isFirst = hanging.entries.length === 0;
    for (const { list, e, at } of back) {
      Object.assign(program, { [list]: program[list].toSpliced(at, 0, e as never) });
      hanging.entries.push(known(list, e));
      if (isFirst) hanging.named.push(known(list, e));
    }
    for (const { who, owner: of } of readers)
      if (of !== owner && !hanging.readers.some((r) => r.list === who.list && r.id === who.id))
        hanging.readers.push(who);
  }
}

/** The entries that depend on others given to the person, to stay as they are. */
export function keptAsOwn(program: Program, { entries }: Hanging): Program {
  const next = { ...program };
  for (const list of READ) {
    const ids = new Set(entries.flatMap((e) => (e.list === list ? [e.id] : [])));
    if (ids.size === 0) continue;
    const free = <T extends { id: string; owner?: WishId | undefined }>(e: T): T => {
      if (!ids.has(e.id)) return e;
      const { owner: _, ...mine } = e;
      return mine as T;
    };
    Object.assign(next, { [list]: (program[list] as { id: string }[]).map(free) });
  }
  return next;
}

/** Whether everything that reads them is a line, which can stand aside. */
export const canStandAside = ({ readers }: Hanging): boolean =>
  readers.length > 0 && readers.every((r) => r.list === 'lines');

/** The lines that read them switched off: kept, and doing nothing. */
export function putAside(program: Program, { readers }: Hanging): Program {
  const ids = new Set(readers.flatMap((r) => (r.list === 'lines' ? [r.id] : [])));
  const aside = program.lines.flatMap((l, i) => {
    if (!ids.has(l.id)) return [];
    const { owner: _, ...line } = l;
    const above = program.lines
      .slice(0, i)
      .findLast((x) => x.channel === l.channel && !ids.has(x.id));
    return [{ line, ...(above ? { after: above.id } : {}) }];
  });
  return {
    ...program,
    lines: program.lines.filter((l) => !ids.has(l.id)),
    aside: [...(program.aside ?? []), ...aside],
  };
}
