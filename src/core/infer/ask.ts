import { positionsOf, switchValue } from '../chain';
import { isSwitched, type Control, type Transmitter } from '../setup';
import { BY_EYE_PCT, HALF_WAY_PCT } from '../sheets';
import { SAME_PCT, type Reading } from './infer';

/** Hands on the transmitter, by control id; what is not named rests. */
export type Asked = Readonly<Record<string, number>>;

/** Two values that are one, read twice off a monitor. */
const MOVED_PCT = 2 * SAME_PCT;

const endsOf = (c: Control): number[] =>
  isSwitched(c)
    ? Array.from({ length: positionsOf(c.kind) }, (_, p) => switchValue(c.kind, p)).filter(
        (v) => v !== c.rest,
      )
    : [-100, 100].filter((v) => v !== c.rest);

/** Between its ends, where a curve shows; held there by eye. */
const middlesOf = (c: Control): number[] =>
  [-HALF_WAY_PCT, 0, HALF_WAY_PCT].filter((v) => v !== c.rest);
/** Off the straight line by more than a hand is held wrong by eye. */
const BENT_PCT = BY_EYE_PCT + 1;
/** Sticks that two hands hold out one at a time: with another they could leave a mixed channel no room. */
const ALONE = new Set<Control['hand']>(['elevator', 'rudder']);

/**
 * What to read next of a transmitter that is already programmed, the next one first: everything at
 * rest, each control by itself, the switches with hands out, then together whatever was seen
 * to work on the same channel. What shows nothing so is not asked with everything else.
 * @returns nothing where there is nothing left to ask
 */
export function asks(transmitter: Transmitter, readings: readonly Reading[]): Asked[] {
  const controls = transmitter.controls.filter((c) => c.kind !== 'trim');
  const rests = new Map(controls.map((c) => [c.id, c.rest]));
  const keyOf = (hands: Asked) =>
    controls.map(({ id, rest }) => Math.round(hands[id] ?? rest)).join();
  const known = new Map(readings.map((r) => [keyOf(r.controls), r.channels]));
  const wanted = new Map<string, Asked>();
  const count = Math.max(0, ...readings.map((r) => r.channels.length));

  /** What is shown so, or undefined: then it is asked. */
  const shown = (hands: Asked): Reading['channels'] | undefined => {
    const named = Object.fromEntries(
      Object.entries(hands).filter(([id, v]) => rests.get(id) !== v),
    );
    const key = keyOf(named);
    const found = known.get(key);
    if (!found) wanted.set(key, named);
    return found;
  };
  const differs = (a: Asked, b: Asked, channel: number): boolean => {
    const [x, y] = [shown(a)?.[channel], shown(b)?.[channel]];
    return x !== undefined && y !== undefined && Math.abs(x - y) > MOVED_PCT;
  };

  const switches = controls.filter(isSwitched);
  const free = controls.filter((c) => !isSwitched(c));
  // With hands out, a switch shows that changes a rate, or holds a hand off.
  const out = (list: readonly Control[]): Asked =>
    Object.fromEntries(list.map((f) => [f.id, f.rest === 100 ? -100 : 100]));
  const outs = [
    out(free.filter((f) => !ALONE.has(f.hand))),
    ...free.filter((f) => ALONE.has(f.hand)).map((f) => out([f])),
  ].filter((hands) => Object.keys(hands).length > 0);
  for (const from of [{}, ...outs]) shown(from);
  for (const c of controls) for (const value of endsOf(c)) shown({ [c.id]: value });
  if (wanted.size > 0) return [...wanted.values()];

  const all = Array.from({ length: count }, (_, i) => i);
  const moves = (c: Control, channel: number, at: Asked) =>
    endsOf(c).some((value) => differs(at, { ...at, [c.id]: value }, channel));
  const silent = free.filter((f) => !all.some((ch) => moves(f, ch, {})));
  for (let channel = 0; channel < count; channel++) {
    const plain = switches.filter((s) => moves(s, channel, {}));
    const own = [
      ...new Set([...plain, ...stirring(channel, plain, outs), ...masked(channel, plain)]),
    ];
    const places = placesTogether(own);
    for (const at of places) shown(at);
    const hands = free.filter((f) =>
      silent.includes(f) && f.kind === 'stick'
        ? // Held off at rest: one end in every place tells whether it is this channel's.
          own.length > 0 && places.some((at) => differs(at, { ...at, [f.id]: 100 }, channel))
        : moves(f, channel, {}),
    );
    for (const f of hands) {
      for (const at of places) for (const value of endsOf(f)) shown({ ...at, [f.id]: value });
      const where = places.find((at) => moves(f, channel, at)) ?? {};
      for (const value of middlesOf(f)) shown({ ...where, [f.id]: value });
      const off = Math.max(
        ...places.flatMap((at) => middlesOf(f).map((value) => bend(f, value, channel, at))),
      );
      if (off > BENT_PCT)
        for (const at of places) for (const value of middlesOf(f)) shown({ ...at, [f.id]: value });
    }
  }
  return [...wanted.values()];

  /** Switches that another holds off: asked where a working one stands elsewhere. */
  function masked(channel: number, working: readonly Control[]): Control[] {
    return stirring(
      channel,
      working,
      working.flatMap((s) => endsOf(s).map((v): Asked => ({ [s.id]: v }))),
    );
  }

  /** Switches that do something from some places only: all are moved at once, and one by one where that shows. */
  function stirring(
    channel: number,
    working: readonly Control[],
    places: readonly Asked[],
  ): Control[] {
    const others = switches.filter((s) => !working.includes(s));
    const stirred = places.filter((at) =>
      [0, -1].some((k) => {
        const together = Object.fromEntries(others.map((s) => [s.id, endsOf(s).at(k)!]));
        return differs(at, { ...at, ...together }, channel);
      }),
    );
    return others.filter((s) =>
      stirred.some((at) => endsOf(s).some((v) => differs(at, { ...at, [s.id]: v }, channel))),
    );
  }

  /** How far a value between the ends lies off the straight line. */
  function bend(f: Control, value: number, channel: number, at: Asked): number {
    const [low, high, here] = [-100, 100, value].map(
      (v) => known.get(keyOf({ ...at, [f.id]: v }))?.[channel],
    );
    if (low === undefined || high === undefined || here === undefined) return 0;
    return Math.abs(low + ((high - low) * (value + 100)) / 200 - here);
  }
}

/** As many places of switches together as are asked one by one; of more, only two switches at a time. */
const MOST_PLACES = 27;

function placesTogether(switches: readonly Control[]): Asked[] {
  const product = (list: readonly Control[]): Asked[] =>
    list.reduce<Asked[]>(
      (sofar, s) => sofar.flatMap((x) => [x, ...endsOf(s).map((v) => ({ ...x, [s.id]: v }))]),
      [{}],
    );
  const all = product(switches);
  if (all.length <= MOST_PLACES) return all;
  return switches.flatMap((a, i) => switches.slice(i + 1).flatMap((b) => product([a, b])));
}
