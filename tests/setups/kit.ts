import { compileChain, type Frame } from '@/core/chain';
import type { ChannelFunction, Setup } from '@/core/setup';

export {
  airframe,
  builtWith,
  checked,
  chosen,
  planned,
  transmitterLike,
  unitLike,
  withLeads,
} from '@/demo/parts';

/** A set-up as people do it: made by the app's own means, with what it must do when it is driven. */
export interface Shape {
  name: string;
  make(): Setup;
  /** What it must do on the chain. */
  drives(model: Model): void;
  /** Rules that rightly caution against it, each with why that is so. */
  cautions?: Readonly<Record<string, string>>;
}

/** Where the hands are for a moment, and what else is going on. */
export interface Moment {
  [control: string]: number | undefined;
}

interface World {
  link?: boolean;
  fix?: boolean;
  rollDeg?: number;
  pitchDeg?: number;
  yawRate?: number;
  rollRate?: number;
  armed?: boolean;
}

/** A model that is driven: hands, time, link, tilt in; modes, gains, surfaces, motor out. */
export class Model {
  private readonly chain;
  private readonly stimulus;
  private memory;
  readonly frame: Frame;

  constructor(readonly setup: Setup) {
    this.chain = compileChain(setup);
    this.stimulus = this.chain.restStimulus();
    this.memory = this.chain.newMemory();
    this.memory.armed = true;
    this.frame = this.chain.newFrame();
    this.step(0);
  }

  private step(seconds: number): void {
    this.stimulus.dtS = seconds;
    this.chain.step(this.stimulus, this.memory, this.frame);
  }

  /** Everything at rest again, as it is switched on. */
  fresh(armed = true): this {
    Object.assign(this.stimulus, this.chain.restStimulus());
    this.memory = this.chain.newMemory();
    this.memory.armed = armed;
    this.step(0);
    return this;
  }

  /** Puts hands somewhere and lets time pass. */
  hands(moment: Moment, seconds = 0): this {
    for (const [id, value] of Object.entries(moment)) {
      const at = this.chain.layout.controls.get(id);
      if (at === undefined) throw new Error(`no control ${id}`);
      this.stimulus.controls[at] = value!;
    }
    this.step(0);
    if (seconds > 0) this.step(seconds);
    return this;
  }

  world({ link, fix, rollDeg, pitchDeg, yawRate, rollRate }: World, seconds = 0.02): this {
    if (link !== undefined) this.stimulus.linkUp = link;
    if (fix !== undefined) this.stimulus.positionFix = fix;
    if (rollDeg !== undefined) this.stimulus.rollDeg = rollDeg;
    if (pitchDeg !== undefined) this.stimulus.pitchDeg = pitchDeg;
    if (yawRate !== undefined) this.stimulus.yawRateDegPerS = yawRate;
    if (rollRate !== undefined) this.stimulus.rollRateDegPerS = rollRate;
    this.step(seconds);
    return this;
  }

  get mode(): string {
    return this.frame.mode;
  }
  gain(axis: 'roll' | 'pitch' | 'yaw' = 'roll'): number {
    return Math.round(this.frame.gainPct[['roll', 'pitch', 'yaw'].indexOf(axis)]!);
  }
  /** What a function's channel sends, in percent of the transmitter's scale. */
  sent(carries: ChannelFunction): number {
    const { channel } = this.setup.program.outputs.find((o) => o.carries === carries)!;
    const { centreUs, usAt100 } = this.setup.transmitter.pulse;
    return Math.round(((this.frame.sentUs[channel - 1]! - centreUs) / usAt100) * 1000) / 10;
  }
  surface(id: string): number {
    const at = this.chain.layout.surfaces.get(id);
    if (at === undefined) throw new Error(`no surface ${id}`);
    return this.frame.surfaceDeg[at]!;
  }
  get motor(): number {
    return Math.round(this.frame.motorPct[0] ?? 0);
  }
}
