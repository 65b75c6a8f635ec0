import { AXES, FLYING_MODES, MODES, MOUNTINGS, type UnitTraits } from '@/core/setup';
import { AXIS_WORDS, MODE_WORDS } from '../words/unit';

/** The parts of a unit's description, in the order they are asked. */
export const PARTS = [
  ['is', 'What it is'],
  ['told', 'How it is controlled'],
  ['set', 'How it is set up'],
  ['out', 'Its outputs and plugs'],
  ['wrong', 'When something goes wrong'],
  ['signs', 'What it shows'],
] as const;
export type PartId = (typeof PARTS)[number][0];

interface Asked {
  part: PartId;
  asks: string;
  /** Asked only when earlier answers make it matter. */
  when?: (traits: UnitTraits) => boolean;
}

interface One extends Asked {
  said: 'one';
  answers: readonly (readonly [unknown, string])[];
  /** Asked of units for models that fly only. */
  flies?: true;
}

interface Several extends Asked {
  said: 'several';
  answers: readonly (readonly [string, string])[];
}

/** A trait with an editor of its own, or found out by a test. */
interface Elsewhere {
  said: 'in';
  file: string;
}

type Of<T> = T & { trait: keyof UnitTraits };
export type Question = Of<One>;
export type Choices = Of<Several>;

const yesNo = [
  [true, 'yes'],
  [false, 'no'],
] as const;
/** Answers that stand for something only a model that flies has. */
export const FLYING: ReadonlySet<unknown> = new Set([
  'roll',
  'pitch',
  ...FLYING_MODES,
  'stick-corners',
  'autopilot',
  'pitch-with-throttle',
  'roll-through',
]);
const FLAT = ['nose-up', 'nose-down'] as const;
const FLAT_BOTH = ['nose-up', 'nose-down', 'tail-up', 'tail-down'] as const;

/**
 * Where every trait of a unit is said: a question with one answer or several, an editor of its own, or what
 * finds it out. A trait that is said nowhere does not compile.
 */
const TRAITS: Record<keyof UnitTraits, One | Several | Elsewhere> = {
  axes: {
    said: 'several',
    part: 'is',
    asks: 'Axes it stabilizes',
    answers: AXES.map((a) => [a, AXIS_WORDS[a]]),
  },
  modes: {
    said: 'several',
    part: 'told',
    asks: 'Modes it has',
    answers: MODES.map((m) => [m, MODE_WORDS[m]]),
  },
  captureGestures: {
    said: 'several',
    part: 'set',
    asks: 'How is a capture started?',
    answers: [
      ['menu', 'menu'],
      ['button', 'button'],
      ['stick-corners', 'stick corners'],
      ['mode-flick', 'mode switch flicked'],
      ['power-up', 'at power-up'],
      ['channel', 'a channel of its own'],
    ],
  },
  failsafe: {
    said: 'several',
    part: 'wrong',
    asks: 'What can happen when the signal is lost?',
    answers: [
      ['preset', 'a preset value'],
      ['hold', 'hold the last'],
      ['no-pulses', 'no pulses'],
      ['unit-mode', 'a mode of the unit'],
      ['autopilot', 'the autopilot takes over'],
    ],
  },
  extras: {
    said: 'several',
    part: 'is',
    asks: 'What else can it do?',
    answers: [
      ['pitch-with-throttle', 'pitch follows the throttle'],
      ['speed-gain', 'gain follows speed'],
      ['frame-rate', 'servo frame rate'],
      ['output-matching', 'two servos matched'],
      ['vibration-readout', 'vibration readout'],
      ['sensitivity-class', 'sensitivity classes'],
      ['six-face-calibration', 'six-face calibration'],
      ['response', 'response in steps'],
      ['roll-through', 'levelling that rolls through'],
    ],
  },
  place: {
    said: 'one',
    part: 'is',
    asks: 'Where is the gyro?',
    answers: [
      ['receiver', 'inside the receiver'],
      ['between', 'between receiver and servos'],
      ['satellite', 'plugged into a receiver as a satellite'],
      ['single-axis', 'in one servo lead'],
    ],
  },
  mixer: {
    said: 'one',
    part: 'out',
    flies: true,
    asks: 'Who mixes a delta or a V-tail?',
    answers: [
      ['unit', 'the unit: send it plain sticks'],
      ['transmitter', 'the transmitter: the unit learns the mix'],
      ['either', 'either'],
    ],
    when: (t) => t.axes.length > 1,
  },
  slotsSettable: {
    said: 'one',
    part: 'told',
    asks: 'Can you choose the mode of each switch position?',
    answers: yesNo,
    when: (t) => t.modeSelect.by !== 'fixed',
  },
  gainLaw: {
    said: 'one',
    part: 'told',
    asks: 'How does it read its gain channel?',
    answers: [
      ['fixed', 'it has none'],
      ['zero-to-full', '0 to +100 is gain, below 0 is nothing'],
      ['magnitude', 'the size counts, not the sign'],
      ['full-range', '−100 is nothing, +100 is full'],
      ['sign-selects-set', 'the sign chooses a set, the size is gain'],
    ],
  },
  gainLeadMissing: {
    said: 'one',
    part: 'told',
    asks: 'Without its gain lead it …',
    answers: [
      ['keeps-last', 'keeps the last value it saw'],
      ['zero', 'does nothing'],
      ['full', 'gives full gain'],
    ],
    when: (t) => t.gainLaw !== 'fixed',
  },
  dials: {
    said: 'one',
    part: 'is',
    asks: 'Dials on the unit?',
    answers: [
      ['none', 'none'],
      ['one-turn', 'one turn from minimum to maximum'],
      ['centre-zero', 'no correction at its centre, the side is the direction'],
    ],
  },
  correctionDirection: {
    said: 'one',
    part: 'set',
    asks: 'How is a correction reversed?',
    answers: [
      ['menu', 'in a menu'],
      ['switches', 'with small switches'],
      ['button', 'with a button, by presses'],
      ['gestures', 'with stick gestures'],
      ['dial-side', 'by the side of its dial'],
      ['learned', 'it learns it during the capture'],
      ['none', 'it cannot: the orientation must be right'],
    ],
  },
  orientations: {
    said: 'one',
    part: 'set',
    asks: 'Which ways can it be mounted?',
    answers: [
      [MOUNTINGS, 'all 24'],
      [FLAT_BOTH, 'flat, arrow forward or back'],
      [FLAT, 'flat, arrow forward'],
      [['nose-up'], 'one way only'],
    ],
  },
  orientationLearned: {
    said: 'one',
    part: 'set',
    flies: true,
    asks: 'Does it learn which way it is mounted?',
    answers: [
      [undefined, 'no'],
      ['gravity', 'yes: level, then nose down'],
      ['turning', 'yes: lift the tail, then turn right'],
    ],
  },
  stabilizedOutputs: {
    said: 'one',
    part: 'out',
    asks: 'Which outputs does it stabilize?',
    answers: [
      ['all', 'all of them'],
      ['two-banks', 'two banks, each on or off'],
      ['chosen', 'the ones you choose'],
    ],
  },
  portReverse: {
    said: 'one',
    part: 'out',
    asks: 'Can it reverse a servo at its port?',
    answers: yesNo,
  },
  axisGains: {
    said: 'one',
    part: 'told',
    asks: 'Does each axis have its own gain?',
    answers: yesNo,
    when: (t) => t.axes.length > 1,
  },
  gainKept: {
    said: 'one',
    part: 'told',
    asks: 'A gain is kept for …',
    answers: [
      [undefined, 'each axis'],
      ['axis-and-mode', 'each axis and mode'],
      ['output-and-set', 'each output and side of the gain channel'],
    ],
    when: (t) => t.gainLaw !== 'fixed' || t.axisGains,
  },
  outputTravel: {
    said: 'one',
    part: 'out',
    asks: 'Does each output have its own centre and endpoints?',
    answers: yesNo,
  },
  refusesThrottle: {
    said: 'one',
    part: 'wrong',
    asks: 'Does it hold the throttle off until it knows its position?',
    answers: yesNo,
    when: (t) => t.arming === 'position-fix',
  },
  levelCapture: {
    said: 'one',
    part: 'set',
    asks: 'How is level captured?',
    answers: [
      [undefined, 'as any other capture'],
      [{ by: 'menu' }, 'in its menu'],
      [{ by: 'button', presses: 1 }, 'with its button'],
      [
        {
          by: 'corner',
          mode: 'level',
          holds: [
            { stick: 'elevator', at: -100 },
            { stick: 'aileron', at: 100 },
          ],
          seconds: 3,
        },
        'sticks in a corner, in level mode',
      ],
      [{ by: 'flick', times: 1, withinS: 3 }, 'mode switch from end to end and back'],
      [{ by: 'power-up' }, 'at every power-up, lying still'],
      [{ by: 'channel', times: 3, withinS: 3 }, 'a channel moved off centre three times'],
    ],
    when: (t) => t.modes.includes('level') || t.modes.includes('home'),
  },
  maxGainLimit: {
    said: 'one',
    part: 'out',
    asks: 'Does each output have a maximum gain?',
    answers: yesNo,
  },
  stickFade: {
    said: 'one',
    part: 'told',
    asks: 'Can the stick fade be changed?',
    answers: [
      ['fixed', 'no'],
      ['adjustable', 'yes, for each axis'],
    ],
  },
  arming: {
    said: 'one',
    part: 'wrong',
    flies: true,
    asks: 'When does it start to work?',
    answers: [
      ['always', 'at once'],
      ['after-throttle', 'when the throttle has passed a point'],
      ['position-fix', 'levelling and home after a position fix'],
    ],
  },
  panic: {
    said: 'one',
    part: 'wrong',
    flies: true,
    asks: 'Panic recovery?',
    answers: [
      ['none', 'none'],
      ['channel', 'a channel of its own'],
      ['mode-band', 'a part of the mode channel'],
      ['mode-limits-delay', 'a channel, with limits and a delay'],
    ],
  },
  modeSelect: { said: 'in', file: 'ui/unit/BandsEditor' },
  inputChannels: { said: 'in', file: 'ui/unit/TraitQuestions' },
  inputOrder: { said: 'in', file: 'ui/unit/OrderEditor' },
  gestures: { said: 'in', file: 'ui/unit/GestureEditor' },
  presses: { said: 'in', file: 'ui/unit/GestureEditor' },
  ports: { said: 'in', file: 'ui/unit/PortsEditor' },
  lights: { said: 'in', file: 'ui/unit/SignsEditor' },
  twitchesAtPowerUp: { said: 'in', file: 'ui/unit/SignsEditor' },
  gainSides: { said: 'in', file: 'ui/unit/WordsEditor' },
  armThrottlePct: { said: 'in', file: 'ui/unit/TraitQuestions' },
  nominalSense: { said: 'in', file: 'core/directions/atoms' },
  mixSense: { said: 'in', file: 'core/directions/atoms' },
  pinsAt: { said: 'in', file: 'ui/mounting/MountingStation' },
};

type Trait = (typeof TRAITS)[keyof UnitTraits];
const ALL = Object.entries(TRAITS) as [keyof UnitTraits, Trait][];

/** Traits that are said in one way, each with its name. */
const saidBy = <S extends Trait['said']>(said: S) =>
  ALL.flatMap(([trait, t]) =>
    t.said === said ? [{ ...(t as Extract<Trait, { said: S }>), trait }] : [],
  );

/** Questions with one answer, in the order they are asked. */
export const QUESTIONS: readonly Question[] = saidBy('one');

/** Questions with more than one answer. */
export const MANY: readonly Choices[] = saidBy('several');

/** Traits that are said in a place of their own, with the file that holds it. */
export const ELSEWHERE = saidBy('in').map(({ trait, file }) => [trait, file] as const);

/** How an answer is known among the others of its question. */
export const keyOf = (value: unknown): string => JSON.stringify(value ?? null);

/** The answer that stands, by its key. Not said is as good as no. */
export function standing({ answers }: Pick<Question, 'answers'>, value: unknown): string {
  const now = keyOf(value);
  return now === 'null' && answers.some(([v]) => v === false) ? 'false' : now;
}

/** What the folded part says of itself: "inside the receiver; roll, pitch, yaw". */
export function summaryOf(part: PartId, traits: UnitTraits): string {
  if (part === 'signs') return 'its light in each mode, its twitches, your leaflet’s words';
  const one = QUESTIONS.filter((q) => q.part === part && (!q.when || q.when(traits))).flatMap(
    (q) => {
      const said = q.answers.find(([v]) => keyOf(v) === standing(q, traits[q.trait]));
      // A bare yes or no says nothing without its question.
      return said && said[1].length > 4 ? [said[1]] : [];
    },
  );
  const many = MANY.filter((q) => q.part === part).map((q) =>
    q.answers
      .filter(([v]) => (traits[q.trait] as readonly string[]).includes(v))
      .map(([, words]) => words)
      .join(', '),
  );
  return [...many, ...one].filter(Boolean).join('; ');
}
