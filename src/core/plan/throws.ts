import { allThrowsOf, movementOf, type SurfaceThrows } from '../chain';
import { applyPatch, type PatchOperation } from '../patch';
import { pointer, type Setup } from '../setup';

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

const FIELDS = ['minPct', 'maxPct'] as const;
const END_WORDS = { minPct: 'lower end', maxPct: 'upper end' } as const;
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
  const step = setup.transmitter.stepPct ?? 1;
  const tried = setup.program.outputs.flatMap((o, output) =>
    FIELDS.map((field) => ({ channel: o.channel, output, field })),
  );
  let nearest: number | undefined;
  for (const { channel, output, field } of tried) {
    const sign = field === 'minPct' ? -1 : 1;
    const patchOf = (steps: number): PatchOperation[] => [
      {
        op: 'replace',
        path: pointer('program', 'outputs', output, field),
        value: sign * Number((steps * step).toFixed(2)),
      },
    ];
    const withEnd = (steps: number) => allThrowsOf(applyPatch(setup, patchOf(steps)) as Setup);
    const reached = (steps: number) => side * (withEnd(steps).find(same)?.[end].edgeMm ?? 0);
    const most = Math.round(150 / step);
    let least = 0;
    let far = most;
    // A rod that locks short of the far end ends the search where it locks.
    while (far > 0 && Number.isNaN(reached(far))) far -= Math.ceil(5 / step);
    if (far <= 0 || !(reached(far) > reached(0) + CLOSE_MM)) continue;
    while (far - least > 1) {
      const middle = (least + far) >> 1;
      if (reached(middle) < mm) least = middle;
      else far = middle;
    }
    const steps = Math.abs(reached(least) - mm) <= Math.abs(reached(far) - mm) ? least : far;
    const got = reached(steps);
    // Where a step of the transmitter is coarse, the nearest step is what there is.
    const oneStep = Math.abs(reached(far) - reached(least));
    if (Math.abs(got - mm) <= Math.max(CLOSE_MM, oneStep)) {
      const after = withEnd(steps);
      return {
        ok: true,
        patch: patchOf(steps),
        words: `channel ${channel}, ${END_WORDS[field]} ${Number((steps * step).toFixed(2))} %`,
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
        : `${Math.abs(nearest).toFixed(0)} mm ${movementOf(surface, side * 90)} is what the endpoints of ${surface.label.toLowerCase()} allow: another hole in the arm or horn gives the rest.`,
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
