import { compileChain, switchValue } from '../chain';
import type { Chain, Memory } from '../chain';
import { rearTurnsAt } from '../model';
import { allReads, isOrder, type Mode, type Setup } from '../setup';

/** Controls set so that the unit stands in a mode, with as much gain as they can give. */
export interface Pose {
  controls: Float64Array;
  mode: Mode;
}

const HAND_KINDS = new Set(['switch-2', 'switch-3', 'momentary', 'knob', 'slider']);

/** The mode a correction is checked in: damping shows direction best, then the others. */
export const CORRECTION_MODES: readonly Mode[] = [
  'rate',
  'hold',
  'hover',
  'trainer',
  'level',
  'home',
];

/** How a person sets the controls for the checks of one Setup. */
export interface Hands {
  /** For looking at the sticks: the unit off, or damping where it cannot be. */
  stick: Pose | undefined;
  /** One for each mode that corrects and can be reached, the one directions show best in first. */
  corrections: readonly Pose[];
}

const known = new WeakMap<Setup, Hands>();

/** Control positions for every check. Setups are immutable, so they are worked out once for each. */
export function handsOf(setup: Setup): Hands {
  const before = known.get(setup);
  if (before) return before;
  const poses = posesOf(compileChain(setup));
  const found = (['off', 'rate', 'hold'] as const).map((m) => poses.get(m)).find((p) => p);
  const stick = found && turningRear(setup, found);
  const corrections = CORRECTION_MODES.flatMap((m) => poses.get(m) ?? []);
  const hands = { stick, corrections };
  known.set(setup, hands);
  return hands;
}

/** The same with the switch of a rear axle where it turns the model. */
function turningRear(setup: Setup, pose: Pose): Pose {
  const { controls } = setup.transmitter;
  const turns = setup.airframe.surfaces
    .map((s) => rearTurnsAt(setup, s))
    .find((t) => t !== undefined);
  if (turns === undefined || turns === 'never') return pose;
  const at = controls.findIndex((c) => c.id === turns.control);
  const set = pose.controls.slice();
  set[at] = switchValue(controls[at]!.kind, turns.position);
  return { ...pose, controls: set };
}

/**
 * Finds control positions that put the unit in one of the wanted modes.
 * @returns the pose with the most gain for the first wanted mode that can be reached, or undefined
 */
export function poseFor(chain: Chain, wanted: readonly Mode[]): Pose | undefined {
  const poses = posesOf(chain);
  for (const mode of wanted) {
    const found = poses.get(mode);
    if (found) return found;
  }
  return undefined;
}

/**
 * For every mode that can be reached, the control positions with the most gain, trying only the
 * controls that reach the unit's mode, gain or recovery channels. Sticks centred, throttle low.
 */
function posesOf(chain: Chain): Map<Mode, Pose> {
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const values = steeringControls(chain);
  const best = new Map<Mode, { gain: number; controls: Float64Array }>();

  const tryAll = (depth: number): void => {
    if (depth === values.length) {
      const memory = chain.newMemory();
      memory.armed = true;
      chain.step(stimulus, memory, frame);
      if (frame.recovering) return;
      const gain = frame.gainPct[0]! + frame.gainPct[1]! + frame.gainPct[2]!;
      const known = best.get(frame.mode);
      if (!known || gain > known.gain)
        best.set(frame.mode, { gain, controls: stimulus.controls.slice() });
      return;
    }
    const { at, options } = values[depth]!;
    for (const value of options) {
      stimulus.controls[at] = value;
      tryAll(depth + 1);
    }
  };
  tryAll(0);
  return new Map([...best].map(([mode, { controls }]) => [mode, { controls, mode }]));
}

/** Controls that reach a channel the unit takes orders from, with their end values. */
function steeringControls(chain: Chain): { at: number; options: number[] }[] {
  const { setup } = chain;
  const orders = setup.unit.settings.inputs
    .filter((i) => isOrder(i.carries))
    .map((i) => i.channel - 1);
  const found: { at: number; options: number[] }[] = [];
  // Whatever stands behind the orders may matter, if only together with another.
  const reach = new Set(
    allReads(
      setup.program,
      orders.map((channel) => ({ kind: 'channel', channel: channel + 1, path: [] })),
    ).flatMap((r) => (r.kind === 'control' ? [r.id] : [])),
  );
  setup.transmitter.controls.forEach((control, at) => {
    if (!HAND_KINDS.has(control.kind) || !reach.has(control.id)) return;
    const options =
      control.kind === 'switch-3'
        ? [0, 1, 2].map((p) => switchValue(control.kind, p))
        : control.kind === 'knob' || control.kind === 'slider'
          ? [100, 0, -100]
          : [-100, 100];
    if (found.length < 8) found.push({ at, options });
  });
  return found;
}

/** Memory of a unit that has been used: armed, nothing else remembered. */
export function armedMemory(chain: Chain): Memory {
  const memory = chain.newMemory();
  memory.armed = true;
  return memory;
}
