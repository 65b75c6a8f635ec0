import { levelCaptureOf } from '../capture';
import { controlWords, MOVEMENT_WORDS, movementOf } from '../chain';
import { kindOf, type Axis, type Setup } from '../setup';
import type { Act, Answer, Experiment, Glance, Step } from './experiment';

type Deg = Readonly<Partial<Record<Axis, number>>>;

/** Where to look, and everything that may be seen there. */
export interface LookInWords {
  /** The surface: "left aileron". */
  name: string;
  watch: string;
  answers: readonly (readonly [Glance | 'unsure', string])[];
}

/** What to do for an experiment. */
export interface InWords {
  /** Before it begins, line by line. */
  before: readonly string[];
  /** What is done, and what is looked at then. */
  steps: readonly { does: string; looks: readonly LookInWords[] }[];
  /** Once everything is answered: what has to be put right. */
  after: readonly string[];
}

const controlOf = ({ transmitter }: Setup, id: string) =>
  transmitter.controls.find((c) => c.id === id)!;

/** "Raise the left wing by about 30° and the nose by about 25°" */
function tiltWords({ airframe }: Setup, { roll = 0, pitch = 0, yaw = 0 }: Deg): string {
  const { front, back, onSurface } = kindOf(airframe);
  const side = `${roll > 0 ? 'left' : 'right'} ${onSurface ? 'side' : 'wing'}`;
  const end = pitch > 0 ? front : back;
  const about = (deg: number) => `about ${Math.abs(deg)}°`;
  if (yaw !== 0) return `Swing the ${front} ${about(yaw)} to the ${yaw > 0 ? 'right' : 'left'}`;
  if (roll === 0) return `Raise the ${end} by ${about(pitch)}`;
  if (pitch === 0) return `Raise the ${side} by ${about(roll)}`;
  return `Raise the ${side} by ${about(roll)} and the ${end} by ${about(pitch)}`;
}

/** "Raise the left wing by about 30° and the nose by about 25°"; of a stick what is done with it. */
export function actWords(setup: Setup, act: Act): string {
  switch (act.kind) {
    case 'tilt':
      return tiltWords(setup, act.deg);
    case 'stab':
      return `${controlOf(setup, act.stick).label}: to its end, then released`;
    case 'power-up':
      return 'Switch the model on';
    case 'light':
      return 'Look at the light of the unit';
    case 'teach':
      return `${tiltWords(setup, act.deg)}, and keep the model like that: ${levelCaptureOf(setup).words}. Then put the model level`;
    case 'lost':
      return `${controlOf(setup, act.stick).label}: hold it at about ${Math.abs(act.pct)} % ${act.pct > 0 ? 'one way' : 'the other way'}, then switch the transmitter off`;
  }
}

/** An experiment for the person who does it. */
export function experimentWords(
  setup: Setup,
  { controls, fresh, leadOut, steps }: Experiment,
): InWords {
  const put = Object.entries(controls).map(([id, value]) =>
    controlWords(controlOf(setup, id), value),
  );
  const before = [
    ...(leadOut ? ['Pull the gain lead out of the unit.'] : []),
    ...(fresh ? ['Switch the model off.'] : []),
    ...(setup.airframe.motors.length === 0
      ? []
      : [
          fresh
            ? 'Do not touch the throttle.'
            : 'If the throttle was not opened since power-up: open it once and close it.',
        ]),
    `${put.length > 0 ? `${put.join(', ')}; everything` : 'Everything'} else at rest, the model level.`,
  ];
  return {
    before,
    steps: steps.map((step, i) => {
      const held = step.put === undefined && steps[i - 1]?.act.kind !== 'power-up' && i > 0;
      return {
        does: doesWords(setup, step, held),
        looks: step.watch.map((id) => lookWords(setup, step.act, id, held)),
      };
    }),
    after: steps.some(({ act }) => act.kind === 'teach')
      ? [`The unit may have taken that attitude for level. ${putRightWords(setup)}`]
      : [],
  };
}

/** How a unit that was taught a wrong level gets the right one back. */
export const putRightWords = (setup: Setup): string =>
  `Put that right: with the model level, ${levelCaptureOf(setup).words}.`;

/** An answer, or what a unit would have shown: "left aileron: goes down, then returns; elevator: does not move". */
export function answerWords({ steps }: InWords, answer: Answer): string {
  const looks = steps.flatMap((step) => step.looks);
  return looks
    .map(({ name, answers }, i) => {
      const said = answers.find(([a]) => a === (answer[i] ?? 'unsure'))?.[1] ?? 'could not tell';
      return looks.length > 1 ? `${name}: ${said}` : said;
    })
    .join('; ');
}

/** @param held the model is held tilted already */
function doesWords(setup: Setup, { put, settle, act }: Step, held: boolean): string {
  const words = actWords(setup, act);
  if (put) {
    const moved = Object.entries(put).map(([id, value]) =>
      controlWords(controlOf(setup, id), value),
    );
    if (act.kind === 'light') return `${moved.join(', ')}. ${words}.`;
    if (settle) moved.push(actWords(setup, { kind: 'stab', stick: settle }));
    // The same as in the position before.
    return `Level the model again, then: ${moved.join('; ')}. Tilt the model as before, and hold it there for three seconds.`;
  }
  if (act.kind !== 'tilt') return `${words}.`;
  return held
    ? `Go on: ${words[0]!.toLowerCase()}${words.slice(1)}, and hold the model there for three seconds.`
    : `${words} in one movement, and hold the model there for three seconds.`;
}

function lookWords(setup: Setup, act: Act, id: string, held: boolean): LookInWords {
  if (act.kind === 'power-up' || act.kind === 'light') return signWords(act);
  const surface = setup.airframe.surfaces.find((s) => s.id === id)!;
  const name = surface.label.toLowerCase();
  const ways = ([1, -1] as const).map(
    (sign) => [sign > 0 ? '+' : '-', MOVEMENT_WORDS[movementOf(surface, 10 * sign)]] as const,
  );
  const unsure = ['unsure', 'could not tell'] as const;
  const standing = ways.map(([key, way]) => [`${key}stays`, `stands further ${way}`] as const);
  switch (act.kind) {
    case 'tilt':
      return {
        name,
        watch: held ? `Keep watching the ${name}.` : `Watch the ${name}.`,
        answers: [
          ...ways.flatMap(([key, way]) => [
            [
              `${key}stays`,
              held ? `is ${way} and stays there` : `goes ${way} and stays there`,
            ] as const,
            [`${key}returns`, `goes ${way}, then returns`] as const,
          ]),
          ['none', held ? 'stays where it stood with the model level' : 'does not move'],
          unsure,
        ],
      };
    case 'teach':
      return {
        name,
        watch: `Where does the ${name} stand now, compared with before?`,
        answers: [...standing, ['none', 'where it stood before'], unsure],
      };
    case 'stab':
      return {
        name,
        watch: `Where does the ${name} stand now, compared with the level model?`,
        answers: [...standing, ['none', 'where it stood then'], unsure],
      };
    case 'lost':
      return {
        name,
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

/** How often the servos twitch, from 0 to `MOST_TWITCHES`. */
const TIMES = [
  'not at all',
  'once',
  'twice',
  'three times',
  'four times',
  'five times or more',
] as const;

/** What is looked at that is no surface: the light, or whether everything twitches as the unit starts. */
function signWords({ kind }: Act): LookInWords {
  const unsure = ['unsure', 'could not tell'] as const;
  return kind === 'light'
    ? {
        name: 'the light',
        watch: 'Has the light changed since the position before, its colour or its blinks?',
        answers: [['other', 'it has changed'], ['same', 'it is the same'], unsure],
      }
    : {
        name: 'all servos',
        watch: 'How often do the servos twitch as the unit starts?',
        answers: [...TIMES.map((times, n) => [`twitches ${n}`, times] as const), unsure],
      };
}
