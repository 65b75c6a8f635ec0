import { axisWeights, stickOf } from '../../chain';
import { capital, functionOf, type ChannelFunction, type Input, type Setup } from '../../setup';
import { mixerOf } from '../functions';
import { addLine, type Draft } from './draft';
import { ratesOf } from './rates';

/** Stick of each axis, and the input it becomes. */
const AXIS_INPUT = { roll: 'aileron', pitch: 'elevator', yaw: 'rudder' } as const;

/** Which sticks a channel is made of, and how much of each. */
function sticksOf(setup: Setup, carries: ChannelFunction): (readonly [ChannelFunction, number])[] {
  const { role, stick, standIn } = functionOf(carries);
  if (stick) return [[carries, 100]];
  if (standIn && (role === 'steering' || role === 'motor')) return sticksOf(setup, standIn);
  // An inverted V answers the rudder reversed.
  const turned =
    setup.airframe.kind === 'inverted-v-tail' &&
    mixerOf(setup.unit, setup.intents.mixer) === 'transmitter';
  return Object.entries(axisWeights(carries)).map(
    ([axis, weight]) =>
      [
        AXIS_INPUT[axis as keyof typeof AXIS_INPUT],
        100 * weight * (turned && axis === 'yaw' ? -1 : 1),
      ] as const,
  );
}

/** Every stick with its trim, and the lines that bring it to its channels. */
export function writeSticks(draft: Draft): void {
  const { setup, before } = draft;
  for (const { carries, channel } of setup.program.outputs) {
    const made = sticksOf(setup, carries);
    for (const [stick, sharePct] of made) {
      if (!draft.own.inputs.some((i) => i.id === stick)) {
        const input = inputOf(setup, stick);
        if (!input) continue;
        const old = before.program.inputs.find((i) => i.id === stick);
        draft.own.inputs.push(old ? { ...input, rates: old.rates } : input);
      }
      addLine(draft, {
        id: made.length > 1 ? `stick-${carries}-${stick}` : `stick-${carries}`,
        channel,
        follows: { kind: 'input', id: stick },
        sharePct,
        effect: 'adds',
        purpose: 'stick',
      });
    }
  }
}

function inputOf(setup: Setup, carries: ChannelFunction): Input | undefined {
  const { transmitter, intents } = setup;
  const stick = transmitter.controls[stickOf(transmitter, carries)];
  if (!stick) return undefined;
  const trim = transmitter.controls.find((c) => c.kind === 'trim' && c.hand === stick.hand);
  return {
    id: carries,
    label: capital(functionOf(carries).words),
    control: stick.id,
    ...(trim ? { trim: trim.id } : {}),
    rates:
      carries === 'throttle'
        ? [{ sharePct: 100, expoPct: 0, owner: 'sticks' }]
        : ratesOf(setup, intents.program.rates),
    owner: 'sticks',
  };
}
