import { Interner, pathTo, type Cell, type Move, type Table, type TableOptions } from '../explore';
import type { Failure, Witness } from '../finding';
import { witnessOf } from '../witness';
import type { Found, Moment, Script, StateClaim, Told } from './claim';
import type { Claim } from './claim';
import type { Facts } from './facts';
import { Stage } from './stage';
import { memoriesIn, placesIn, tableFor, unitStates, type State } from './states';
import { stateWords } from './words';

/** Halvings of a cell in which a margin dips between its corners, before it is called undecided. */
const REFINEMENTS = 6;
/** A dip of a margin smaller than this is rounding. */
const DIP = 1e-6;
/** Failing states whose way is walked before one is taken as it is. */
const WALKED = 8;
const ENDS = [-100, 0, 100] as const;
/** Places of one sweep at most, besides its ends. */
const MOST_CUTS = 48;

/** What looking came to for one claim. */
export interface Verdict {
  claim: Claim;
  failures: Failure[];
  states: number;
  leftOut: string[];
  /** Of a list: what holds in every state. */
  holds: readonly string[];
}

interface Worst {
  margin: number;
  state: State;
}

/** The state that is looked at now; its hands are overwritten by the next one. */
type Standing = State;

const kept = ({ cell, hands, memory, unit }: Standing): State => ({
  cell,
  hands: hands.slice(),
  memory,
  unit,
});

/** One claim while the states are gone through. */
class Case {
  /** States asked about, and cells they lie in: what differs by a knob alone is one case to a person. */
  states = 0;
  cells = 0;
  failing = 0;
  private cell: Cell | undefined;
  private cellFails = false;
  undecided = false;
  /** The worst of all; of `somewhere` the best of each group. */
  worst: Worst[] = [];
  groups = new Map<string, Worst>();
  choices: string[];
  /** Of a list: what some state spoke for. */
  readonly supported = new Set<string>();
  margins: number[] = [];
  places: readonly number[] | undefined;

  constructor(readonly claim: StateClaim) {
    this.choices = claim.asked === 'one-of' ? [...claim.choices] : [];
  }

  take(margin: number, now: Moment, at: Standing): void {
    const { claim } = this;
    this.states += 1;
    if (this.cell !== at.cell) {
      this.cell = at.cell;
      this.cells += 1;
      this.cellFails = false;
    }
    if (claim.asked === 'somewhere') {
      const key = claim.each ? claim.each(now) : '';
      const known = this.groups.get(key);
      if (!known || margin > known.margin) this.groups.set(key, { margin, state: kept(at) });
      return;
    }
    if (margin >= 0) return;
    this.failsHere();
    if (this.worst.length < WALKED) this.worst.push({ margin, state: kept(at) });
    else {
      const last = this.worst.reduce((a, b) => (b.margin > a.margin ? b : a));
      if (margin < last.margin) this.worst[this.worst.indexOf(last)] = { margin, state: kept(at) };
    }
  }

  failsHere(): void {
    if (!this.cellFails) this.failing += 1;
    this.cellFails = true;
  }
}

/**
 * Decides claims over everything that can be reached: cell by cell of the table of their scope, at the
 * ends of each cell, themselves included, and in its middle, with everything the unit may be in by
 * itself; where a margin dips between the ends, the cell is halved. Claims of one scope are looked at
 * together. The one place that looks: a claim never chooses a state.
 */
export function decide(
  facts: Facts,
  claims: readonly Claim[],
  options: Pick<TableOptions, 'onProgress' | 'limit'> = {},
): Verdict[] {
  const verdicts = new Map<Claim, Verdict>();
  const groups = new Map<string, StateClaim[]>();
  for (const claim of claims) {
    if (claim.form === 'setup') {
      verdicts.set(claim, { claim, failures: [claim.failure], states: 1, leftOut: [], holds: [] });
      continue;
    }
    const key = JSON.stringify(claim.scope);
    groups.set(key, [...(groups.get(key) ?? []), claim]);
  }
  const stage = new Stage(facts);
  for (const group of groups.values())
    for (const verdict of together(facts, stage, group, options))
      verdicts.set(verdict.claim, verdict);
  return claims.map((c) => verdicts.get(c)!);
}

/** Claims of one scope, looked at in one pass over its states. */
function together(
  facts: Facts,
  stage: Stage,
  claims: readonly StateClaim[],
  options: Pick<TableOptions, 'onProgress' | 'limit'>,
): Verdict[] {
  const { scope } = claims[0]!;
  const table = tableFor(facts, scope, options);
  if (table.tooLarge) {
    const by = [...table.tooLarge.controls, ...table.tooLarge.entries].slice(0, 5).join(', ');
    const leftOut = [`${channelWords(facts, scope.channels)}: too many states, by ${by}`];
    return claims.map((claim) => ({ claim, failures: [], states: 0, leftOut, holds: [] }));
  }
  const cases = claims.map((c) => new Case(c));
  const pass = new Pass(facts, stage, table, cases);
  pass.run();
  return cases.map((c) => verdictOf(facts, stage, table, c, pass.walk));
}

/** What a list of scripts was found to give, by the pulses that arrive in it. */
class Played {
  readonly keys = new Interner();
  readonly margins = new Map<Case, number[]>();
  readonly allowed = new Map<Case, (readonly (boolean | undefined)[])[]>();
  /** The state it was played from last, and its key. */
  state = 0;
  key = 0;
}

class Pass {
  private readonly units;
  /** What each list of scripts was found to give, by the pulses that arrive in it. */
  private readonly plays = new Map<readonly Script[], Played>();
  private stateNo = 0;
  private readonly sweeps = new Map<Case, { keys: Interner; margins: number[]; met: Interner }>();

  constructor(
    private readonly facts: Facts,
    private readonly stage: Stage,
    private readonly table: Table,
    private readonly cases: readonly Case[],
  ) {
    this.units = unitStates(facts, cases[0]!.claim.scope);
    for (const c of cases)
      if (c.claim.form === 'sweep')
        c.places = placesOf(table, c.claim.control, c.claim.spread ?? 0);
  }

  run(): void {
    for (const cell of this.table.cells) {
      const open = this.cases.filter((c) => {
        const decided = this.byPulses(c, cell);
        if (decided) c.states += 1;
        return !decided;
      });
      const still = open.filter((c) => c.claim.form !== 'sweep');
      if (still.length > 0) this.look(cell, still, -1, 0);
      for (const c of open) if (c.claim.form === 'sweep') this.look(cell, [c], c.claim.control, 0);
    }
  }

  /** Whether the ends of the pulses of a cell say already that a claim holds in all of it. */
  private byPulses({ claim }: Case, cell: Cell): boolean {
    if (claim.form !== 'moment' || claim.asked !== 'always' || !claim.byPulses || claim.when)
      return false;
    const { facts, stage, table } = this;
    return memoriesIn(facts, table, cell).every((memory) =>
      this.units.every((unit) => {
        const { value } = placesIn(facts, table, cell, claim.scope, -1).next();
        const now = stage.put(value!, memory, unit);
        return ([0, 1] as const).every(
          (end) =>
            claim.holds(
              stage.arriving(
                now,
                table.watch.map(({ at }, i) => [at, cell.us[2 * i + end]!]),
              ),
            ) >= 0,
        );
      }),
    );
  }

  private look(cell: Cell, cases: readonly Case[], skip: number, depth: number): void {
    const { facts, stage, table } = this;
    const { scope } = cases[0]!.claim;
    const refined = cases.filter((c) => c.claim.form === 'moment' && c.claim.asked === 'always');
    for (const c of refined) c.margins = [];
    const sweep = skip >= 0 ? this.sweepOf(cases[0]!) : undefined;
    const width = (channel: number) => {
      const i = table.watch.findIndex((w) => w.at + 1 === channel);
      return i < 0 ? 0 : cell.us[2 * i + 1]! - cell.us[2 * i]!;
    };
    let wide = false;
    const memories = memoriesIn(facts, table, cell);
    for (const hands of placesIn(facts, table, cell, scope, skip)) {
      for (const memory of memories) {
        // States that differ in the swept control alone are one sweep.
        if (sweep) {
          const met = sweep.met.size;
          const held = hands.slice();
          held[skip] = 0;
          if (sweep.met.index([cell.memory, memory === memories[0] ? 0 : 1, ...held]) < met)
            continue;
        }
        let pressed = true;
        for (const unit of this.units) {
          // On for long and just on differ only where it is on.
          if (unit.recoveryHeldS > 0 && !pressed) continue;
          const now = stage.put(hands, memory, unit, width);
          pressed = facts.isRecoveryOn(now.frame);
          this.stateNo += 1;
          const at: Standing = { cell, hands, memory, unit };
          for (const c of cases) this.ask(c, now, at);
        }
      }
      wide = true;
    }
    if (!wide || skip >= 0) return;
    const dips = refined.filter((c) => dipOf(c.margins) > DIP);
    if (dips.length === 0) return;
    if (depth >= REFINEMENTS) {
      for (const c of dips) {
        const least = Math.min(...c.margins);
        if (least >= 0 && least - dipOf(c.margins) < 0) c.undecided = true;
      }
      return;
    }
    for (const half of halves(table, cell)) this.look(half, dips, skip, depth + 1);
  }

  private sweepOf(c: Case) {
    const own = this.sweeps.get(c) ?? { keys: new Interner(), margins: [], met: new Interner() };
    this.sweeps.set(c, own);
    return own;
  }

  private ask(c: Case, now: Moment, at: Standing): void {
    const { claim } = c;
    if (claim.when && !claim.when(now)) return;
    if (claim.form === 'moment') {
      if (claim.asked === 'one-of') {
        this.narrow(
          c,
          claim.choices.map((x) => claim.allows(now, x)),
          now,
          at,
        );
        return;
      }
      const margin = claim.holds(now);
      c.margins.push(margin);
      c.take(margin, now, at);
      return;
    }
    if (claim.form === 'sweep') {
      const own = this.sweepOf(c);
      const { stage } = this;
      const key = own.keys.index(stage.sweepKey(claim.control, c.places!));
      const margin = (own.margins[key] ??= claim.holds(
        c.places!,
        stage.sweep(claim.control, c.places!),
      ));
      c.take(margin, now, at);
      return;
    }
    const play = this.plays.get(claim.scripts) ?? new Played();
    this.plays.set(claim.scripts, play);
    if (play.state !== this.stateNo) {
      play.state = this.stateNo;
      play.key = play.keys.index(this.stage.playKey(claim.scripts));
    }
    const { key } = play;
    if (claim.asked === 'one-of') {
      const list = play.allowed.get(c) ?? [];
      play.allowed.set(c, list);
      if (!list[key]) {
        const seen = this.stage.play(claim.scripts);
        list[key] = claim.choices.map((x) => claim.allows(seen, x));
      }
      this.narrow(c, list[key], now, at);
      return;
    }
    const margins = play.margins.get(c) ?? [];
    play.margins.set(c, margins);
    margins[key] ??= claim.holds(this.stage.play(claim.scripts), now);
    c.take(margins[key], now, at);
  }

  /** Of a list only what this state allows is left. */
  private narrow(c: Case, says: readonly (boolean | undefined)[], now: Moment, at: Standing): void {
    const { claim } = c;
    if (claim.asked !== 'one-of') return;
    c.take(0, now, at);
    let denied = false;
    claim.choices.forEach((choice, i) => {
      if (says[i] === true) c.supported.add(choice);
      if (says[i] !== false || !c.choices.includes(choice)) return;
      denied = true;
      c.choices = c.choices.filter((x) => x !== choice);
    });
    if (!denied) return;
    c.failsHere();
    // The state that took the last one away shows best what is wrong.
    c.worst = [{ margin: -1, state: kept(at) }];
  }

  /** The way from power-up into a state, as it was found. */
  readonly walk = ({ cell, hands }: State): Move[] =>
    pathTo(this.facts.chain, this.table, cell, (at, lo, hi) =>
      Math.min(hi, Math.max(lo, hands[at]!)),
    );
}

/** How far the middle lies below the lowest end: the last margin is that of the middle. */
function dipOf(margins: readonly number[]): number {
  if (margins.length < 3) return 0;
  const ends = margins.slice(0, -1);
  return Math.min(...ends) - margins.at(-1)!;
}

/** A cell in two, across what stands widest. */
function halves(table: Table, cell: Cell): Cell[] {
  const { lo, hi } = cell.box;
  let widest = -1;
  table.cone.controls.forEach((_, i) => {
    if (widest < 0 || hi[i]! - lo[i]! > hi[widest]! - lo[widest]!) widest = i;
  });
  if (widest < 0 || !(hi[widest]! > lo[widest]!)) return [];
  const mid = (lo[widest]! + hi[widest]!) / 2;
  return [
    { ...cell, box: { lo, hi: hi.with(widest, mid) } },
    { ...cell, box: { lo: lo.with(widest, mid), hi } },
  ];
}

/** Places of a control at which something changes anywhere in a table, its ends and middle, and some between. */
function placesOf(table: Table, control: number, spread: number): number[] {
  const k = table.cone.controls.indexOf(control);
  const cuts = new Set<number>();
  if (k >= 0)
    for (const { box } of table.cells) {
      if (cuts.size >= MOST_CUTS) break;
      cuts.add(box.lo[k]!);
      cuts.add(box.hi[k]!);
    }
  const between = Array.from({ length: spread }, (_, i) => -100 + (200 * (i + 1)) / (spread + 1));
  return [...new Set([...ENDS, ...between, ...cuts])].toSorted((a, b) => a - b);
}

const channelWords = ({ setup }: Facts, channels: readonly number[]): string =>
  [
    ...new Set(
      channels.map(
        (c) => setup.program.outputs.find((o) => o.channel === c)?.carries ?? `channel ${c}`,
      ),
    ),
  ].join(', ');

/** What a claim comes to: its failures with their witnesses, each walked on the chain before it is said. */
function verdictOf(
  facts: Facts,
  stage: Stage,
  table: Table,
  c: Case,
  walk: (state: State) => Move[],
): Verdict {
  const { claim } = c;
  const failures: Failure[] = [];
  const leftOut = c.undecided
    ? [`${claim.shows}: not decided beyond ${REFINEMENTS} refinements`]
    : [];
  if (claim.asked === 'somewhere') {
    for (const best of c.groups.values())
      if (best.margin < 0)
        failures.push(failureOf(facts, stage, table, claim, best, [c.cells, c.cells], walk));
    if (c.states === 0 && claim.none)
      failures.push({ ...claim.none, where: claim.where, severity: claim.severity });
  } else if (claim.asked === 'one-of') {
    const [last] = c.worst;
    c.choices = c.choices.filter((x) => c.supported.has(x));
    if (c.states > 0 && c.choices.length === 0 && last)
      failures.push(failureOf(facts, stage, table, claim, last, [c.failing, c.cells], walk));
  } else if (c.worst.length > 0) {
    const sorted = c.worst.toSorted((a, b) => a.margin - b.margin);
    const shown =
      sorted.find(({ state }) => showsItself(facts, claim, c.places, walk(state), state)) ??
      sorted[0]!;
    failures.push(
      failureOf(facts, stage, table, claim, shown, [c.failing, c.cells], walk, c.places),
    );
  }
  return { claim, failures, states: c.states, leftOut, holds: c.choices };
}

function failureOf(
  facts: Facts,
  stage: Stage,
  table: Table,
  claim: StateClaim,
  { margin, state }: Worst,
  failing: readonly [number, number],
  walk: (state: State) => Move[],
  places?: readonly number[],
): Failure {
  const now = stage.put(state.hands, state.memory, state.unit);
  const seen =
    claim.form === 'moment'
      ? [now]
      : claim.form === 'sweep'
        ? stage.sweep(claim.control, places ?? ENDS)
        : stage.play(claim.scripts);
  const found: Found = { seen, now, margin, failing, state: stateWords(facts, table, state) };
  const said = claim.says(found);
  const told: Told = typeof said === 'string' ? { says: said } : said;
  const then: Move[] = told.then ? [{ control: told.then[0], value: told.then[1] }] : [];
  const path = walk(state);
  return {
    severity: told.severity ?? claim.severity,
    says: told.says,
    where: told.where ?? claim.where,
    about: { ...claim.about, ...told.about },
    witness: witnessFor(facts, claim, path, then),
    at: { path, unit: state.unit, ...(places ? { places } : {}) },
  };
}

/** The way to a state, and of a script what the hands do in it. */
function witnessFor({ setup }: Facts, claim: StateClaim, path: Move[], then: Move[]): Witness {
  const acts: Move[] =
    claim.form === 'twin' && then.length === 0
      ? claim.scripts[0]!.flatMap((act): Move[] =>
          'hand' in act
            ? [{ control: act.hand, value: act.to }]
            : 'waitS' in act && claim.shownUntilS !== undefined && act.waitS <= claim.shownUntilS
              ? [{ waitS: act.waitS }]
              : [],
        )
      : then;
  return witnessOf(setup, path, claim.shows, ...acts);
}

/** Whether a claim fails where a way from power-up really leads, walked on the chain. */
export function showsItself(
  facts: Facts,
  claim: StateClaim,
  places: readonly number[] | undefined,
  path: readonly Move[],
  { unit }: Pick<State, 'unit'>,
): boolean {
  const margin = marginAfter(facts, claim, places, path, unit);
  return margin !== undefined && margin < 0;
}

/** The margin of a claim at the end of a way from power-up; undefined where it does not speak of it. */
export function marginAfter(
  facts: Facts,
  claim: StateClaim,
  places: readonly number[] | undefined,
  path: readonly Move[],
  unit: State['unit'],
): number | undefined {
  // What lasts for one moment only is there while the last hand moves, and gone when it has moved.
  const margins = [true, false].flatMap((moved) => {
    const margin = marginWhen(facts, claim, places, path, unit, moved);
    return margin === undefined ? [] : [margin];
  });
  return margins.length > 0 ? Math.min(...margins) : undefined;
}

function marginWhen(
  facts: Facts,
  claim: StateClaim,
  places: readonly number[] | undefined,
  path: readonly Move[],
  unit: State['unit'],
  moved: boolean,
): number | undefined {
  if (claim.asked === 'one-of') return undefined;
  const { chain } = facts;
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  memory.armed = unit.armed;
  stimulus.positionFix = unit.positionFix;
  const frame = chain.newFrame();
  chain.step(stimulus, memory, frame);
  path.forEach((move, i) => {
    stimulus.dtS = 0;
    if ('waitS' in move) stimulus.dtS = move.waitS;
    else stimulus.controls[move.control] = move.value;
    if (moved || i < path.length - 1 || 'waitS' in move) chain.step(stimulus, memory, frame);
  });
  const stage = new Stage(facts);
  const now = stage.put(stimulus.controls, memory, unit);
  if (claim.when && !claim.when(now)) return undefined;
  if (claim.form === 'moment') return claim.holds(now);
  if (claim.form === 'sweep') {
    const at = places ?? ENDS;
    return claim.holds(at, stage.sweep(claim.control, at));
  }
  return claim.holds(stage.play(claim.scripts), now);
}
