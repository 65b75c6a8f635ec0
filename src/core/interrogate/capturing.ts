import { compileChain, compileCorner, placesOf, stickOf } from '../chain';
import { isSwitched, type Setup, type StickHolds } from '../setup';
import { modeSwitches } from './postures';
import type { HandMove } from './experiment';

/** A corner is held so much longer than the description says, seconds. */
const LONGER_S = 0.5;
/** Each position of a switch that is flicked. */
const FLICK_S = 0.2;

/**
 * How level is captured in the way of the description, as moves of hands: none for a button on the unit.
 * @returns undefined where the description has no way that can be tried: a menu, the power-up, a corner with the throttle
 */
export function capturingLevel(setup: Setup): readonly HandMove[] | undefined {
  const how = setup.unit.traits.levelCapture;
  switch (how?.by) {
    case 'button':
      return [];
    case 'corner':
      return cornerOf(setup, how.holds, how.seconds);
    case 'flick': {
      const [control] = modeSwitches(setup);
      return control && flicked(control.id, -100, 100, how.times);
    }
    case 'channel': {
      const id = setup.intents.program.capture?.control;
      const control = setup.transmitter.controls.find((c) => c.id === id);
      if (!control || !isSwitched(control)) return undefined;
      const other = placesOf(control.kind).find(([, value]) => value !== control.rest)?.[1];
      return other === undefined ? undefined : flicked(control.id, control.rest, other, how.times);
    }
    default:
      return undefined;
  }
}

/** From one place to another and back, a number of times. */
const flicked = (id: string, from: number, to: number, times: number): HandMove[] =>
  [from, ...Array.from({ length: times }, () => [to, from]).flat()].map((value) => ({
    put: { [id]: value },
    forS: FLICK_S,
  }));

/** The sticks of a corner at the ends at which the unit sees them there. */
function cornerOf(setup: Setup, holds: StickHolds, seconds: number): HandMove[] | undefined {
  if (holds.some(({ stick }) => stick === 'throttle')) return undefined;
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const corner = compileCorner(setup);
  const reached = holds.flatMap((hold): [string, number][] => {
    const at = stickOf(setup.transmitter, hold.stick);
    const end = [100, -100].find((value) => {
      if (at < 0) return false;
      const stimulus = chain.restStimulus();
      stimulus.controls[at] = value;
      chain.send(stimulus, chain.newMemory(), frame);
      return corner([hold], frame) >= 1;
    });
    return end === undefined ? [] : [[setup.transmitter.controls[at]!.id, end]];
  });
  return reached.length < holds.length
    ? undefined
    : [{ put: Object.fromEntries(reached), forS: seconds + LONGER_S }];
}
