import { Interner, pathTo, type Cell, type Move, type Table, type TableOptions } from '../explore';
import { Case, kept, type Standing } from './case';
import type { Claim, Moment, Script, StateClaim } from './claim';
import type { Facts } from './facts';
import { Stage } from './stage';
import { memoriesIn, placesIn, tableFor, unitStates, type State } from './states';
import { ENDS, REFINEMENTS, verdictOf, type Verdict } from './verdict';

/** A margin that dips by less than this is rounding. */
const DIP = 1e-6;
/** Places of one sweep at most, besides its ends. */
const MOST_CUTS = 48;

/**
 * Decides claims over everything that can be reached: cell by cell of the table of their scope, at the
 * ends of each cell, themselves included, and in its middle, with everything the unit may be in by
 * itself; where a margin dips between the ends, the cell is halved. Claims of one scope are decided
 * together. Only this file chooses states; a claim never does.
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
      verdicts.set(claim, {
        claim,
        failures: [claim.failure],
        states: 1,
        leftOut: [],
        holds: [],
        restsOn: 0,
      });
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

/** Claims of one scope, decided in one pass over its states. */
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
    return claims.map((claim) => ({
      claim,
      failures: [],
      states: 0,
      leftOut,
      holds: [],
      restsOn: 0,
    }));
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

  /** Whether the pulses at the ends of a cell already prove a claim for the whole cell. */
  private byPulses(c: Case, cell: Cell): boolean {
    const { claim } = c;
    if (claim.form !== 'moment' || claim.asked !== 'always' || !claim.byPulses || claim.when)
      return false;
    const { facts, stage, table } = this;
    return memoriesIn(facts, table, cell).every((memory) =>
      this.units.every((unit) => {
        const { value } = placesIn(facts, table, cell, claim.scope, -1).next();
        const now = stage.put(value!, memory, unit);
        c.saw([now]);
        return ([0, 1] as const).every((end) => {
          const arrived = stage.arriving(
            now,
            table.watch.map(({ at }, i) => [at, cell.us[2 * i + end]!]),
          );
          c.saw([arrived]);
          return claim.holds(arrived) >= 0;
        });
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
        // States that differ only in the swept control share one sweep.
        if (sweep) {
          const met = sweep.met.size;
          const held = hands.slice();
          held[skip] = 0;
          if (sweep.met.index([cell.memory, memory === memories[0] ? 0 : 1, ...held]) < met)
            continue;
        }
        for (const unit of this.units) {
          const now = stage.put(hands, memory, unit, width);
          // Once a recovery channel is off, the time it was on no longer matters: the same state again.
          if (unit.recoveryHeldS > 0 && !now.frame.recovering) continue;
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
    c.saw([now]);
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
        c.saw(stage.sweep(claim.control, c.places!)),
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
        const seen = c.saw(this.stage.play(claim.scripts));
        list[key] = claim.choices.map((x) => claim.allows(seen, x));
      }
      this.narrow(c, list[key], now, at);
      return;
    }
    const margins = play.margins.get(c) ?? [];
    play.margins.set(c, margins);
    margins[key] ??= claim.holds(c.saw(this.stage.play(claim.scripts)), now);
    c.take(margins[key], now, at);
  }

  /** Keeps only the entries of a list that hold in this state. */
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
    // The state that removed the last entry is the best example.
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
