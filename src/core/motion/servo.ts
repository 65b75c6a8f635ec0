import type { Servo } from '../setup';

/** A servo answers new pulses so often: analogue ones every 20 ms, digital ones every 5 ms. Common practice, no source. */
const FRAME_S = { analog: 0.02, digital: 0.005 } as const;
/** It closes on its target like a first-order lag, within its speed. Planning figure. */
const LAG_S = 0.02;
/** Nearer than this it does not move. Planning figure. */
const DEAD_DEG = 0.3;

/** Servos on their way: each as fast as it can, with a lag, a dead band and a frame of its own. */
export class Servos {
  readonly deg: Float64Array;
  private readonly target: Float64Array;
  private readonly fastest: Float64Array;
  private readonly frameS: Float64Array;
  private readonly nextS: Float64Array;

  constructor(servos: readonly Servo[], factor: number) {
    this.deg = new Float64Array(servos.length);
    this.target = new Float64Array(servos.length);
    this.nextS = new Float64Array(servos.length);
    this.fastest = Float64Array.from(servos, (s) => (factor * 60) / s.secondsPer60Deg);
    this.frameS = Float64Array.from(servos, (s) => FRAME_S[s.pulse]);
  }

  /** At once where they are sent: how a flight begins. */
  put(sentDeg: Float64Array): void {
    this.deg.set(sentDeg);
    this.target.set(sentDeg);
  }

  /** One step towards where the pulses send them. */
  step(timeS: number, stepS: number, sentDeg: Float64Array): void {
    const share = 1 - Math.exp(-stepS / LAG_S);
    for (let i = 0; i < this.deg.length; i++) {
      if (timeS >= this.nextS[i]! - 1e-9) {
        this.nextS[i]! += this.frameS[i]!;
        this.target[i] = sentDeg[i]!;
      }
      const off = this.target[i]! - this.deg[i]!;
      if (Math.abs(off) < DEAD_DEG) continue;
      const most = this.fastest[i]! * stepS;
      const by = off * share;
      this.deg[i]! += by > most ? most : by < -most ? -most : by;
    }
  }
}
