import { controlWords } from '../chain';
import { gainKnobOf, gainSides } from '../plan';
import { scriptOf, type ScriptStep } from '../script';
import { kindOf, type Setup } from '../setup';
import { proofOf } from '../verify';
import { gainAtSpeed } from './figures';

/** The one movement that switches everything off, in words. */
function offWords(setup: Setup): string | undefined {
  const [first] = proofOf(setup).masterOff;
  const control = setup.transmitter.controls.find((c) => c.id === first?.control);
  return control && controlWords(control, first!.value);
}

/** What is turned to find the gain, in words. */
function gainWords(setup: Setup): string {
  const still = kindOf(setup.airframe).onSurface ? 'stopped' : 'landed';
  const knob = gainKnobOf(setup);
  if (knob) return `the gain up slowly with ${knob.control.label}`;
  return setup.unit.traits.gainLaw === 'fixed' && setup.unit.traits.dials !== 'none'
    ? `the gain up by a small turn of its dial, ${still}, for each pass`
    : `the gain up by one step, ${still}, for each pass`;
}

/** Where a knob with two sides is to be started from: the side that answers softly. Common practice, no source. */
function slowSide(setup: Setup): string {
  const [side] = gainSides(setup).filter(({ does }) => /slow|soft/i.test(does));
  return side ? `from the middle a third of the way to its ${side.does} side first; ` : '';
}

/** One to three outings to find the gain: trimmed with the unit off, then fast, then slow. */
export function tuneScript(setup: Setup): ScriptStep[] {
  const off = offWords(setup);
  const offStart = off ? `Unit off (${off})` : 'Lowest gain';
  const monitor =
    setup.unit.traits.gainLaw === 'fixed'
      ? []
      : [
          [
            'read',
            'Stopped: read the gain channel off the monitor, for each value found.',
            ['the numbers are in the log'],
          ] as const,
        ];
  if (kindOf(setup.airframe).onSurface)
    return scriptOf('tune', [
      [
        'trim',
        `${offStart}: on a straight, hands off.`,
        [
          'it runs straight by itself: a gyro hides poor steering geometry, it does not mend it',
          'trims that moved are written down as an event, and taught again',
        ],
      ],
      [
        'fast',
        `On a straight, faster and faster: ${slowSide(setup)}${gainWords(setup)} until the steering hunts, then back.`,
        [
          'no hunting at full speed',
          `a kick at the ${kindOf(setup.airframe).back} is steered into, once, and let go`,
        ],
      ],
      ['slow', 'Slowly, on the worst ground it will see.', ['no chatter of the steering servo']],
      ...monitor,
    ]);
  const { cruiseMps, approachMps } = setup.airframe.measures;
  const flaps = setup.airframe.surfaces.some((s) => s.role === 'flap' || s.role === 'flaperon');
  const bears = gainAtSpeed(10, cruiseMps, approachMps) / 10;
  return scriptOf('tune', [
    [
      'trim',
      `${offStart}: take off, climb, trim it hands off, land.`,
      [
        'straight and level by itself with the unit off',
        'trims that moved are written down as an event, and the centres captured again',
      ],
    ],
    [
      'fast',
      `Fly high, with a helper on the gain, and be able to find “off” by feel. Fast passes: ${gainWords(setup)}. Stab the ailerons and let go, then elevator, then rudder.`,
      [
        'it stops dead after every stab: no shaking, nor in gusts',
        'where it shook, well back from there: half of it is the usual margin',
      ],
    ],
    [
      'slow',
      `Once more at approach speed${flaps ? ', flaps down' : ''}, high enough to recover.`,
      [
        'it is held, and does not hunt',
        `at ${approachMps} m/s it bears about ${bears.toFixed(1)} times what it bears at ${cruiseMps} m/s: a value of its own if it wants more`,
      ],
    ],
    ...monitor,
  ]);
}

/** What a flight or run with a gain reading in the log proves of tuning: the numbers are there. */
export const READ_ITEM = { check: 'test:tune', item: 'read' } as const;

/** Once the gain is found it comes off the knob, so that no sleeve turns it. */
export function lockScript(setup: Setup): ScriptStep[] {
  const knob = gainKnobOf(setup);
  if (!knob) return [];
  return scriptOf('lock', [
    [
      'fixed',
      `Put what was found on a switch, on this page; or leave ${knob.control.label} on purpose.`,
      [`left on purpose: its place is marked, and it is looked at before every start`],
    ],
  ]);
}

/** The outing written down: proven by the line in the log itself, never by hand. */
export const recordScript = (): ScriptStep[] =>
  scriptOf('record', [
    [
      'outing',
      'Write down what it did, the gains read, the trims, and what to try next.',
      ['an outing with this program is in the log'],
    ],
  ]);
