import {
  compileCorner,
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
import { isSwitched, type ChannelFunction, type Setup } from '../../setup';

/** A stick of a corner that does not get there. */
export interface MissedCorner {
  gesture: Gesture;
  stick: ChannelFunction;
  /** Position of its output in the program; −1: it has none. */
  output: number;
  /** How far it comes of what counts as an end, the best any switch allows; 1 would be enough. */
  reaches: number;
}

/** A control that gives a flicked gesture when it is worked so often, though it is not for that. */
export interface Accident {
  gesture: Gesture;
  control: number;
  /** From where it rests to here, and back. */
  to: number;
}

/** As long as a finger takes from one end of a switch to the other, seconds. */
const FINGER_S = 0.2;

/** What the unit takes as a gesture, asked of the chain: what reaches it, and what else does. */
export class GestureFacts {
  constructor(
    private readonly setup: Setup,
    private readonly chain: Chain,
  ) {}

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

  /** Described corners that the sticks do not reach, held at their ends: of each the stick that falls shortest. */
  missed(): MissedCorner[] {
    return gesturesOf(this.setup.unit).flatMap((gesture) => {
      const { by } = gesture;
      if (by.kind !== 'corner') return [];
      const tried = this.postures().map((hands) => this.shortest(by, hands));
      const best = tried.reduce((a, b) => (b.reaches > a.reaches ? b : a));
      return best.reaches >= 1 ? [] : [{ gesture, ...best }];
    });
  }

  /** Everything at rest with the motor free, and each switch in each of its places besides. */
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
    return { stick, output, reaches: least };
  }

  /** Controls that give a flicked gesture, worked as often and as quickly as it wants, beside those it is given with. */
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
    // Pressed as long as what it works takes, so often as it wants within its time.
    const holdS = Math.max(FINGER_S, by.withinS / (2 * by.times) - FINGER_S);
    const steps = Math.max(1, Math.floor(holdS / FINGER_S));
    for (let i = 0; i < by.times; i++)
      for (const value of [to, hands[at]!])
        for (let step = 0; step < steps; step++) if (wait(value)) return true;
    return false;
  }
}
