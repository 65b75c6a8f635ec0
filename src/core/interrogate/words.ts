import { controlWords, MOVEMENT_WORDS, movementOf } from '../chain';
import { kindOf, type Axis, type Setup } from '../setup';
import type { Answer, Experiment } from './experiment';

/** What to do for an experiment, what to look at, and everything that may be seen. */
export interface InWords {
  does: readonly string[];
  watch: string;
  answers: readonly (readonly [Answer, string])[];
}

/** "Raise the left wing by about 30°" */
export function turnWords({ airframe }: Setup, axis: Axis, deg: number): string {
  const { front, back, onSurface } = kindOf(airframe);
  const by = `about ${Math.abs(deg)}°`;
  switch (axis) {
    case 'roll':
      return `Raise the ${deg > 0 ? 'left' : 'right'} ${onSurface ? 'side' : 'wing'} by ${by}`;
    case 'pitch':
      return `Raise the ${deg > 0 ? front : back} by ${by}`;
    case 'yaw':
      return `Swing the ${front} ${by} to the ${deg > 0 ? 'right' : 'left'}`;
  }
}

/** An experiment for the person who does it. */
export function experimentWords(
  setup: Setup,
  { controls, fresh, leadOut, act, watch }: Experiment,
): InWords {
  const control = (id: string) => setup.transmitter.controls.find((c) => c.id === id)!;
  const surface = setup.airframe.surfaces.find((s) => s.id === watch)!;
  const name = surface.label.toLowerCase();
  const put = Object.entries(controls).map(([id, value]) => controlWords(control(id), value));
  const before = [
    ...(leadOut ? ['Pull the gain lead out of the unit.'] : []),
    ...(fresh ? ['Switch the model off and on again.'] : []),
    ...(setup.airframe.motors.length === 0
      ? []
      : [
          fresh
            ? 'Do not touch the throttle.'
            : 'If the throttle was not opened since power-up: open it once and close it.',
        ]),
    `${put.length > 0 ? `${put.join(', ')}; everything` : 'Everything'} else at rest, the model level.`,
  ];
  const way = (sign: 1 | -1) => MOVEMENT_WORDS[movementOf(surface, 10 * sign)];
  const moving: InWords['answers'] = ([1, -1] as const).flatMap((sign) => {
    const key = sign > 0 ? ('+' as const) : ('-' as const);
    return [
      [`${key}stays`, `goes ${way(sign)} and stays there`],
      [`${key}returns`, `goes ${way(sign)}, then returns`],
    ] as const;
  });
  const standing: InWords['answers'] = ([1, -1] as const).map((sign) => [
    sign > 0 ? '+stays' : '-stays',
    `stands further ${way(sign)}`,
  ]);
  const unsure = ['unsure', 'could not tell'] as const;
  switch (act.kind) {
    case 'tilt':
      return {
        does: [
          ...before,
          `${turnWords(setup, act.axis, act.deg)} in one movement, and hold it there for three seconds.`,
        ],
        watch: `Watch the ${name}.`,
        answers: [...moving, ['none', 'does not move'], unsure],
      };
    case 'stab':
      return {
        does: [
          ...before,
          `${turnWords(setup, act.axis, act.deg)} and hold it. ${control(act.stick).label}: to its end, then released.`,
        ],
        watch: `Where does the ${name} stand now, compared with the level model?`,
        answers: [...standing, ['none', 'where it stood before'], unsure],
      };
    case 'lost':
      return {
        does: [
          ...before,
          `${control(act.stick).label}: hold it at about ${Math.abs(act.pct)} % ${act.pct > 0 ? 'one way' : 'the other way'}, then switch the transmitter off.`,
        ],
        watch: `Watch the ${name}.`,
        answers: [
          ...standing,
          ['none', 'stays where the stick held it'],
          ['limp', 'goes limp: a finger moves it'],
          unsure,
        ],
      };
  }
}
