import {
  compileCorner,
  countsIn,
  createEar,
  gesturesOf,
  placesOf,
  releaseCut,
  stickOf,
  type Chain,
  type Corner,
  type Frame,
  type Gesture,
} from '../../chain';
import { isSwitched, type ChannelFunction, type Setup, type StickHolds } from '../../setup';

/** A stick of a corner that does not get there. */
export interface MissedCorner {
  gesture: Gesture;
  stick: ChannelFunction;
  /** Its control, by id; undefined if the transmitter has none. */
  control: string | undefined;
  /** Position of its output in the program; −1: it has none. */
  output: number;
  /** The share of full stick it reaches, in the best position of any one switch that gives its mode; 1 is enough. */
  reaches: number;
}

/** A control that triggers a flicked gesture by accident. */
export interface Accident {
  gesture: Gesture;
  control: number;
  /** From where it rests to here, and back. */
  to: number;
}

/** Time to move a switch from one end to the other, seconds. Common practice, no source. */
const FINGER_S = 0.2;

/** What the unit takes as a gesture, asked of the chain: what reaches it, and what else does. */
export class GestureFacts {
  constructor(
    private readonly setup: Setup,
    private readonly chain: Chain,
  ) {}

  /** Every stick that a corner of the description holds. */
  get corners(): StickHolds {
    return gesturesOf(this.setup.unit).flatMap(({ by }) => (by.kind === 'corner' ? by.holds : []));
  }

  /** Channels (1-based) a described gesture is given on, as the transmitter sends them. */
  get channels(): number[] {
    const carries = new Set<ChannelFunction>(
      gesturesOf(this.setup.unit).flatMap(({ by }) =>
        by.kind === 'corner' ? by.holds.map((h) => h.stick) : [by.carries],
      ),
    );
    return this.setup.unit.settings.inputs
      .filter((i) => carries.has(i.carries))
      .map((i) => i.channel);
  }

  /** Corners that full stick does not reach in their mode, each with the stick that falls shortest. */
  missed(): MissedCorner[] {
    return gesturesOf(this.setup.unit).flatMap((gesture) => {
      const { by } = gesture;
      if (by.kind !== 'corner') return [];
      const postures = this.postures();
      const there = postures.filter((hands) => countsIn(by.mode, this.moment(hands)));
      // Where no single switch leads to its mode, that is found elsewhere.
      const tried = (there.length > 0 ? there : postures).map((hands) => this.shortest(by, hands));
      const best = tried.reduce((a, b) => (b.reaches > a.reaches ? b : a));
      return best.reaches >= 1 ? [] : [{ gesture, ...best }];
    });
  }

  /** Everything at rest with the throttle cut released, and the same with one switch in each of its positions. */
  private postures(): Float64Array[] {
    const rest = this.chain.restStimulus().controls;
    releaseCut(this.setup, rest);
    return [
      rest,
      ...this.setup.transmitter.controls.flatMap((control, at) =>
        isSwitched(control)
          ? placesOf(control.kind).map(([, value]) => {
              const hands = Float64Array.from(rest);
              hands[at] = value;
              return hands;
            })
          : [],
      ),
    ];
  }

  /** What the unit does with the hands there, armed. */
  private moment(hands: Float64Array): Frame {
    const { chain } = this;
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    const stimulus = chain.restStimulus();
    memory.armed = true;
    stimulus.controls.set(hands);
    chain.step(stimulus, memory, frame);
    return frame;
  }

  private shortest({ holds }: Corner, hands: Float64Array): Omit<MissedCorner, 'gesture'> {
    const { chain, setup } = this;
    const corner = compileCorner(setup);
    const frame = chain.newFrame();
    const stimulus = chain.restStimulus();
    const reaches = holds.map((hold) => {
      const at = stickOf(setup.transmitter, hold.stick);
      if (at < 0) return 0;
      return Math.max(
        ...[-100, 100].map((value) => {
          stimulus.controls.set(hands);
          stimulus.controls[at] = value;
          chain.step(stimulus, chain.newMemory(), frame);
          return corner([hold], frame);
        }),
      );
    });
    const least = Math.min(...reaches);
    const { stick } = holds[reaches.indexOf(least)]!;
    const output = setup.program.outputs.findIndex((o) => o.carries === stick);
    const control = setup.transmitter.controls[stickOf(setup.transmitter, stick)]?.id;
    return { stick, control, output, reaches: least };
  }

  /** Controls other than the mode and capture switches that trigger a flicked gesture when moved quickly enough. */
  accidents(): Accident[] {
    const flicked = gesturesOf(this.setup.unit).filter(({ by }) => by.kind === 'flick');
    if (flicked.length === 0) return [];
    const meant = new Set(this.setup.intents.program.modes?.switches ?? []);
    return this.setup.transmitter.controls.flatMap((control, at) => {
      if (!isSwitched(control) || meant.has(control.id)) return [];
      if (this.setup.intents.program.capture?.control === control.id) return [];
      for (const hands of this.postures())
        for (const [, to] of placesOf(control.kind)) {
          if (to === hands[at]) continue;
          const gesture = flicked.find((g) => this.flicks(g, hands, at, to));
          if (gesture) return [{ gesture, control: at, to }];
        }
      return [];
    });
  }

  private flicks(gesture: Gesture, hands: Float64Array, at: number, to: number): boolean {
    const { by } = gesture;
    if (by.kind !== 'flick') return false;
    const { chain } = this;
    const frame: Frame = chain.newFrame();
    const memory = chain.newMemory();
    const stimulus = chain.restStimulus();
    const ear = createEar(this.setup);
    stimulus.controls.set(hands);
    const wait = (value: number) => {
      stimulus.controls[at] = value;
      stimulus.dtS = FINGER_S;
      chain.step(stimulus, memory, frame);
      return ear.hear(frame, FINGER_S).some((g) => g.for === gesture.for);
    };
    wait(hands[at]!);
    // Held as long as the time limit allows, since a program may delay the switch.
    const holdS = Math.max(FINGER_S, by.withinS / (2 * by.times) - FINGER_S);
    const steps = Math.max(1, Math.floor(holdS / FINGER_S));
    for (let i = 0; i < by.times; i++)
      for (const value of [to, hands[at]!])
        for (let step = 0; step < steps; step++) if (wait(value)) return true;
    return false;
  }
}
