import { steeringEnds, steeringOf } from '../plan';
import { MOVEMENT_WORDS, allThrowsOf, movementOf } from '../chain';
import { scriptOf, sentences, type Named, type ScriptStep, type Sentence } from '../script';
import { kindOf, type Setup } from '../setup';
import { whole } from './sentences';

type Side = 'left' | 'right';

const SAY = sentences('steering', {
  'steer-fully': ({ to }: { to: Side }) =>
    `Unit off. Steer slowly to full ${MOVEMENT_WORDS[to]}, and hold.`,
  'meets-its-stop': ({ what }: { what: Named }) =>
    `the ${what.label} reaches its stop just as your control does`,
  wheels: ({ left, right, to }: { left: number; right: number; to: Side }) =>
    `left wheel ${left}°, right wheel ${right}° ${to}`,
  goes: ({ what, mm, deg, to }: { what: Named; mm: number; deg: number; to: Side }) =>
    `${what.label.toLowerCase()} ${mm} mm (${deg}°) ${MOVEMENT_WORDS[to]}`,
  'does-not-go': ({ what, to }: { what: Named; to: Side }) =>
    `${what.label.toLowerCase()} does not go ${to}`,
  quiet: () => 'the servo is quiet: one that hums is held against its stop, and burns out',
  'rock-a-wheel': () => 'Release the steering. Rock one front wheel with two fingers.',
  'rock-the-rudder': () => 'Release the steering. Rock the rudder with two fingers.',
  'hardly-any-play': () => 'hardly any free play: the gyro chases it without end',
  'play-up-to': ({ deg }: { deg: number }) =>
    `no more than ${deg}° from side to side: the gyro chases free play without end`,
});

/** What full steering to one side must look like, from the measured steering, or from the rods alone. */
function endOf(setup: Setup, to: Side): Sentence[] {
  const end = steeringEnds(setup).find((e) => e.to === to);
  if (end)
    return [SAY.wheels({ left: whole(end.wheels.left), right: whole(end.wheels.right), to })];
  const surfaces = setup.airframe.surfaces;
  return allThrowsOf(setup)
    .filter((t, i, all) => all.findIndex((o) => o.surface === t.surface) === i)
    .map(({ surface: id, low, high }) => {
      const surface = surfaces.find((s) => s.id === id)!;
      const at = [low, high].find((t) => movementOf(surface, t.surfaceDeg) === to);
      return at
        ? SAY.goes({ what: surface, mm: whole(at.edgeMm), deg: whole(at.surfaceDeg), to })
        : SAY['does-not-go']({ what: surface, to });
    });
}

/** The two ends of what steers on wheels or on water, set one by one, and what is loose in between. */
export function steeringScript(setup: Setup): ScriptStep[] {
  const { onSurface, moves } = kindOf(setup.airframe);
  if (!onSurface || setup.airframe.surfaces.length === 0) return [];
  const what = { id: moves, label: moves === 'wheels' ? 'steering' : 'rudder' };
  const slop = steeringOf(setup)?.steering.slopDeg;
  return scriptOf('steering', [
    ...(['left', 'right'] as const).map(
      (to) =>
        [
          to,
          SAY['steer-fully']({ to }),
          [SAY['meets-its-stop']({ what }), ...endOf(setup, to), SAY.quiet()],
        ] as const,
    ),
    [
      'slop',
      moves === 'wheels' ? SAY['rock-a-wheel']() : SAY['rock-the-rudder'](),
      [slop === undefined ? SAY['hardly-any-play']() : SAY['play-up-to']({ deg: slop })],
    ],
  ]);
}
