import { holdsOf, STICK_ENDS } from '../capture';
import { placesOf, stickOf } from '../chain';
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

/** The sticks of a corner held where the person is told to hold them; whether the unit hears that is asked elsewhere. */
function cornerOf(setup: Setup, corner: StickHolds, seconds: number): HandMove[] | undefined {
  const { transmitter } = setup;
  const held = holdsOf(setup, corner);
  if (held.length < corner.length || held.some(({ stick }) => stick === 'throttle'))
    return undefined;
  const put = held.flatMap(({ stick, to }): [string, number][] => {
    const control = transmitter.controls[stickOf(transmitter, stick)];
    return control ? [[control.id, to === STICK_ENDS[stick][1] ? 100 : -100]] : [];
  });
  return [{ put: Object.fromEntries(put), forS: seconds + LONGER_S }];
}
