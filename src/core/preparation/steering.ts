import { steeringEnds, steeringOf } from '../plan';
import { allThrowsOf, movementOf } from '../chain';
import { scriptOf, type ScriptStep } from '../script';
import { kindOf, type Setup } from '../setup';

const deg = (n: number) => `${Math.abs(n).toFixed(0)}°`;

/** What full steering to one side must look like, from the measured steering, or from the rods alone. */
function endWords(setup: Setup, to: 'left' | 'right'): string {
  const end = steeringEnds(setup).find((e) => e.to === to);
  if (end) return `left wheel ${deg(end.wheels.left)}, right wheel ${deg(end.wheels.right)} ${to}`;
  const surfaces = setup.airframe.surfaces;
  return allThrowsOf(setup)
    .filter((t, i, all) => all.findIndex((o) => o.surface === t.surface) === i)
    .map(({ surface: id, low, high }) => {
      const surface = surfaces.find((s) => s.id === id)!;
      const at = [low, high].find((t) => movementOf(surface, t.surfaceDeg) === to);
      return at
        ? `${surface.label.toLowerCase()} ${Math.abs(at.edgeMm).toFixed(0)} mm (${deg(at.surfaceDeg)}) ${to}`
        : `${surface.label.toLowerCase()} does not go ${to}`;
    })
    .join(', ');
}

/** The two ends of what steers on wheels or on water, set one by one, and what is loose in between. */
export function steeringScript(setup: Setup): ScriptStep[] {
  const { onSurface, moves } = kindOf(setup.airframe);
  if (!onSurface || setup.airframe.surfaces.length === 0) return [];
  const what = moves === 'wheels' ? 'steering' : 'rudder';
  const slop = steeringOf(setup)?.steering.slopDeg;
  const quiet = 'the servo is quiet: one that hums is held against its stop, and burns';
  return scriptOf('steering', [
    ...(['left', 'right'] as const).map(
      (to) =>
        [
          to,
          `Unit off. Steer slowly to full ${to}, and hold.`,
          [`the ${what} meets its stop just when your hand does`, endWords(setup, to), quiet],
        ] as const,
    ),
    [
      'slop',
      moves === 'wheels'
        ? 'Let go. Rock one front wheel with two fingers.'
        : 'Let go. Rock the rudder with two fingers.',
      [
        slop === undefined
          ? 'hardly any play: the gyro never stops chasing what is loose here'
          : `no more than ${slop}° from side to side: the gyro never stops chasing what is loose here`,
      ],
    ],
  ]);
}
