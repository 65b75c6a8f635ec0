import type { Chain, Frame, Memory, Stimulus } from '../../chain';

/** A chain on the stand: put into a state, then asked, as often as one likes. */
export class Stand {
  readonly frame: Frame;
  readonly stimulus: Stimulus;
  /** To be read; a step changes it. */
  readonly memory: Memory;
  private readonly still: Stimulus;

  constructor(readonly chain: Chain) {
    this.frame = chain.newFrame();
    this.stimulus = chain.restStimulus();
    this.still = chain.restStimulus();
    this.memory = chain.newMemory();
  }

  /** Stands in a state, model level and still, link up. */
  put(controls: Float64Array, memory: Memory): this {
    const { controls: own } = this.stimulus;
    own.set(controls);
    Object.assign(this.stimulus, this.still, { controls: own });
    this.memory.logic.set(memory.logic);
    this.memory.lastReceivedUs.set(memory.lastReceivedUs);
    this.memory.lastPortsUs.set(memory.lastPortsUs);
    this.memory.holdErrorDeg.set(memory.holdErrorDeg);
    this.memory.lastGainUs = memory.lastGainUs;
    this.memory.armed = memory.armed;
    this.memory.recoveryHeldS = memory.recoveryHeldS;
    return this;
  }

  /** One moment on, with something changed; what is changed stays so. */
  step(change: Partial<Omit<Stimulus, 'controls'>> = {}): Frame {
    Object.assign(this.stimulus, { dtS: 0 }, change);
    // A slow channel is looked at where it arrives.
    this.memory.slowPct.fill(NaN);
    this.chain.step(this.stimulus, this.memory, this.frame);
    return this.frame;
  }

  /** One control moved. */
  move(control: number, value: number): this {
    this.stimulus.controls[control] = value;
    return this;
  }

  /** The state as it stands, for putting it back. */
  state(): { controls: Float64Array; memory: Memory } {
    const m = this.memory;
    return {
      controls: this.stimulus.controls.slice(),
      memory: {
        ...m,
        logic: m.logic.slice(),
        slowPct: m.slowPct.slice(),
        lastReceivedUs: m.lastReceivedUs.slice(),
        lastPortsUs: m.lastPortsUs.slice(),
        holdErrorDeg: m.holdErrorDeg.slice(),
      },
    };
  }
}
