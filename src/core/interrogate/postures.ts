import { placesOf } from '../chain';
import { isSwitched, type Control, type Setup } from '../setup';
import { coneOf } from '../verify';

/** Controls away from rest, by id. */
export type Controls = Readonly<Record<string, number>>;

/** More positions of what chooses the mode than this are not tried one by one. */
const MOST_POSTURES = 9;

/** The switches that choose the mode. */
export function modeSwitches(setup: Setup): Control[] {
  const { transmitter, unit } = setup;
  const channels = unit.settings.inputs
    .filter((i) => i.carries === 'mode' || i.carries === 'mode2')
    .map((i) => i.channel);
  return coneOf(setup, channels)
    .controls.map((at) => transmitter.controls[at]!)
    .filter(isSwitched);
}

/** Every combination of their positions. */
export const posturesOf = (setup: Setup): Controls[] =>
  modeSwitches(setup)
    .reduce<Controls[]>(
      (list, control) =>
        list.flatMap((row) =>
          placesOf(control.kind).map(([, value]) => ({ ...row, [control.id]: value })),
        ),
      [{}],
    )
    .slice(0, MOST_POSTURES);

/** Where the gain is at its least, in its middle and at its most, as far as a free control works it. */
export function gainPlaces(setup: Setup): Controls[] {
  const { transmitter, unit } = setup;
  const channels = unit.settings.inputs.filter((i) => i.carries === 'gain').map((i) => i.channel);
  const free = coneOf(setup, channels)
    .controls.map((at) => transmitter.controls[at]!)
    .find((c) => !isSwitched(c) && c.kind !== 'trim' && c.kind !== 'stick');
  return free ? [-100, 0, 100].map((value) => ({ [free.id]: value })) : [{}];
}
