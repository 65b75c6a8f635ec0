import type { Frame, Memory, Stimulus } from '../../chain';
import type { Attitude, Moment, Script } from './claim';
import type { Facts } from './facts';

/** The unit's own state, apart from its channels. */
export interface UnitState {
  armed: boolean;
  positionFix: boolean;
  /** How long its recovery channel has been on, seconds. */
  recoveryHeldS: number;
}

/** One radio frame: the shortest time in which a lost signal is noticed. */
const FRAME_S = 0.02;
/** A wait is split where a timer ends, at most this often; after that nothing new happens. */
const MOST_EVENTS = 24;

class Seen implements Moment {
  readonly frame: Frame;
  readonly hands: Float64Array;
  panicking = false;
  launching = false;
  widthUs: ((channel: number) => number) | undefined;
  constructor({ chain }: Facts) {
    this.frame = chain.newFrame();
    this.hands = chain.restStimulus().controls;
  }
}

/**
 * The chain set to a state: sweeps a control, plays scripts, and returns what happens, without judging
 * it. The moments it returns are overwritten by the next sweep or script.
 */
export class Stage {
  private readonly stimulus: Stimulus;
  private readonly level: Omit<Stimulus, 'controls'>;
  private readonly base: Memory;
  private readonly memory: Memory;
  private readonly baseHands: Float64Array;
  private readonly nowSeen: Seen;
  /** The state a script has reached. */
  private readonly running: Seen;
  private readonly pool: Seen[] = [];
  private readonly pulses: number[] = [];
  private readonly active: readonly number[];
  /** Clocks of logic: where each stands in memory, and the times at which it runs out. */
  private readonly clocks: readonly { at: number; times: readonly number[] }[];
  private readonly recoveryS: number;
  private used = 0;
  private unitKey = 0;

  constructor(private readonly facts: Facts) {
    const { chain } = facts;
    this.stimulus = chain.restStimulus();
    const { controls: _, ...level } = chain.restStimulus();
    this.level = level;
    this.base = chain.newMemory();
    this.memory = chain.newMemory();
    this.baseHands = this.stimulus.controls.slice();
    this.nowSeen = new Seen(facts);
    this.running = new Seen(facts);
    chain.step(chain.restStimulus(), chain.newMemory(), this.nowSeen.frame);
    this.clocks = facts.setup.program.logic.flatMap((entry, i) =>
      entry.op === 'delay'
        ? [{ at: 2 * i + 1, times: [entry.onS, entry.offS] }]
        : entry.op === 'toggles'
          ? [{ at: 2 * i + 1, times: [entry.withinS + 0.001] }]
          : [],
    );
    this.recoveryS = (facts.setup.unit.settings.recovery?.delayMs ?? 0) / 1000;
    // A channel without any line always carries the same pulse.
    const said = new Set([
      ...facts.setup.program.lines.map((l) => l.channel),
      ...facts.setup.program.outputs.map((o) => o.channel),
    ]);
    this.active = [...this.nowSeen.frame.receivedUs.keys()].filter((i) => said.has(i + 1));
  }

  /** Sets a state and returns its moment. */
  put(
    hands: Float64Array,
    memory: Memory,
    unit: UnitState,
    widthUs?: (channel: number) => number,
  ): Moment {
    const { stimulus, base } = this;
    Object.assign(stimulus, this.level);
    stimulus.controls.set(hands);
    stimulus.positionFix = unit.positionFix;
    copy(memory, base);
    base.armed = unit.armed;
    base.recoveryHeldS = unit.recoveryHeldS;
    base.slowPct.fill(NaN);
    this.baseHands.set(hands);
    const { chain } = this.facts;
    chain.step(stimulus, base, this.nowSeen.frame);
    this.nowSeen.widthUs = widthUs;
    this.unitKey =
      (unit.armed ? 1 : 0) + (unit.positionFix ? 2 : 0) + (unit.recoveryHeldS > 0 ? 4 : 0);
    return this.note(this.nowSeen);
  }

  /** Where every control stands in the state. */
  get hands(): Float64Array {
    return this.baseHands;
  }

  /** Pulses of the state as they arrive, for telling states apart. */
  get arrived(): readonly number[] {
    return this.active.map((i) => this.nowSeen.frame.receivedUs[i]!);
  }

  /** The same state with other pulses arriving on some channels, by position. */
  arriving(now: Moment, pulses: readonly (readonly [at: number, us: number])[]): Moment {
    const { stimulus, memory, facts } = this;
    this.begin();
    this.used = 0;
    const one = this.next();
    one.frame.receivedUs.set(now.frame.receivedUs);
    one.frame.logic.set(now.frame.logic);
    // Channels the link drops stay NaN.
    for (const [at, us] of pulses)
      if (!Number.isNaN(one.frame.receivedUs[at]!)) one.frame.receivedUs[at] = us;
    facts.chain.fromLink(stimulus, memory, one.frame);
    return this.note(one);
  }

  /** Sweeps one control through some values, everything else held. */
  sweep(control: number, places: readonly number[]): Moment[] {
    this.used = 0;
    const { stimulus, memory } = this;
    const seen = places.map((place) => {
      this.begin();
      stimulus.controls[control] = place;
      const one = this.next();
      this.facts.chain.step(stimulus, memory, one.frame);
      return this.note(one);
    });
    this.begin();
    return seen;
  }

  /** Pulses that arrive in a sweep: states that give the same ones behave alike in it. */
  sweepKey(control: number, places: readonly number[]): readonly number[] {
    const { stimulus, memory, pulses } = this;
    pulses.length = 0;
    pulses.push(this.unitKey);
    const one = this.running;
    for (const place of places) {
      this.begin();
      stimulus.controls[control] = place;
      this.facts.chain.send(stimulus, memory, one.frame);
      this.arrive(one);
    }
    this.begin();
    return pulses;
  }

  /** Plays scripts one after another, each from the state, and gives every look; a look rests on all that came before it. */
  play(scripts: readonly Script[]): Moment[] {
    this.used = 0;
    const looks: Moment[] = [];
    const { chain } = this.facts;
    const { stimulus, memory } = this;
    const { frame } = this.running;
    let restsOn = 0;
    const step = (dtS: number) => {
      stimulus.dtS = dtS;
      memory.slowPct.fill(NaN);
      chain.step(stimulus, memory, frame);
      restsOn |= frame.restsOn;
    };
    for (const script of scripts) {
      this.begin();
      restsOn = 0;
      frame.receivedUs.set(this.nowSeen.frame.receivedUs);
      frame.logic.set(this.nowSeen.frame.logic);
      for (const act of script) {
        if ('look' in act) {
          const seen = this.look(frame, act.look);
          seen.frame.restsOn |= restsOn;
          looks.push(seen);
        } else this.act(act, step);
      }
    }
    this.begin();
    return looks;
  }

  /**
   * Pulses that arrive while scripts are played: states that give the same ones answer alike. Where no
   * hand moves and no time passes they are those of the state; and once the signal is lost nothing a
   * transmitter does arrives any more.
   */
  playKey(scripts: readonly Script[]): readonly number[] {
    const { chain } = this.facts;
    const { stimulus, memory, pulses } = this;
    pulses.length = 0;
    pulses.push(this.unitKey);
    const one = this.running;
    one.frame.receivedUs.set(this.nowSeen.frame.receivedUs);
    one.frame.logic.set(this.nowSeen.frame.logic);
    stimulus.controls.set(this.baseHands);
    this.arrive(one);
    for (const script of scripts) {
      const acts = actsOf(script);
      if (acts.length === 0) continue;
      this.begin();
      for (const act of acts) {
        if ('signal' in act && !act.signal) break;
        this.act(act, (dtS) => {
          stimulus.dtS = dtS;
          memory.slowPct.fill(NaN);
          chain.send(stimulus, memory, one.frame);
          pulses.push(dtS);
          this.arrive(one);
        });
      }
    }
    this.begin();
    return pulses;
  }

  // ------------------------------------------------------------------------------------------------

  private begin(): void {
    const { stimulus } = this;
    const { positionFix } = stimulus;
    Object.assign(stimulus, this.level, { positionFix });
    stimulus.controls.set(this.baseHands);
    copy(this.base, this.memory);
  }

  private next(): Seen {
    const one = (this.pool[this.used] ??= new Seen(this.facts));
    this.used += 1;
    return one;
  }

  private act(act: Doing, step: (dtS: number) => void): void {
    const { stimulus } = this;
    if ('hand' in act) {
      stimulus.controls[act.hand] = act.to;
      step(0);
    } else if ('back' in act) {
      stimulus.controls[act.back] = this.baseHands[act.back]!;
      step(0);
    } else if ('signal' in act) {
      stimulus.linkUp = act.signal;
      step(FRAME_S);
    } else this.wait(act.waitS, step);
  }

  /** Lets time pass, in pieces that end where a delay or a counting window runs out. */
  private wait(seconds: number, step: (dtS: number) => void): void {
    let left = seconds;
    // Whatever may just have begun counts at first; afterwards only clocks that run, until one has run out.
    let begun = true;
    for (let n = 0; n < MOST_EVENTS && left > 1e-9; n++) {
      const dtS = Math.min(left, this.nextS(begun));
      const before = this.said();
      step(dtS);
      left -= dtS;
      begun = this.said() !== before;
    }
    if (left > 1e-9) step(left);
  }

  /** What logic remembers, as one number: another one means that something has changed. */
  private said(): number {
    const { logic } = this.memory;
    let sum = 0;
    for (let i = 0; i < logic.length; i += 2) sum = sum * 3 + logic[i]!;
    return sum;
  }

  /** When something that is remembered may change next, seconds from now. @param begun clocks at nought may run */
  private nextS(begun: boolean): number {
    const { clocks, memory, recoveryS } = this;
    let least = Infinity;
    for (const { at, times } of clocks) {
      const gone = memory.logic[at]!;
      if (gone === 0 && !begun) continue;
      for (const s of times) if (s - gone > 1e-6 && s - gone < least) least = s - gone;
    }
    const left = recoveryS - memory.recoveryHeldS;
    return left > 1e-6 && (begun || memory.recoveryHeldS > 0) ? Math.min(least, left) : least;
  }

  private look(from: Frame, attitude: Attitude): Moment {
    const { stimulus, memory, facts } = this;
    const one = this.next();
    one.frame.receivedUs.set(from.receivedUs);
    one.frame.logic.set(from.logic);
    Object.assign(stimulus, attitude, { dtS: 0 });
    facts.chain.fromLink(stimulus, memory, one.frame);
    const { linkUp, positionFix } = stimulus;
    Object.assign(stimulus, this.level, { linkUp, positionFix });
    return this.note(one);
  }

  private note(one: Seen): Seen {
    one.hands.set(this.stimulus.controls);
    one.panicking = this.facts.acting.isPanicking(one.hands, one.frame);
    one.launching = this.facts.acting.isLaunching(this.stimulus, one.frame);
    return one;
  }

  private arrive({ frame }: Seen): void {
    const { active, pulses, facts, stimulus } = this;
    for (let i = 0; i < active.length; i++) pulses.push(frame.receivedUs[active[i]!]!);
    pulses.push(
      (facts.acting.isPanicking(stimulus.controls, frame) ? 1 : 0) +
        (facts.acting.isLaunching(stimulus, frame) ? 2 : 0),
    );
  }
}

type Doing = Exclude<Script[number], { look: Attitude }>;
const doings = new WeakMap<Script, readonly Doing[]>();

/** The steps of a script without its observations. */
function actsOf(script: Script): readonly Doing[] {
  const found =
    doings.get(script) ?? script.flatMap((act): Doing[] => ('look' in act ? [] : [act]));
  doings.set(script, found);
  return found;
}

function copy(from: Memory, into: Memory): void {
  into.logic.set(from.logic);
  into.slowPct.set(from.slowPct);
  into.lastReceivedUs.set(from.lastReceivedUs);
  into.lastPortsUs.set(from.lastPortsUs);
  into.holdErrorDeg.set(from.holdErrorDeg);
  into.lastGainUs = from.lastGainUs;
  into.armed = from.armed;
  into.recoveryHeldS = from.recoveryHeldS;
}
