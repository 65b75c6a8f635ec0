import type { PatchOperation } from '../patch';
import {
  pointer,
  readsOfProgram,
  roleOf,
  usualPurpose,
  type Condition,
  type Line,
  type Output,
  type Read,
  type Shape,
  type Setup,
} from '../setup';
import { monitorOf, TOLERANCE_PCT } from '../sheets';
import type { InferredChannel } from './infer';

/**
 * What was read, as the program: every line the person's own, in place of what the channels did. What
 * stood there is switched off and kept, so that no choice writes it again; what an earlier reading gave and
 * this one gives again gives way; inputs that nothing else
 * reads become plain, since their rates and expo are in what was read; ends and reversal as well.
 */
export function takenIn(setup: Setup, found: readonly InferredChannel[]): PatchOperation[] {
  const { program } = setup;
  const channels = new Set(found.map((f) => f.channel));
  const isRead = ({ channel }: { channel: number }) => channels.has(channel);
  const used = new Set(
    found.flatMap((f) =>
      f.lines.flatMap(({ follows }) => (follows.kind === 'control' ? [follows.id] : [])),
    ),
  );
  const staying = program.lines.filter((l) => !isRead(l));
  // What anything else reads stays as it is: then the line follows the control itself, without the trim.
  const rest = readsOfProgram({ ...program, lines: staying });
  const isReadStill = (kind: Read['kind'], id: string) =>
    rest.some((r) => r.kind === kind && 'id' in r && r.id === id);
  const plain = program.inputs.filter((i) => used.has(i.control) && !isReadStill('input', i.id));
  const inputOf = (control: string) => plain.find((i) => i.control === control);
  // What follows a channel that only goes out reversed goes on following what it did.
  const followed = new Set(rest.flatMap((r) => (r.kind === 'channel' ? [r.channel] : [])));
  const staysReversed = new Set(
    program.outputs
      .filter((o) => isRead(o) && followed.has(o.channel) && isOnlyReversed(o))
      .map((o) => o.channel),
  );
  const read = found.flatMap((f) =>
    f.lines.map((line): Line => {
      const { follows } = line;
      const input = follows.kind === 'control' ? inputOf(follows.id) : undefined;
      const turned = staysReversed.has(line.channel) && line.effect !== 'scales';
      return {
        ...line,
        ...(turned ? { sharePct: 0 - line.sharePct, shiftPct: 0 - line.shiftPct } : {}),
        label: 'As read off the monitor',
        // The input brings the trim along, which no reading shows.
        ...(input ? { follows: { kind: 'input', id: input.id } } : {}),
        purpose: purposeOf(setup, line),
      };
    }),
  );
  const shapeOf = (s: { points: unknown } | undefined) => JSON.stringify(s?.points);
  const says = ({ id: _, owner: __, shape, ...line }: Line, shapes: readonly Shape[]) =>
    JSON.stringify([
      Object.entries(line).toSorted(([a], [b]) => (a < b ? -1 : 1)),
      shapeOf(shapes.find((s) => s.id === shape)),
    ]);
  const fresh = found.flatMap((f) => f.shapes);
  const again = new Set(read.map((l) => says(l, fresh)));
  const before = (program.aside ?? []).map((a) => says(a.line, program.shapes));
  const off = [
    ...(program.aside ?? []),
    ...program.lines.flatMap(({ owner: _, ...line }) => {
      const own = says(line, program.shapes);
      return isRead(line) && !again.has(own) && !before.includes(own) ? [{ line }] : [];
    }),
  ];
  const named = freshNames(
    read.map((l) => l.id),
    [...staying, ...off.map((a) => a.line)].map((l) => l.id),
  );
  const drawnBy = new Set([...staying, ...off.map((a) => a.line)].flatMap((l) => l.shape ?? []));
  // What nothing draws on any more came of an earlier reading.
  const shapes = program.shapes.filter(
    (s) =>
      drawnBy.has(s.id) ||
      isReadStill('shape', s.id) ||
      !program.lines.some((l) => l.shape === s.id),
  );
  const drawn = freshNames(
    fresh.map((s) => s.id),
    shapes.map((s) => s.id),
  );
  const lines = read.map((l) => ({
    ...l,
    id: named(l.id),
    ...(l.shape === undefined ? {} : { shape: drawn(l.shape) }),
  }));
  return [
    {
      op: 'replace',
      path: '/program/lines',
      value: [...staying, ...lines],
    },
    {
      op: 'replace',
      path: '/program/shapes',
      value: [...shapes, ...fresh.map((s) => ({ ...s, id: drawn(s.id) }))],
    },
    ...(off.length > 0 ? [{ op: 'add' as const, path: '/program/aside', value: off }] : []),
    ...plain.map(({ owner: _, ...input }): PatchOperation => ({
      op: 'replace',
      path: pointer(
        'program',
        'inputs',
        program.inputs.findIndex((i) => i.id === input.id),
      ),
      value: { ...input, rates: [{ sharePct: 100, expoPct: 0 }] },
    })),
    ...program.outputs.flatMap((o, i): PatchOperation[] =>
      isRead(o)
        ? [
            {
              op: 'replace',
              path: pointer('program', 'outputs', i),
              value: {
                ...o,
                reversed: staysReversed.has(o.channel),
                subtrimPct: 0,
                minPct: -100,
                maxPct: 100,
              },
            },
          ]
        : [],
    ),
  ];
}

/** Names that are not taken: as they are, or with a number behind. */
function freshNames(wanted: readonly string[], taken: readonly string[]): (id: string) => string {
  const used = new Set(taken);
  const names = new Map(
    wanted.map((id) => {
      let n = 1;
      let name = id;
      while (used.has(name)) name = `${id}-${++n}`;
      used.add(name);
      return [id, name];
    }),
  );
  return (id) => names.get(id) ?? id;
}

const isOnlyReversed = (o: Output): boolean =>
  o.reversed && o.subtrimPct === 0 && o.minPct === -100 && o.maxPct === 100;

/**
 * Channels that were not read in and would send otherwise all the same, because they follow one that is:
 * asked of the chain, every control by itself from end to end.
 * @param next the Setup with what was found taken in
 */
export function disturbed(setup: Setup, next: Setup, found: readonly InferredChannel[]): number[] {
  const [was, is] = [monitorOf(setup), monitorOf(next)];
  const hands = setup.transmitter.controls.flatMap(({ id, kind }) =>
    (kind === 'trim' ? [] : [-100, -40, 0, 40, 100]).map((value) => ({ [id]: value })),
  );
  return setup.program.outputs
    .map((o) => o.channel)
    .filter((channel) => !found.some((f) => f.channel === channel))
    .filter((channel) =>
      [{}, ...hands].some(
        (h) => Math.abs(was.read(channel, h).pct - is.read(channel, h).pct) > TOLERANCE_PCT,
      ),
    );
}

/** What a line is for, by the channel it is on and the controls the choices name: so it is known what to prove of it. */
function purposeOf(
  { program, intents, transmitter }: Setup,
  line: Line,
): NonNullable<Line['purpose']> {
  const carries = program.outputs.find((o) => o.channel === line.channel)?.carries;
  const { panic, cut, launch } = intents.program;
  // In the place it rests in, a button orders nothing.
  const pressed = (control: string | undefined) =>
    control !== undefined &&
    line.when !== undefined &&
    placed(line.when).some(
      (p) =>
        p.control === control &&
        (p.position > 0 ||
          transmitter.controls.find((c) => c.id === control)?.kind !== 'momentary'),
    );
  if (carries === undefined) return 'other';
  const role = roleOf(carries);
  if (role === 'motor' && line.follows.kind === 'fixed' && pressed(cut?.control))
    return 'throttle-cut';
  if (role === 'order' && pressed(panic?.control)) return 'panic';
  if (role === 'order' && pressed(launch?.control)) return 'launch';
  return usualPurpose(carries);
}

const placed = (c: Condition): { control: string; position: number }[] =>
  c.kind === 'switch'
    ? [{ control: c.control, position: c.position }]
    : c.kind === 'all' || c.kind === 'any'
      ? c.of.flatMap(placed)
      : [];
