import {
  axisFunction,
  controlWords,
  edgesWithinUs,
  modeWords,
  positionsOf,
  positionWord,
  stickOf,
  STICK_ASKS,
  switchValue,
  type Chain,
  type Frame,
} from '../../chain';
import { cornerWords, movedSticks, STICKS } from '../../capture';
import { combinations, failsafeSchools } from '../../plan';
import {
  AXES,
  kindOf,
  readsOfCondition,
  roleOf,
  type Axis,
  type ChannelFunction,
  type FailsafeSchool,
  type Mode,
  type Read,
  type Setup,
} from '../../setup';
import {
  chainOf,
  coneOf,
  coneOfReads,
  isContinuous,
  panicControlOf,
  watchOf,
  type PanicControl,
} from '../explore';
import { Acting } from './acting';
import { GestureFacts } from './gesture-facts';
import { channelsOfSurfaces } from './influence';
import { MixFacts } from './mix-facts';
import { SurfaceFacts } from './surface-facts';

/** One stick that turns the model: the axis it is for, and its position in the control list. */
export interface Hand {
  axis: Axis;
  at: number;
  asks: 1 | -1;
}

/** One combination of positions of some switches, as values of their controls. */
export interface Combination {
  values: readonly number[];
  words: string;
}

/**
 * What requirements may know of a Setup before anything is checked: what is fitted, what was chosen,
 * which channels decide what. Everything here is asked of the schema, the chain and the geometry once.
 */
export class Facts {
  readonly chain: Chain;
  readonly panic: PanicControl | undefined;
  readonly surfaces: SurfaceFacts;
  readonly mixes: MixFacts;
  readonly gestures: GestureFacts;
  readonly acting: Acting;
  /** Sticks that turn the model, one an axis it can be turned about. */
  readonly hands: readonly Hand[];
  /** The control the motor is worked with, by position; −1: none. */
  readonly throttle: number;
  /** The switch that cuts the motor, and the value at which it does. */
  readonly cut: { at: number; value: number } | undefined;
  readonly onSurface: boolean;
  /** Every control where it rests. */
  readonly restHands: Float64Array;
  private readonly worked = new Map<string, unknown>();

  constructor(readonly setup: Setup) {
    const { airframe, transmitter } = setup;
    this.chain = chainOf(setup);
    this.panic = panicControlOf(setup);
    this.surfaces = new SurfaceFacts(setup, this.chain);
    this.mixes = new MixFacts(setup);
    this.gestures = new GestureFacts(setup, this.chain);
    this.acting = new Acting(setup, this.chain, this.panic);
    this.hands = AXES.flatMap((axis) => {
      if (!this.surfaces.authority.some((a) => a[axis])) return [];
      const at = stickOf(transmitter, axisFunction(setup, axis));
      return at < 0 ? [] : [{ axis, at, asks: STICK_ASKS[axis] }];
    });
    this.onSurface = kindOf(airframe).onSurface;
    this.throttle = this.throttleControl();
    this.cut = this.cutControl();
    this.restHands = this.chain.restStimulus().controls;
  }

  /** Worked out when it is first wanted. */
  private once<T>(name: string, work: () => T): T {
    if (!this.worked.has(name)) this.worked.set(name, work());
    return this.worked.get(name) as T;
  }

  // Which channels decide what. ------------------------------------------------------------------

  /** Channels that carry a motor, as sent or as the unit takes them. */
  get motorChannels(): number[] {
    return this.once('motorChannels', () => {
      const { program, unit, transmitter } = this.setup;
      return [
        ...new Set(
          [...program.outputs, ...unit.settings.inputs]
            .filter((o) => roleOf(o.carries) === 'motor')
            .map((o) => o.channel),
        ),
      ].filter((c) => c <= transmitter.channels);
    });
  }

  /** How far off the edges of its mode bands may be, in microseconds. */
  get edgesWithinUs(): number {
    return edgesWithinUs(this.setup.unit);
  }

  /** Pulses of a channel (1-based) at which what it tells the unit changes. */
  readonly edgesOf = (channel: number): readonly number[] =>
    this.once('watch', () => watchOf(this.setup)).find((w) => w.at + 1 === channel)?.cutsUs ?? [];

  /** Channels that tell the unit what to do. */
  get orderChannels(): number[] {
    return this.once('orderChannels', () => watchOf(this.setup).map((w) => w.at + 1));
  }

  /** Positions of the switches that reach the orders, and of those choices speak of, all told apart. */
  get orderReads(): Read[] {
    return this.once('orderReads', () => {
      const { modes, gain } = this.setup.intents.program;
      const switches = [
        ...(modes?.switches ?? []),
        ...(gain?.by === 'values' ? [gain.control] : []),
        ...(gain?.by === 'flap' ? [gain.control, gain.off] : []),
      ];
      const reached = coneOf(this.setup, this.orderChannels).controls.map(
        (at) => this.setup.transmitter.controls[at]!.id,
      );
      return [...new Set([...switches, ...reached])].flatMap((id) => this.positionsOf(id));
    });
  }

  /** Every position of a switch, as something that is checked. */
  positionsOf(id: string): Read[] {
    const control = this.setup.transmitter.controls.find((c) => c.id === id);
    if (!control || isContinuous(this.setup, this.at(id))) return [];
    return Array.from({ length: positionsOf(control.kind) }, (_, position): Read => ({
      kind: 'control',
      id,
      position,
      path: [],
    }));
  }

  /** Channels a stick’s effect can depend on: those of the surfaces, and the orders. */
  get steering(): number[] {
    return this.once('steering', () => [
      ...new Set([...this.orderChannels, ...channelsOfSurfaces(this.setup).flat()]),
    ]);
  }

  /** Every channel something is said about. */
  get everyChannel(): number[] {
    return this.once('everyChannel', () => [
      ...new Set(this.setup.program.lines.map((l) => l.channel)),
    ]);
  }

  /** Channels that say how much the unit corrects. */
  get gainChannels(): number[] {
    return this.once('gainChannels', () => {
      const { unit, transmitter } = this.setup;
      return unit.settings.inputs
        .filter((i) => i.carries === 'gain' || i.carries.startsWith('gain-'))
        .map((i) => i.channel)
        .filter((c) => c <= transmitter.channels);
    });
  }

  /** Whether a control can reach some channels by whatever way. */
  reaches(control: number, channels: readonly number[]): boolean {
    return this.once(`cone ${channels.join()}`, () =>
      coneOf(this.setup, channels),
    ).controls.includes(control);
  }

  // Controls. -------------------------------------------------------------------------------------

  at(id: string): number {
    return this.setup.transmitter.controls.findIndex((c) => c.id === id);
  }

  stick(carries: ChannelFunction): number {
    return stickOf(this.setup.transmitter, carries);
  }

  /** Whether it stands anywhere between its ends, and not in positions. */
  isContinuous(at: number): boolean {
    return isContinuous(this.setup, at);
  }

  /** Every combination of positions of some switches. */
  combinations(switches: readonly string[]): Combination[] {
    const { controls } = this.setup.transmitter;
    return combinations(this.setup, switches).map(({ positions, words }) => ({
      words,
      values: positions.map((p, i) => switchValue(controls[this.at(switches[i]!)]!.kind, p)),
    }));
  }

  /** The value of a switch in one of its positions, and its words. */
  position(id: string, position: number): { value: number; words: string } {
    const { kind, label } = this.setup.transmitter.controls[this.at(id)]!;
    return {
      value: switchValue(kind, position),
      words: `${label} ${positionWord(kind, position)}`,
    };
  }

  private throttleControl(): number {
    const { transmitter, program } = this.setup;
    const stick = stickOf(transmitter, 'throttle');
    if (stick >= 0) return stick;
    const channels = this.motorChannels;
    const line = program.lines.find(
      (l) =>
        channels.includes(l.channel) &&
        l.follows.kind === 'control' &&
        l.purpose !== 'throttle-cut',
    );
    return line?.follows.kind === 'control' ? this.at(line.follows.id) : -1;
  }

  private cutControl(): { at: number; value: number } | undefined {
    const { transmitter, intents, program } = this.setup;
    const line = program.lines.find((l) => l.purpose === 'throttle-cut')?.when;
    const cut = intents.program.cut ?? (line?.kind === 'switch' ? line : undefined);
    if (!cut) return undefined;
    const at = this.at(cut.control);
    return at < 0
      ? undefined
      : { at, value: switchValue(transmitter.controls[at]!.kind, cut.position) };
  }

  /** What call-outs read, where that distinguishes more states than the orders do. */
  get spokenReads(): Read[] {
    return this.once('spokenReads', () => {
      const { program } = this.setup;
      const reads = program.callouts.flatMap((c) => (c.when ? readsOfCondition(c.when) : []));
      const channels = this.orderChannels.map((channel): Read => ({
        kind: 'channel',
        channel,
        path: [],
      }));
      const own = coneOfReads(this.setup, [...channels, ...this.orderReads]);
      const both = coneOfReads(this.setup, [...channels, ...this.orderReads, ...reads]);
      const known =
        both.controls.every((at) => own.controls.includes(at)) &&
        both.logic.every((i) => own.logic.includes(i) || program.logic[i]!.op === 'when');
      return known ? [] : reads;
    });
  }

  /**
   * Times at which something that was begun may act, in seconds: the shortest delays and the unit’s
   * own, up to a limit.
   */
  times(mostS: number): number[] {
    return this.once(`times ${mostS}`, () => this.timesTo(mostS));
  }

  private timesTo(mostS: number): number[] {
    const { program, unit } = this.setup;
    const { logic } = coneOf(this.setup, this.orderChannels);
    const single = logic.flatMap((i) => {
      const l = program.logic[i]!;
      return l.op === 'delay' ? [l.onS, l.offS] : l.op === 'toggles' ? [l.withinS + 0.001] : [];
    });
    const own = (unit.settings.recovery?.delayMs ?? 0) / 1000;
    return [...new Set([...single, own])]
      .filter((s) => s > 0 && s <= mostS)
      .toSorted((a, b) => a - b)
      .slice(0, 4);
  }

  /** The most the gain channels can ask for in a frame’s mode, as a multiple of what they ask for. */
  mostGiven(now: Moment): number {
    const { chain } = this;
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    memory.armed = true;
    const most = [1000, 2000].map((us) => {
      frame.receivedUs.set(now.frame.receivedUs);
      for (const channel of this.gainChannels) frame.receivedUs[channel - 1] = us;
      chain.fromLink(chain.restStimulus(), memory, frame);
      return frame.mode === now.frame.mode ? Math.max(...frame.gainPct) : 0;
    });
    return Math.max(...most) / 100 || 1;
  }

  // What was chosen and cannot be. ----------------------------------------------------------------

  failsafeRefused(school: FailsafeSchool): string | undefined {
    return failsafeSchools(this.setup)[school];
  }

  /** Sticks that a stick-corner gesture looks at and that reach the unit reversed, and how to hold them. */
  movedCorner(): { output: number; several: boolean; words: string } | undefined {
    const corner = this.gestures.corners.map((c) => c.stick);
    const any = this.setup.unit.traits.captureGestures.includes('stick-corners');
    const moved = movedSticks(this.setup).filter(
      (m) => any || corner.some((stick) => stick === m.stick),
    );
    return moved[0]
      ? { output: moved[0].output, several: moved.length > 1, words: cornerWords(moved) }
      : undefined;
  }

  /** Channels of the sticks that a corner is held with. */
  get cornerChannels(): number[] {
    return this.once('cornerChannels', () =>
      this.setup.program.outputs
        .filter((o) => STICKS.some((stick) => stick === o.carries))
        .map((o) => o.channel),
    );
  }

  get hasCorner(): boolean {
    return (
      this.setup.unit.traits.captureGestures.includes('stick-corners') ||
      this.gestures.corners.length > 0
    );
  }

  // Words. ----------------------------------------------------------------------------------------

  mode(mode: Mode): string {
    return modeWords(this.setup.unit, mode);
  }

  /** "Switch A middle" */
  stands(at: number, value: number): string {
    return controlWords(this.setup.transmitter.controls[at]!, value);
  }

  label(at: number): string {
    return this.setup.transmitter.controls[at]!.label;
  }
}

type Moment = { frame: Frame };

const known = new WeakMap<Setup, Facts>();

/** The facts of a Setup, gathered once: Setups are immutable. */
export function factsOf(setup: Setup): Facts {
  const found = known.get(setup) ?? new Facts(setup);
  known.set(setup, found);
  return found;
}
