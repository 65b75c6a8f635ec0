import { STICK_ASKS, axisFunction, compileChain, stickOf } from '../chain';
import { AXES, type Axis, type ChannelFunction, type Installation, type Setup } from '../setup';

/** What a unit files each axis under, whatever stick works it. */
const FILED: Record<Axis, ChannelFunction> = { roll: 'aileron', pitch: 'elevator', yaw: 'rudder' };

/**
 * What a unit learns when the sticks are moved through their range: ends and centre of each stick
 * channel, and which way of the pulse asks for roll right, nose up, nose right.
 */
export function learnTravel(setup: Setup): NonNullable<Installation['travelCapture']> {
  const untaught: Setup = {
    ...setup,
    installation: { ...setup.installation, travelCapture: undefined },
  };
  const chain = compileChain(untaught);
  const frame = chain.newFrame();
  const own = setup.unit.traits.nominalSense;
  return AXES.flatMap((axis) => {
    const carries = FILED[axis];
    const ask = STICK_ASKS[axis];
    const at = stickOf(setup.transmitter, axisFunction(setup, axis));
    if (at < 0) return [];
    const read = (value: number) => {
      const stimulus = chain.restStimulus();
      stimulus.controls[at] = value;
      chain.step(stimulus, chain.newMemory(), frame);
      const input = setup.unit.settings.inputs.find(
        (i) => i.carries === carries || (axis === 'yaw' && i.carries === 'steering'),
      );
      // The stick as the unit reads it is in its own sense; undo that to get at the pulse.
      const stick =
        frame.stickPct[AXES.indexOf(axis)]! *
        own[axis] *
        (setup.unit.settings.axes[axis].reversed ? -1 : 1);
      return { stick, us: input ? frame.receivedUs[input.channel - 1]! : 1500 + 5 * stick };
    };
    const low = read(-100);
    const middle = read(0);
    const high = read(100);
    const travel = (high.stick - low.stick) * ask;
    if (Math.abs(travel) < 1) return [];
    return [
      {
        carries,
        minUs: Math.min(low.us, high.us),
        centreUs: middle.us,
        maxUs: Math.max(low.us, high.us),
        sense: travel > 0 ? (1 as const) : (-1 as const),
      },
    ];
  });
}
