import { carriedChannels } from '../chain';
import {
  isOrder,
  type Airframe,
  type ChannelFunction,
  type Transmitter,
  type Unit,
  functionOf,
} from '../setup';
import { plugIn } from './plugs';
import {
  canRideSwitch,
  gestureFunctions,
  mixerOf,
  neededFunctions,
  orderFunctions,
  unsuited,
  type Mixer,
} from './functions';

/** Which function travels on which channel, 1-based. */
export type Assignment = { carries: ChannelFunction; channel: number }[];

export interface PlanRequest {
  airframe: Airframe;
  unit: Unit;
  transmitter: Transmitter;
  /** Functions wanted beyond what the airframe needs: mode, gain, recovery, per-axis gains. */
  wishes: readonly ChannelFunction[];
  /** Rows the person has fixed by hand. */
  pins: Assignment;
  /** Who mixes, where the unit leaves the choice. */
  mixer?: Mixer | undefined;
}

export interface PlanRow {
  carries: ChannelFunction;
  channel: number;
  pinned: boolean;
  reason: string;
}

export type WayId = 'y-lead' | 'gear-with-flap' | 'panic-by-mode' | 'drop-gain-lead' | 'fixed-mode';

/** A way to need fewer channels, and what it costs. */
export interface WayOut {
  id: WayId;
  title: string;
  costs: string;
  weight: number;
}

export interface ChannelPlan {
  rows: PlanRow[];
  /** Taken because the channels did not suffice; empty when everything fits. */
  taken: WayOut[];
  /** Every combination that fits, cheapest first, each with its ways. */
  choices: WayOut[][];
  /** Why there is no plan; then `rows` is empty. */
  impossible: string[];
  /** Things to know that are not faults: a channel the link drops, a switch-only channel used. */
  notes: string[];
}

const WAYS: Record<WayId, WayOut> = {
  'y-lead': {
    id: 'y-lead',
    title: 'Join both ailerons on a Y-lead',
    costs:
      'Frees one channel. Their centres can no longer be set separately, and there is no differential.',
    weight: 1,
  },
  'panic-by-mode': {
    id: 'panic-by-mode',
    title: 'Panic recovery by mode switch instead of a channel of its own',
    costs: 'Frees one channel. Recovery then depends on finding the right switch position.',
    weight: 2,
  },
  'gear-with-flap': {
    id: 'gear-with-flap',
    title: 'Gear on the flap switch',
    costs: 'Frees one channel. Gear and first flap position come together.',
    weight: 3,
  },
  'fixed-mode': {
    id: 'fixed-mode',
    title: 'Leave the unit in one mode',
    costs: 'Frees the mode channel. There is no off switch in the air: only for a proven model.',
    weight: 6,
  },
  'drop-gain-lead': {
    id: 'drop-gain-lead',
    title: 'Set the gain once, then unplug the gain lead',
    costs:
      'Frees the gain channel. Gain stays at the last value and cannot be turned down in the air.',
    weight: 5,
  },
};

/**
 * Ways that take what the hands command the unit by. With neither a mode nor a gain channel nothing could stop it, so
 * one of them at most is taken, and none for the sake of another part.
 */
export const DEAR_WAYS: ReadonlySet<WayId> = new Set(['fixed-mode', 'drop-gain-lead']);

/** What each way takes off the list, or undefined where it does not apply. */
function applyWay(
  way: WayId,
  functions: readonly ChannelFunction[],
  unit: Unit,
): ChannelFunction[] | undefined {
  const without = (...gone: ChannelFunction[]) =>
    gone.every((f) => functions.includes(f))
      ? functions.filter((f) => !gone.includes(f))
      : undefined;
  switch (way) {
    case 'y-lead':
      return without('aileron2');
    case 'gear-with-flap':
      return functions.includes('flap') ? without('gear') : undefined;
    case 'panic-by-mode':
      return functions.includes('mode') ? without('recovery') : undefined;
    case 'fixed-mode':
      // Of two channels that choose together one alone says nothing certain.
      return functions.includes('mode2') ? undefined : without('mode');
    case 'drop-gain-lead':
      // Without its lead a unit is off for good, or at full gain; where the sides of the channel choose the mode, it has none.
      return unit.traits.gainLeadMissing !== 'keeps-last' ||
        unit.traits.modeSelect.by === 'gain-sign'
        ? undefined
        : without('gain');
  }
}

/** Puts every function on a channel with a reason, or says what must give. Deterministic. */
export function planChannels(request: PlanRequest): ChannelPlan {
  const { airframe, unit, transmitter, pins } = request;
  const impossible = unsuited(airframe, unit, request.mixer);
  const { loose } = plugIn(airframe, unit, request.mixer);
  if (loose.length > 0) impossible.push(`The unit has no free plug for the ${loose.join(', ')}.`);
  const none = { rows: [], taken: [], choices: [], notes: [] };
  for (const hand of ['aileron', 'elevator'] as const)
    if (
      neededFunctions(airframe, 'unit').includes(hand) &&
      !transmitter.controls.some((c) => c.kind === 'stick' && c.hand === hand)
    )
      impossible.push(`This transmitter has no ${hand} stick.`);
  if (impossible.length > 0) return { ...none, impossible };

  const wanted = wantedFunctions(request);
  const choices: { ways: WayOut[]; rows: PlanRow[]; left: readonly ChannelFunction[] }[] = [];
  const ids = Object.keys(WAYS) as WayId[];
  for (let set = 0; set < 1 << ids.length; set++) {
    let functions: ChannelFunction[] | undefined = wanted;
    const ways: WayOut[] = [];
    ids.forEach((id, i) => {
      if (!functions || !((set >> i) & 1)) return;
      functions = applyWay(id, functions, unit);
      ways.push(WAYS[id]);
    });
    if (!functions || ways.filter((w) => DEAR_WAYS.has(w.id)).length > 1) continue;
    const left: readonly ChannelFunction[] = functions;
    // What the person has fixed by hand is not given away.
    if (pins.some((p) => wanted.includes(p.carries) && !left.includes(p.carries))) continue;
    // A set that holds a smaller one that fits already says nothing new.
    if (choices.some((c) => c.ways.every((w) => ways.includes(w)))) continue;
    const rows = place(functions, request);
    if (rows) choices.push({ ways, rows, left });
  }
  const cost = (ways: readonly WayOut[]) => ways.reduce((sum, w) => sum + w.weight, 0);
  choices.sort((a, b) => cost(a.ways) - cost(b.ways));
  const best = choices[0];
  if (!best) {
    const beyond = pins.flatMap((p) => (wanted.includes(p.carries) ? beyondOf(p, request) : []));
    if (beyond.length > 0) return { ...none, impossible: beyond };
    const free = place(wanted, { ...request, pins: [] });
    const words = pins
      .map((p) => `${functionOf(p.carries).words} on channel ${p.channel}`)
      .join(', ');
    return {
      ...none,
      impossible: [
        free && pins.length > 0
          ? `Not everything you pinned can be kept: ${words}.`
          : tooFew(wanted, request),
      ],
    };
  }
  // What only gestures need takes nothing from what flies: it has a channel where one is left.
  const gestures = gestureFunctions(unit, transmitter).filter((f) => !wanted.includes(f));
  const withGestures = gestures.length > 0 && place([...best.left, ...gestures], request);
  return {
    rows: withGestures
      ? withGestures.map((row) =>
          gestures.includes(row.carries) && !row.pinned
            ? { ...row, reason: `The unit’s gestures need the ${row.carries} stick.` }
            : row,
        )
      : best.rows,
    taken: best.ways,
    choices: choices.map((c) => c.ways),
    impossible: [],
    notes: [
      ...notesOn(best.rows, transmitter),
      ...(withGestures || gestures.length === 0
        ? []
        : [
            `No channel is free for ${gestures.map((f) => `the ${f} stick`).join(' and ')}: the unit’s gestures need it.`,
          ]),
    ],
  };
}

function wantedFunctions({ airframe, unit, wishes, mixer }: PlanRequest): ChannelFunction[] {
  const orders = orderFunctions(unit);
  const understood = new Set<ChannelFunction>(orders);
  if (unit.traits.gainLaw !== 'fixed')
    for (const axis of unit.traits.axes) understood.add(`gain-${axis}`);
  const asked = wishes.filter((w) => understood.has(w) || !isOrder(w));
  // Without its mode channel a unit with modes cannot be told anything: it is always wanted.
  const always = orders.filter((f) => f !== 'recovery');
  return [...new Set([...neededFunctions(airframe, mixerOf(unit, mixer)), ...always, ...asked])];
}

/** The channels a function may use, best first. */
function place(functions: readonly ChannelFunction[], request: PlanRequest): PlanRow[] | undefined {
  const { unit, transmitter, pins } = request;
  const { inputOrder, inputChannels } = unit.traits;
  const last = Math.min(transmitter.channels, inputChannels, linkChannels(transmitter));
  const fixed = inputOrder.kind === 'fixed' ? inputOrder.order : [];
  const rows: PlanRow[] = [];
  const used = new Set<number>();
  const put = (carries: ChannelFunction, channel: number, reason: string, pinned = false) => {
    used.add(channel);
    rows.push({ carries, channel, reason, pinned });
  };
  const open = (f: ChannelFunction) => !rows.some((r) => r.carries === f);
  const fits = (f: ChannelFunction, channel: number) =>
    channel >= 1 &&
    channel <= last &&
    !used.has(channel) &&
    (canRideSwitch(f, transmitter) || !transmitter.switchOnly.includes(channel));

  for (const { carries, channel } of pins) {
    if (!functions.includes(carries)) continue;
    if (!fits(carries, channel)) return undefined;
    put(carries, channel, 'Fixed here by you.', true);
  }
  for (const carries of functions) {
    const channel = fixed.indexOf(carries) + 1;
    if (!open(carries) || channel === 0) continue;
    if (!fits(carries, channel)) return undefined;
    put(carries, channel, `The unit expects ${functionOf(carries).words} on channel ${channel}.`);
  }
  // Places a fixed order keeps for functions this model lacks stay empty.
  fixed.forEach((_, i) => used.add(i + 1));
  for (const carries of functions) {
    const channel = fixed.length > 0 ? 0 : transmitter.defaultOrder.indexOf(carries) + 1;
    if (open(carries) && channel > 0 && fits(carries, channel))
      put(carries, channel, 'This transmitter’s own order.');
  }
  // What only a full channel can carry goes before what a switch-only channel can. The mode is the first
  // to take such a channel: it needs the positions of a switch and nothing else.
  const waits = (f: ChannelFunction) => {
    if (!canRideSwitch(f, transmitter)) return 0;
    return f === 'mode' && transmitter.switchOnly.length > 0 ? 1 : 2;
  };
  const rest = functions.filter(open).toSorted((a, b) => waits(a) - waits(b));
  for (const carries of rest) {
    const all = Array.from({ length: last }, (_, i) => i + 1).filter((c) => fits(carries, c));
    const channel = canRideSwitch(carries, transmitter)
      ? (all.find((c) => transmitter.switchOnly.includes(c)) ?? all[0])
      : all[0];
    if (channel === undefined) return undefined;
    put(
      carries,
      channel,
      transmitter.switchOnly.includes(channel)
        ? 'This channel carries a switch only, which is all it needs.'
        : 'Lowest free channel.',
    );
  }
  return rows.toSorted((a, b) => a.channel - b.channel);
}

/** Why a channel that was fixed by hand cannot be had at all, and what would give it. */
function beyondOf(
  { carries, channel }: Assignment[number],
  { unit, transmitter }: PlanRequest,
): string[] {
  const what = `${functionOf(carries).words} cannot be on channel ${channel}`;
  if (channel > transmitter.channels)
    return [`The transmitter sends ${transmitter.channels} channels: ${what}.`];
  if (channel > unit.traits.inputChannels)
    return [`The unit receives ${unit.traits.inputChannels} channels: ${what}.`];
  const link = transmitter.linkVariants.find((v) => v.id === transmitter.link);
  if (link && channel > link.channels) {
    const wider = transmitter.linkVariants.find((v) => v.channels >= channel);
    return [
      `The link “${link.label}” carries ${link.channels} channels: ${what}.${wider ? ` Choose the link “${wider.label}” first.` : ''}`,
    ];
  }
  return transmitter.switchOnly.includes(channel) && !canRideSwitch(carries, transmitter)
    ? [`Channel ${channel} carries a switch only: ${what}.`]
    : [];
}

function linkChannels(transmitter: Transmitter): number {
  return carriedChannels({ transmitter });
}

function tooFew(wanted: readonly ChannelFunction[], { unit, transmitter }: PlanRequest): string {
  const limits: [string, number][] = [
    ['the transmitter sends', transmitter.channels],
    ['the link carries', linkChannels(transmitter)],
    ['the unit receives', unit.traits.inputChannels],
  ];
  const [who, count] = limits.reduce((a, b) => (b[1] < a[1] ? b : a));
  return `${wanted.length} functions (${wanted.map((f) => functionOf(f).words).join(', ')}) need more than ${who}: ${count} channels, and no combination of alternatives is enough.`;
}

function notesOn(rows: readonly PlanRow[], transmitter: Transmitter): string[] {
  const notes = rows
    .filter((r) => transmitter.switchOnly.includes(r.channel))
    .map(
      (r) =>
        `Channel ${r.channel} is used for ${functionOf(r.carries).words}: it carries a switch only.`,
    );
  const most = Math.max(0, ...rows.map((r) => r.channel));
  for (const variant of transmitter.linkVariants)
    if (variant.channels < most)
      notes.push(
        `With the link set to “${variant.label}” channel ${most} (${functionOf(rows.find((r) => r.channel === most)!.carries).words}) would not reach the receiver.`,
      );
  return notes;
}
