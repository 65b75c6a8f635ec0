import type { Memory } from '../../chain';
import {
  coneOfReads,
  isContinuous,
  keptTable,
  LONG_S,
  memoryOf,
  type Cell,
  type Table,
} from '../explore';
import type { Read } from '../../setup';
import type { Scope } from './claim';
import type { Facts } from './facts';
import type { UnitState } from './stage';

/** At most this many continuous controls are put at both ends in combination; further ones stay at their easiest value. */
const TOGETHER = 6;
/** A stick is `near` within a quarter of its travel. */
const NEAR_PCT = 25;

/** A state of the table: a cell, where the controls stand in it, and what is remembered. */
export interface State {
  cell: Cell;
  hands: Float64Array;
  memory: Memory;
  unit: UnitState;
}

/** Everything that can be reached in a scope. */
export function tableFor(
  facts: Facts,
  scope: Scope,
  options: Parameters<typeof keptTable>[3],
): Table {
  const { setup } = facts;
  const channels = scope.channels.map((channel): Read => ({ kind: 'channel', channel, path: [] }));
  const reads = scope.reads ?? [];
  const { controls } = setup.transmitter;
  const rests = (which: (at: number) => boolean) =>
    new Map(controls.flatMap((c, at) => (which(at) ? [[at, [c.rest, c.rest]] as const] : [])));
  const before =
    scope.before === 'nothing-touched'
      ? rests(() => true)
      : scope.before === 'switches-at-rest'
        ? rests((at) => !isContinuous(setup, at))
        : undefined;
  const cone = coneOfReads(setup, [...channels, ...reads]);
  const now = [
    // A control that reaches none of these channels changes nothing in the table.
    ...(scope.hands ?? []).flatMap(([at, value]) =>
      cone.controls.includes(at) ? [[at, [value, value]] as const] : [],
    ),
    ...(scope.trimsAtRest
      ? [...rests((at) => controls[at]!.kind === 'trim')].filter(
          ([at]) => !before?.has(at) && cone.controls.includes(at),
        )
      : []),
  ];
  return keptTable(setup, cone, watchOf(facts, scope), {
    ...options,
    ...(before ? { before } : {}),
    ...(now.length > 0 ? { now: new Map(now) } : {}),
    ...(reads.length > 0 ? { alsoAsked: reads } : {}),
  });
}

/** The channels of a scope, with the pulses at which their effect on the unit changes. */
function watchOf({ edgesOf }: Facts, { channels }: Scope) {
  return [...new Set(channels)]
    .toSorted((a, b) => a - b)
    .map((channel) => ({ at: channel - 1, cutsUs: edgesOf(channel) }));
}

/** The states the unit may be in by itself. */
export function unitStates({ setup }: Facts, { unit }: Scope): UnitState[] {
  const held = setup.unit.settings.recovery ? [0, LONG_S] : [0];
  const both = unit === 'any' ? [true, false] : [true];
  return held.flatMap((recoveryHeldS) =>
    both.flatMap((armed) =>
      both.map((positionFix): UnitState => ({ armed, positionFix, recoveryHeldS })),
    ),
  );
}

/**
 * Places of the controls in a cell at which anything can differ: both ends of what stands between ends,
 * the ends themselves included, and the middle of all.
 * @param skip a control that is swept, and stands anywhere
 */
export function* placesIn(
  facts: Facts,
  table: Table,
  cell: Cell,
  { sticks, hands = [] }: Scope,
  skip: number,
): Generator<Float64Array> {
  const { setup } = facts;
  const { controls } = setup.transmitter;
  const { box, us } = cell;
  const cone = table.cone.controls;
  const kind = (at: number) => controls[at]!.kind;
  // A throttle stays where it is put, like a knob; a stick that springs back is somewhere near its middle.
  const isSprung = (at: number) => kind(at) === 'stick' && controls[at]!.rest === 0;
  let varies = false;
  for (let i = 0; i < us.length; i += 2) varies ||= us[i] !== us[i + 1];
  // Where the cell itself holds a stick far out, trims at their ends would leave no room either.
  const crowded =
    sticks !== 'anywhere' &&
    cone.some(
      (at, i) => at !== skip && isSprung(at) && (box.lo[i]! > NEAR_PCT || box.hi[i]! < -NEAR_PCT),
    );
  const told: number[] = [];
  for (let i = 0; i < cone.length; i++) {
    const at = cone[i]!;
    if (at === skip || !(box.hi[i]! > box.lo[i]!) || !isContinuous(setup, at)) continue;
    if (crowded && kind(at) === 'trim') continue;
    // A stick that is only compared with something, and reaches no pulse, is released.
    if (sticks === 'released' && isSprung(at) && !varies) continue;
    if (told.length < TOGETHER) told.push(i);
  }
  // Only controls that separate states move; the others stay at their easiest value.
  const easy = easiestIn(facts, table, cell);
  const place = easy.slice();
  const put = (share: (n: number) => number) => {
    place.set(easy);
    for (let n = 0; n < told.length; n++) {
      const i = told[n]!;
      const at = cone[i]!;
      const [lo, hi] = [box.lo[i]!, box.hi[i]!];
      const value = lo + share(n) * (hi - lo);
      place[at] =
        isSprung(at) && sticks !== 'anywhere'
          ? Math.min(hi, Math.max(lo, Math.min(NEAR_PCT, Math.max(-NEAR_PCT, value))))
          : value;
    }
    for (const [at, value] of hands) place[at] = value;
    return place;
  };
  for (let pick = 0; pick < 1 << told.length; pick++) yield put((n) => (pick >> n) & 1);
  if (told.length > 0) yield put(() => 0.5);
}

/** The easiest value of every control in a cell: at rest if the cell allows it, else its middle. */
export function easiestIn({ restHands }: Facts, table: Table, { box }: Cell): Float64Array {
  const easy = restHands.slice();
  const { controls } = table.cone;
  for (let i = 0; i < controls.length; i++) {
    const at = controls[i]!;
    const [lo, hi] = [box.lo[i]!, box.hi[i]!];
    if (!(easy[at]! >= lo && easy[at]! <= hi)) easy[at] = lo === hi ? lo : (lo + hi) / 2;
  }
  return easy;
}

/** What may be remembered in a cell: after its moment, and in it where something lasts for one moment only. */
export function memoriesIn(facts: Facts, table: Table, cell: Cell): Memory[] {
  const { logic } = facts.setup.program;
  const after = memoryOf(facts.chain, table, cell.memory);
  const brief = table.entries.some((i) => {
    const { op } = logic[i]!;
    return (op === 'edge' || op === 'toggles') && cell.truth[i] === 1;
  });
  return brief ? [after, memoryOf(facts.chain, table, cell.before)] : [after];
}
