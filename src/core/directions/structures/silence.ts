import { AXES, functionOf, pointer, type Setup } from '../../setup';
import { handsOf } from '../pose';
import { replaced, type Structure, type StructuralRemedy } from './structure';

/** Why a correction that should be there is not: nothing reversed, something switched off. */
export function silences(setup: Setup): Structure[] {
  return [...passing(setup), ...noGain(setup), ...otherSlots(setup), ...notStabilized(setup)];
}

/** States that pass: the remedy is something to do before looking again. */
function passing(setup: Setup): Structure[] {
  const { traits, settings } = setup.unit;
  const states: Structure[] = [];
  if (traits.arming === 'after-throttle')
    states.push({
      id: 'not-armed',
      place: 'unit',
      title: `The unit is not armed: the throttle has not been past ${traits.armThrottlePct} % since it was switched on`,
      why: 'Until then it is a plain receiver.',
      cost: 0.8,
      patch: [],
      circumstances: { armed: false, positionFix: true },
      act: `Propeller off. Run the throttle stick past ${traits.armThrottlePct} % once and back, then move the model again.`,
    });
  if (traits.arming === 'position-fix')
    states.push({
      id: 'no-position',
      place: 'unit',
      title: 'The unit does not know its position yet',
      why: 'Without it the unit does not level or fly home.',
      cost: 0.8,
      patch: [],
      circumstances: { armed: true, positionFix: false },
      act: 'Take the model outdoors, wait for its position light, then check again.',
    });
  if (traits.gainLaw !== 'fixed')
    states.push({
      id: 'gain-down',
      place: 'transmitter',
      title: 'The gain is turned down, or its channel does not reach the unit',
      why: 'With no gain nothing is corrected.',
      cost: 0.9,
      patch: AXES.flatMap((axis) => [
        ...replaced(pointer('unit', 'settings', 'axes', axis, 'gainPct'), 0),
        ...replaced(pointer('unit', 'settings', 'axes', axis, 'secondGainPct'), 0),
      ]),
      act: 'Turn the gain fully up, check its value on the channel monitor, then move the model again.',
    });
  if (traits.modes.includes('off') && settings.slots.some((m) => m !== 'off'))
    states.push({
      id: 'switched-off',
      place: 'transmitter',
      title: 'The unit is in off',
      why: 'The mode switch is in another position than you think, or its channel does not reach the unit.',
      cost: 0.9,
      patch: replaced(
        '/unit/settings/slots',
        settings.slots.map(() => 'off'),
      ),
      act: 'Check the light of the unit, move the mode switch, then move the model again.',
    });
  return states;
}

/** One axis given no gain. */
function noGain({ unit }: Setup): Structure[] {
  return unit.traits.axes
    .filter((axis) => unit.settings.axes[axis].gainPct > 0)
    .map((axis) => ({
      id: `no-gain-${axis}`,
      place: 'unit',
      title: `The unit gives ${axis} no gain`,
      why: 'Its share of the gain is zero.',
      cost: 1,
      patch: [
        ...replaced(pointer('unit', 'settings', 'axes', axis, 'gainPct'), 0),
        ...replaced(pointer('unit', 'settings', 'axes', axis, 'secondGainPct'), 0),
      ],
    }));
}

/** A position of the mode switch that holds another mode than written, as after a wizard run again. */
function otherSlots(setup: Setup): Structure[] {
  const { settings, traits } = setup.unit;
  const looked = new Set(handsOf(setup).corrections.map((p) => p.mode));
  return settings.slots.flatMap((mode, slot) =>
    looked.has(mode)
      ? traits.modes
          .filter((other) => other !== mode)
          .map((other): Structure => ({
            id: `slot-${slot}-${other}`,
            place: 'unit',
            title: `Position ${slot + 1} of the mode switch gives ${other}, not ${mode}`,
            why: 'A reset, or its questionnaire run again, restores the default modes.',
            cost: 1,
            patch: replaced(pointer('unit', 'settings', 'slots', slot), other),
          }))
      : [],
  );
}

/** An output the unit passes through untouched. */
function notStabilized({ unit }: Setup): Structure[] {
  return unit.settings.outputs.flatMap((output, i) =>
    output.stabilized
      ? [
          {
            id: `plain-${output.port}`,
            place: 'unit' as const,
            title: `The output for ${functionOf(output.carries).words} is not stabilized`,
            why: 'It follows its stick and nothing else.',
            cost: 1,
            patch: replaced(pointer('unit', 'settings', 'outputs', i, 'stabilized'), false),
          },
        ]
      : [],
  );
}

/** Gains, modes and outputs set as the Setup has them. */
export function silenceRemedy(written: Setup, known: Setup): StructuralRemedy[] {
  const was = written.unit.settings;
  const is = known.unit.settings;
  const remedies: StructuralRemedy[] = [];
  for (const axis of AXES)
    if (is.axes[axis].gainPct !== was.axes[axis].gainPct)
      remedies.push({
        id: `gain-${axis}`,
        place: 'unit',
        title: `Set the ${axis} gain in the unit to ${was.axes[axis].gainPct} %`,
        why: 'Without it nothing is corrected on that axis.',
        patch: replaced(pointer('unit', 'settings', 'axes', axis), was.axes[axis]),
      });
  is.slots.forEach((mode, slot) => {
    if (mode !== was.slots[slot])
      remedies.push({
        id: `slot-${slot}`,
        place: 'unit',
        title: `Set position ${slot + 1} of the mode switch to ${was.slots[slot]} in the unit`,
        why: 'Then every position is what the sheet says.',
        patch: replaced(pointer('unit', 'settings', 'slots', slot), was.slots[slot]),
      });
  });
  is.outputs.forEach((output, i) => {
    if (output.stabilized !== was.outputs[i]?.stabilized)
      remedies.push({
        id: `stabilize-${output.port}`,
        place: 'unit',
        title: `Switch on stabilization for the output of ${functionOf(output.carries).words}`,
        why: 'The plan relies on it.',
        patch: replaced(pointer('unit', 'settings', 'outputs', i), was.outputs[i]),
      });
  });
  return remedies;
}
