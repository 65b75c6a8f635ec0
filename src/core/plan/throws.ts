import { allThrowsOf, MOVEMENT_WORDS, movementOf, type SurfaceThrows } from '../chain';
import { applyPatch, type PatchOperation } from '../patch';
import type { Setup } from '../setup';
import { around, endpoints } from './endpoint';

/** An endpoint that gives a surface the throw asked for, or why none does. */
export type ThrowChange =
  | {
      ok: true;
      patch: PatchOperation[];
      /** "channel 2, upper end 84 %". */
      words: string;
      /** Other surfaces whose throw it changes too. */
      also: string[];
    }
  | { ok: false; reason: string };

export type ThrowEnd = 'low' | 'high';

/** No closer than a ruler tells at a trailing edge. */
const CLOSE_MM = 0.5;

/** A throw by the surface that makes it and the control that asks for it. */
export type ThrowOf = Pick<SurfaceThrows, 'surface' | 'control'>;

/**
 * The endpoint that gives a surface this throw. Which end of which channel it is, is asked of the
 * chain: of all the ends there are, those that move it at this end of the control.
 * @param end of the control, as `allThrowsOf` names them
 * @param mm at the trailing edge, from the line of no deflection, on the side it goes to now; 0 or more
 */
export function setThrow(setup: Setup, of: ThrowOf, end: ThrowEnd, mm: number): ThrowChange {
  const same = (t: ThrowOf) => t.surface === of.surface && t.control === of.control;
  const surface = setup.airframe.surfaces.find((s) => s.id === of.surface);
  const now = allThrowsOf(setup);
  const before = now.find(same)?.[end].edgeMm;
  if (!surface || before === undefined || Number.isNaN(before))
    return { ok: false, reason: 'Its rod cannot reach that end; change the lengths first.' };
  const side = Math.sign(before) || 1;
  const edgeOf = (asked: Setup) => side * (allThrowsOf(asked).find(same)?.[end].edgeMm ?? 0);
  let nearest: number | undefined;
  for (const endpoint of endpoints(setup, edgeOf)) {
    const { figureAt, patchOf, pctOf, most, words } = endpoint;
    let far = most;
    // A rod that locks short of the far end ends the search where it locks.
    while (far > 0 && Number.isNaN(figureAt(far))) far -= Math.ceil(most / 30);
    if (far <= 0 || !(figureAt(far) > figureAt(0) + CLOSE_MM)) continue;
    const [under, over] = around(endpoint, mm, far);
    const [less, more] = [figureAt(under), figureAt(over)];
    const [steps, got] = mm - less <= more - mm ? [under, less] : [over, more];
    // Where a step of the transmitter is coarse, the nearest step is what there is.
    if (Math.abs(got - mm) <= Math.max(CLOSE_MM, more - less)) {
      const after = allThrowsOf(applyPatch(setup, patchOf(steps)) as Setup);
      return {
        ok: true,
        patch: patchOf(steps),
        words: `${words} ${Math.abs(pctOf(steps))} %`,
        also: setup.airframe.surfaces
          .filter(
            ({ id }) => id !== of.surface && now.some((t) => t.surface === id && differs(t, after)),
          )
          .map((s) => s.label),
      };
    }
    if (nearest === undefined || Math.abs(got - mm) < Math.abs(nearest - mm)) nearest = got;
  }
  return {
    ok: false,
    reason:
      nearest === undefined
        ? 'No endpoint of the transmitter moves this end.'
        : `The endpoints of ${surface.label.toLowerCase()} allow ${Math.abs(nearest).toFixed(0)} mm ${MOVEMENT_WORDS[movementOf(surface, side * 90)]}. For more, use another hole in the arm or horn.`,
  };
}

/** Whether a throw is another one afterwards, or gone. */
function differs(before: SurfaceThrows, after: readonly SurfaceThrows[]): boolean {
  const then = after.find((t) => t.surface === before.surface && t.control === before.control);
  return (
    then === undefined ||
    (['low', 'high'] as const).some(
      (end) => Math.abs(before[end].edgeMm - then[end].edgeMm) > CLOSE_MM,
    )
  );
}
