import { compileCondition, type Chain, type Frame, type Stimulus } from '../../chain';
import type { Setup } from '../../setup';
import { actingLogic, coneOfReads, type PanicControl } from '../explore';

type Test = (stimulus: Stimulus, frame: Frame) => boolean;

/** What acts in a moment: panic, launch help, the call-outs. */
export class Acting {
  private readonly panicLogic: readonly number[];
  private readonly launch: readonly Test[];

  constructor(
    private readonly setup: Setup,
    private readonly chain: Chain,
    private readonly panic: PanicControl | undefined,
  ) {
    const { logic, lines } = setup.program;
    this.panicLogic = panic
      ? actingLogic(setup, 'panic').filter((i) =>
          coneOfReads(setup, [{ kind: 'logic', id: logic[i]!.id, path: [] }]).controls.includes(
            panic.at,
          ),
        )
      : [];
    this.launch = lines.flatMap((l): Test[] =>
      l.purpose === 'launch'
        ? [l.when ? compileCondition(l.when, chain.layout, setup) : () => true]
        : [],
    );
  }

  /** Whether panic is pressed, or what it started is still on. */
  isPanicking(hands: ArrayLike<number>, frame: Frame): boolean {
    const { panic } = this;
    return (
      panic !== undefined &&
      (hands[panic.at] === panic.value || this.panicLogic.some((i) => frame.logic[i] === 1))
    );
  }

  isLaunching(stimulus: Stimulus, frame: Frame): boolean {
    return this.launch.some((test) => test(stimulus, frame));
  }

  /** A test for each call-out: whether it is spoken in a moment. */
  spoken(): ((now: { hands: ArrayLike<number>; frame: Frame }) => boolean)[] {
    const stimulus = this.chain.restStimulus();
    return this.setup.program.callouts.map(({ when }) => {
      if (!when) return () => false;
      const test = compileCondition(when, this.chain.layout, this.setup);
      return ({ hands, frame }) => {
        stimulus.controls.set(hands);
        return test(stimulus, frame);
      };
    });
  }
}
