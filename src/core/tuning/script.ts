import { gainKnobOf, gainSides } from '../plan';
import { scriptOf, type Line, type ScriptStep, type Sentence } from '../script';
import { kindOf, type Setup } from '../setup';
import { gainAtSpeed } from './figures';
import { offPosition } from './off';
import { BY, LOCK, RECORD, TUNE } from './sentences';

/** What is turned to find the gain. */
function gainBy(setup: Setup): Sentence {
  const wait = kindOf(setup.airframe).onSurface ? 'stopped' : 'landed';
  const knob = gainKnobOf(setup);
  if (knob) return BY.knob({ knob: knob.control });
  return setup.unit.traits.gainLaw === 'fixed' && setup.unit.traits.dials !== 'none'
    ? BY.dial({ wait })
    : BY.step({ wait });
}

/** The side of a two-sided knob that answers softly, in the words of the Setup: where to start. Common practice, no source. */
const softSide = (setup: Setup): string | undefined =>
  gainSides(setup).find(({ does }) => /slow|soft/i.test(does))?.does;

/** One to three flights or runs to find the gain: trimmed with the unit off, then fast, then slow. */
export function tuneScript(setup: Setup): ScriptStep[] {
  const position = offPosition(setup);
  const off = position ? TUNE.off({ off: position }) : TUNE.lowest();
  const by = gainBy(setup);
  const monitor: Line[] = !readsGain(setup)
    ? []
    : [['read', TUNE['read-monitor'](), [TUNE['numbers-in-log']()]]];
  const { onSurface, back, moves } = kindOf(setup.airframe);
  if (onSurface)
    return scriptOf('tune', [
      ['trim', [off, TUNE['run-straight']()], [TUNE['runs-straight'](), TUNE['note-trims-run']()]],
      [
        'fast',
        TUNE['run-faster']({ by, side: softSide(setup) }),
        [TUNE['no-hunting'](), TUNE['steers-into-kick']({ back: { id: moves, label: back } })],
      ],
      ['slow', TUNE['run-slowly'](), [TUNE['no-chatter']()]],
      ...monitor,
    ]);
  const { cruiseMps, approachMps } = setup.airframe.measures;
  const flaps = setup.airframe.surfaces.some((s) => s.role === 'flap' || s.role === 'flaperon');
  const bears = gainAtSpeed(10, cruiseMps, approachMps) / 10;
  return scriptOf('tune', [
    [
      'trim',
      [off, setup.airframe.motors.length > 0 ? TUNE['trim-out']() : TUNE['trim-out-launched']()],
      [TUNE['flies-straight'](), TUNE['note-trims-flown']()],
    ],
    [
      'fast',
      gainKnobOf(setup) ? TUNE['fly-fast']({ by }) : TUNE['fly-fast-alone']({ by }),
      [TUNE['stops-dead'](), TUNE['half-of-it']()],
    ],
    [
      'slow',
      TUNE['fly-slowly']({ flaps }),
      [
        TUNE['does-not-hunt'](),
        TUNE['bears-more']({
          slowMps: approachMps,
          times: Math.round(bears * 10) / 10,
          fastMps: cruiseMps,
        }),
      ],
    ],
    ...monitor,
  ]);
}

/** Whether the gain is set by a channel, so that its monitor can be read. */
export const readsGain = (setup: Setup): boolean => setup.unit.traits.gainLaw !== 'fixed';

/** What a flight or run with a gain reading in the log proves of tuning: the numbers are there. */
export const READ_ITEM = { test: 'tune', item: 'read' } as const;

/** Once the gain is found it comes off the knob, so that no sleeve turns it. */
export function lockScript(setup: Setup): ScriptStep[] {
  const knob = gainKnobOf(setup);
  if (!knob) return [];
  return scriptOf('lock', [
    ['fixed', LOCK['put-on-switch']({ knob: knob.control }), [LOCK['left-on-purpose']()]],
  ]);
}

/** The flight or run written down: proven by the line in the log itself, never by a tick. */
export const recordScript = (): ScriptStep[] =>
  scriptOf('record', [['outing', RECORD['write-down'](), [RECORD['in-log']()]]]);
