import { compileChain, type Memory } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { REQUIREMENTS } from '@/core/verify';
import {
  decide,
  factsOf,
  Stage,
  type Facts,
  type Moment,
  type StateClaim,
} from '@/core/verify/engine';
import { anywhere, randomOf } from './random-program';

/** A margin this far on the other side is no rounding. */
const CLEAR = 0.05;
const IN_USE = { armed: true, positionFix: true, recoveryHeldS: 0 };

/** A claim, and whether the engine says that it holds. */
interface Decided {
  requirement: string;
  claim: StateClaim;
  holds: boolean;
}

/** Where hands came upon the contrary of what was said. */
export interface Refuted {
  requirement: string;
  claim: string;
  margin: number;
  move: number;
  hands: string;
}

/** Every claim about a Setup, decided by the engine. @param limit boxes at most; another one is another question */
export function decided(setup: Setup, limit?: number): Decided[] {
  const facts = factsOf(setup);
  const own = REQUIREMENTS.filter((r) => r.applies(setup)).flatMap(({ id, claims }) =>
    claims(facts).map((claim) => ({ requirement: id, claim })),
  );
  const verdicts = decide(
    facts,
    own.map((o) => o.claim),
    limit === undefined ? {} : { limit },
  );
  return own.flatMap(({ requirement, claim }, i) => {
    const { failures, leftOut } = verdicts[i]!;
    if (claim.form === 'setup' || claim.asked === 'one-of' || leftOut.length > 0) return [];
    return [{ requirement, claim, holds: failures.length === 0 }];
  });
}

/** The margin of a claim in the state on a stage; undefined where it does not speak of it. */
function marginOf(stage: Stage, claim: StateClaim, now: Moment, random: () => number) {
  if (claim.asked === 'one-of' || (claim.when && !claim.when(now))) return undefined;
  if (claim.form === 'moment') return claim.holds(now);
  if (claim.form === 'twin') return claim.holds(stage.play(claim.scripts), now);
  const between = Array.from({ length: 60 }, (_, i) =>
    i < 40 ? i * 5 - 100 : Math.round((random() * 200 - 100) * 10) / 10,
  );
  const places = [...new Set([-100, 0, 100, ...between])].toSorted((a, b) => a - b);
  return claim.holds(places, stage.sweep(claim.control, places));
}

/**
 * Attacks everything a proof says of a Setup with hands that do anything on the raw chain: several
 * controls at once, each switch put off and on again, any waits. What is said to hold always must hold
 * wherever they come; of what is said to be nowhere they must not come upon a case.
 */
export function refute(
  setup: Setup,
  seed: number,
  moves: number,
  said: readonly Decided[] = decided(setup),
): Refuted | undefined {
  const facts = factsOf(setup);
  const random = randomOf(seed);
  for (const before of [undefined, 'switches-at-rest', 'nothing-touched'] as const) {
    const own = said.filter((d) => d.claim.scope.before === before);
    const found = own.length > 0 ? walk(facts, own, before, random, moves) : undefined;
    if (found) return found;
  }
  return undefined;
}

function walk(
  facts: Facts,
  said: readonly Decided[],
  before: StateClaim['scope']['before'],
  random: () => number,
  moves: number,
): Refuted | undefined {
  const { setup } = facts;
  const { controls } = setup.transmitter;
  const chain = compileChain(setup);
  const stage = new Stage(facts);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const memory: Memory = chain.newMemory();
  memory.armed = true;
  const movable = controls.flatMap(({ kind }, at) => {
    if (before === 'nothing-touched') return [];
    return before === 'switches-at-rest' && !facts.isContinuous(at) ? [] : [{ at, kind }];
  });
  for (let move = 0; move < moves; move++) {
    for (let n = random() < 0.2 ? 3 : 1; n > 0 && movable.length > 0; n--) {
      const { at, kind } = movable[Math.floor(random() * movable.length)]!;
      const now = stimulus.controls[at]!;
      stimulus.controls[at] = anywhere(kind, random);
      // Off and on again, or on and off: what remembers the one is met by the other.
      if (!facts.isContinuous(at) && random() < 0.4) {
        stimulus.dtS = random() < 0.5 ? 0 : 0.3;
        chain.step(stimulus, memory, frame);
        stimulus.controls[at] = now;
      }
    }
    stimulus.dtS = random() < 0.5 ? 0 : [0.02, 0.1, 0.31, 0.7, 1.3, 3.1][Math.floor(random() * 6)]!;
    chain.step(stimulus, memory, frame);
    for (const { requirement, claim, holds } of said) {
      const { scope } = claim;
      const hands = stimulus.controls.slice();
      // One more move of the hands: to where the claim wants them.
      for (const [at, value] of scope.hands ?? []) hands[at] = value;
      controls.forEach(({ kind, rest }, at) => {
        if (scope.hands?.some(([pinned]) => pinned === at)) return;
        if (kind === 'stick' && rest === 0 && scope.sticks === 'released') hands[at] = rest;
        if (kind === 'stick' && rest === 0 && scope.sticks === 'near')
          hands[at] = Math.max(-25, Math.min(25, hands[at]!));
        if (kind === 'trim' && scope.trimsAtRest) hands[at] = rest;
      });
      const now = stage.put(hands, memory, IN_USE);
      const margin = marginOf(stage, claim, now, random);
      if (margin === undefined) continue;
      const wrong = holds && claim.asked === 'always' ? margin < -CLEAR : false;
      const right = !holds && claim.asked === 'somewhere' ? margin > CLEAR && !claim.each : false;
      if (!wrong && !right) continue;
      return {
        requirement,
        claim: claim.key,
        margin,
        move,
        hands: controls.map((c, at) => `${c.id}=${hands[at]}`).join(' '),
      };
    }
  }
  return undefined;
}
