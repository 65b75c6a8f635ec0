import { allReads, functionOf, readsOfLine, type Program, type Setup } from '../setup';

/*
 * A Setup in parts that are taken over whole: what belongs together goes together. Work that was done on
 * the model itself is no part: what is worn here stays worn.
 */

/** A part that can be taken from another Setup. */
export interface Part {
  id: string;
  title: string;
  /** Writes the other's part into a Setup. */
  take(into: Setup, from: Setup): void;
}

/** Sets an optional field, or takes it away where the other has none. */
function put<T extends object, K extends keyof T>(into: T, key: K, value: T[K] | undefined): void {
  if (value === undefined) delete into[key];
  else into[key] = value;
}

const PARTS: readonly Part[] = [
  { id: 'notes', title: 'Notes', take: (into, from) => void (into.notes = from.notes) },
  {
    id: 'measures',
    title: 'Measures of the model',
    take: ({ airframe: into }, { airframe: from }) => {
      into.measures = from.measures;
      put(into, 'assumed', from.assumed);
      put(into, 'steering', from.steering);
    },
  },
  {
    id: 'surfaces',
    title: 'Surfaces, servos, motors and what is plugged where',
    take: (into, from) => {
      const { kind, surfaces, servos, motors } = from.airframe;
      Object.assign(into.airframe, { kind, surfaces, servos, motors });
      into.installation.plugs = from.installation.plugs;
    },
  },
  {
    id: 'unit',
    title: 'The unit: what it is and how it is set',
    take: (into, from) => void (into.unit = from.unit),
  },
  {
    id: 'fitting',
    title: 'How the unit is fitted, and what it learned',
    take: (into, { installation }) => {
      const { plugs, revisions } = into.installation;
      into.installation = { ...installation, plugs, revisions };
    },
  },
  {
    id: 'transmitter',
    title: 'The transmitter',
    take: (into, from) => void (into.transmitter = from.transmitter),
  },
  {
    id: 'wishes',
    title: 'What you chose for each control',
    take: (into, from) => void (into.intents = from.intents),
  },
  {
    id: 'inputs',
    title: 'Inputs: rates and expo',
    take: ({ program: into }, { program: from }) => void (into.inputs = from.inputs),
  },
  {
    id: 'logic',
    title: 'Logic, shapes and values',
    take: ({ program: into }, { program: from }) => {
      const { logic, shapes, variables } = from;
      Object.assign(into, { logic, shapes, variables });
    },
  },
  {
    id: 'voice',
    title: 'Call-outs and timers',
    take: ({ program: into }, { program: from }) => {
      into.callouts = from.callouts;
      into.timers = from.timers;
    },
  },
];

/** Lists of a program whose entries lines read by name. */
const NAMED = ['inputs', 'logic', 'shapes', 'variables'] as const;

/** A channel: its lines, what is switched off, its last stage, the lost signal; and what they read, where it is not there. */
const channelPart = (channel: number, title: string): Part => ({
  id: `channel-${channel}`,
  title,
  take({ program: into }, { program: from }) {
    into.lines = replaced(into.lines, from.lines, channel);
    into.outputs = replaced(into.outputs, from.outputs, channel);
    into.failsafe = replaced(into.failsafe, from.failsafe, channel);
    const aside = [
      ...(into.aside ?? []).filter((a) => a.line.channel !== channel),
      ...(from.aside ?? []).filter((a) => a.line.channel === channel),
    ];
    put(into, 'aside', aside.length > 0 ? aside : undefined);
    bringAlong(into, from, channel);
  },
});

/** Those of a channel from the other list, each in the place of one of this list; more than there are places, after the last. */
function replaced<T extends { channel: number }>(
  into: readonly T[],
  from: readonly T[],
  channel: number,
): T[] {
  const theirs = from.filter((e) => e.channel === channel);
  const last = into.findLastIndex((e) => e.channel === channel);
  if (last < 0) return [...into, ...theirs];
  let next = 0;
  return into.flatMap((entry, i) => {
    if (entry.channel !== channel) return [entry];
    const taken = i === last ? theirs.slice(next) : theirs.slice(next, next + 1);
    next += taken.length;
    return taken;
  });
}

/** What the lines of a channel read, all the way, as far as nothing of that name is there. */
function bringAlong(into: Program, from: Program, channel: number): void {
  const lines = [...from.lines, ...(from.aside ?? []).map((a) => a.line)];
  const reads = allReads(
    from,
    lines.filter((l) => l.channel === channel).flatMap((l) => readsOfLine(l)),
  );
  const wanted = new Set(reads.flatMap((r) => ('id' in r ? [`${r.kind} ${r.id}`] : [])));
  const KIND = { inputs: 'input', logic: 'logic', shapes: 'shape', variables: 'variable' } as const;
  for (const list of NAMED) {
    const missing = from[list].filter(
      (e) => wanted.has(`${KIND[list]} ${e.id}`) && !into[list].some((own) => own.id === e.id),
    );
    Object.assign(into, { [list]: [...into[list], ...missing] });
  }
}

/** Every part of two Setups: those every one has, and each channel that either has. */
export function partsOf(mine: Setup, theirs: Setup): Part[] {
  const outputs = [...mine.program.outputs, ...theirs.program.outputs];
  const channels = [...new Set(outputs.map((o) => o.channel))].toSorted((a, b) => a - b);
  return [
    ...PARTS,
    ...channels.map((channel) => {
      const { carries } = outputs.find((o) => o.channel === channel)!;
      return channelPart(channel, `Channel ${channel}, ${functionOf(carries).words}`);
    }),
  ];
}
