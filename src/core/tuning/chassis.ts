import { controlWords } from '../chain';
import { scriptOf, type ScriptStep } from '../script';
import { kindOf, type Setup } from '../setup';
import { proofOf } from '../verify';

/** The one movement that switches the gyro off, as the head of an order. */
function offFirst(setup: Setup): string {
  const [first] = proofOf(setup).masterOff;
  const control = setup.transmitter.controls.find((c) => c.id === first?.control);
  return setup.intents.program.lock
    ? 'Gain locked at off'
    : control
      ? `Gyro off (${controlWords(control, first!.value)})`
      : 'Lowest gain';
}

/** A model without its gyro first: each check with what a gyro would hide of it. Common practice, no source. */
export function chassisScript(setup: Setup): ScriptStep[] {
  const { moves } = kindOf(setup.airframe);
  const off = offFirst(setup);
  if (moves === 'wheels')
    return scriptOf('chassis', [
      [
        'toe',
        'On a flat table, steering let go: sight along both front wheels.',
        [
          'both stand alike to the line of the car',
          'hidden otherwise: unequal toe, which the gyro holds straight until it lets go',
        ],
      ],
      [
        'straight',
        `${off}. Roll it, then run it slowly along a line, hands off the steering.`,
        [
          'it keeps to the line both ways',
          'hidden otherwise: a bent arm, a dragging bearing, a trim',
        ],
      ],
      [
        'circles',
        `${off}. Full left, then full right, at walking pace.`,
        [
          'two circles of one size',
          'hidden otherwise: unequal ends, which the gyro makes up for on one side only',
        ],
      ],
      [
        'brakes',
        `${off}. Brake hard from speed on a straight.`,
        ['it stays straight', 'hidden otherwise: one side that brakes or grips more'],
      ],
      [
        'power',
        `${off}. Open the throttle out of a bend, left and right.`,
        [
          'the rear steps out alike to both sides, and comes back',
          'hidden otherwise: tweak, a sticky differential, tyres that differ',
        ],
      ],
    ]);
  if (moves === 'water')
    return scriptOf('chassis', [
      [
        'straight',
        `${off}. Half speed on smooth water, hands off the steering.`,
        [
          'it keeps its heading to both winds',
          'hidden otherwise: a bent rudder or the pull of the propeller, which is for the trim',
        ],
      ],
      [
        'circles',
        `${off}. Full left, then full right, at half speed.`,
        ['two circles of nearly one size', 'hidden otherwise: unequal ends'],
      ],
      [
        'stop',
        `${off}. Close the throttle at speed.`,
        ['it sits down straight', 'hidden otherwise: a hull that hooks to one side'],
      ],
    ]);
  return [];
}
