import { compileChain, type Frame } from '../../chain';
import type { Setup, Surface } from '../../setup';

/** Less than this is no movement of a surface, degrees. */
export const MOVED_DEG = 0.5;

/** What every surface does when a channel goes from its middle to its full end, degrees. */
export function movedBy(setup: Setup, channel: number): number[] {
  const { program } = setup;
  const read = (sharePct: number): Frame => {
    const raised = compileChain({
      ...setup,
      program: {
        ...program,
        lines: [
          ...program.lines,
          {
            id: 'raised',
            channel,
            follows: { kind: 'fixed' },
            sharePct,
            shiftPct: 0,
            effect: 'takes-over',
          },
        ],
      },
    });
    const frame = raised.newFrame();
    raised.step(raised.restStimulus(), raised.newMemory(), frame);
    return frame;
  };
  // Full travel: a switch-only channel rounds smaller values to the same position.
  const [low, high] = [read(-100).surfaceDeg, read(100).surfaceDeg];
  return setup.airframe.surfaces.map((_, i) => (high[i]! - low[i]!) / 2);
}

/**
 * Which way a channel must go to lower the surfaces of some roles: asked of the chain, so that rods, reversals and
 * the unit's own mixing are seen through.
 * @returns +1, −1; 0 where it lowers one and raises another, undefined where it moves none of them
 */
export function lowers(
  setup: Setup,
  channel: number,
  roles: readonly Surface['role'][],
): 1 | -1 | 0 | undefined {
  const moved = movedBy(setup, channel).filter(
    (deg, i) => roles.includes(setup.airframe.surfaces[i]!.role) && Math.abs(deg) > MOVED_DEG,
  );
  if (moved.length === 0) return undefined;
  const ways = new Set(moved.map(Math.sign));
  return ways.size > 1 ? 0 : (Math.sign(moved[0]!) as 1 | -1);
}
