import type { Control } from '../../setup';
import type { Move, Table } from '../explore';
import type { Failure, Witness } from '../finding';
import { witnessOf } from '../witness';
import type { Case, Worst } from './case';
import type { Claim, Found, Moment, StateClaim, Told } from './claim';
import type { Facts } from './facts';
import { Stage } from './stage';
import type { State } from './states';
import { stateWords } from './words';

/** Halvings of a cell in which a margin dips between its corners, before it is called undecided. */
export const REFINEMENTS = 6;
/** Values a swept control always takes. */
export const ENDS = [-100, 0, 100] as const;

/** The result for one claim. */
export interface Verdict {
  claim: Claim;
  failures: Failure[];
  states: number;
  leftOut: string[];
  /** Of a list: what holds in every state. */
  holds: readonly string[];
  /** What it rests on, as bits of `RESTS_ON`: without the bit of a trait it comes to the same with any value of it. */
  restsOn: number;
}

/** The result of a claim: its failures with their examples, each replayed on the chain before it is reported. */
export function verdictOf(
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
        failures.push(failureOf(facts, stage, table, c, best, [c.cells, c.cells], walk));
    if (c.states === 0 && claim.none)
      failures.push({ ...claim.none, where: claim.where, severity: claim.severity });
  } else if (claim.asked === 'one-of') {
    const [last] = c.worst;
    c.choices = c.choices.filter((x) => c.supported.has(x));
    if (c.states > 0 && c.choices.length === 0 && last)
      failures.push(failureOf(facts, stage, table, c, last, [c.failing, c.cells], walk));
  } else if (c.worst.length > 0) {
    const sorted = c.worst.toSorted((a, b) => a.margin - b.margin);
    const shows = (state: State) => showsItself(facts, claim, c.places, walk(state), state);
    const walked = sorted.find(({ state }) => shows(state));
    const told = ({ state, margin }: Worst) =>
      failureOf(facts, stage, table, c, { state, margin }, [c.failing, c.cells], walk);
    const worst = told(walked ?? sorted[0]!);
    const plain = walked && told(plainest(facts, stage, table, c, walked, shows));
    // The simplest example, unless it would lower the severity.
    failures.push(plain?.severity === worst.severity ? plain : worst);
  }
  return { claim, failures, states: c.states, leftOut, holds: c.choices, restsOn: c.restsOn };
}

/** A simpler example must have at least this share of the worst margin. */
const AS_BAD = 2 / 3;
/** Which controls go back to rest first: trims confuse most, sticks least. */
const PUT_BACK: Readonly<Partial<Record<Control['kind'], number>>> = {
  trim: 0,
  slider: 1,
  knob: 2,
};

/**
 * The same failure with fewer controls moved: a control that makes it only a little worse goes back to rest, if the
 * failure still shows when the moves are replayed from power-up.
 */
function plainest(
  facts: Facts,
  stage: Stage,
  { cone }: Table,
  { claim, places }: Case,
  worst: Worst,
  shows: (state: State) => boolean,
): Worst {
  if (claim.asked === 'one-of') return worst;
  const { restHands, setup } = facts;
  const kind = (at: number) => PUT_BACK[setup.transmitter.controls[at]!.kind] ?? 3;
  const { lo, hi } = worst.state.cell.box;
  const rests = cone.controls
    .filter((at, i) => restHands[at]! >= lo[i]! && restHands[at]! <= hi[i]!)
    .toSorted((a, b) => kind(a) - kind(b));
  return rests.reduce((best, at) => {
    if (best.state.hands[at] === restHands[at]) return best;
    const state = { ...best.state, hands: best.state.hands.with(at, restHands[at]!) };
    const now = stage.put(state.hands, state.memory, state.unit);
    if (claim.when && !claim.when(now)) return best;
    const margin = marginOf(stage, claim, places, now);
    return margin <= AS_BAD * worst.margin && shows(state) ? { margin, state } : best;
  }, worst);
}

/** The margin of a claim in the state the stage is set to. */
function marginOf(
  stage: Stage,
  claim: Exclude<StateClaim, { asked: 'one-of' }>,
  places: readonly number[] | undefined,
  now: Moment,
): number {
  if (claim.form === 'moment') return claim.holds(now);
  if (claim.form === 'twin') return claim.holds(stage.play(claim.scripts), now);
  const at = places ?? ENDS;
  return claim.holds(at, stage.sweep(claim.control, at));
}

function failureOf(
  facts: Facts,
  stage: Stage,
  table: Table,
  { claim, places }: Case,
  { margin, state }: Worst,
  failing: readonly [number, number],
  walk: (state: State) => Move[],
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

/** The moves that lead to a state, followed by those of a script. */
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
function showsItself(
  facts: Facts,
  claim: StateClaim,
  places: readonly number[] | undefined,
  path: readonly Move[],
  { unit }: Pick<State, 'unit'>,
): boolean {
  const margin = marginAfter(facts, claim, places, path, unit);
  return margin !== undefined && margin < 0;
}

/** The margin of a claim after some moves from power-up; undefined where the claim does not cover that moment. */
export function marginAfter(
  facts: Facts,
  claim: StateClaim,
  places: readonly number[] | undefined,
  path: readonly Move[],
  unit: State['unit'],
): number | undefined {
  // A momentary effect exists during the last move and is gone after it.
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
  return marginOf(stage, claim, places, now);
}
