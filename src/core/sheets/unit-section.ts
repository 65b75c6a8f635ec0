import { AXES, type Setup } from '../setup';
import type { SheetSection, SheetStep } from './section';

/** What is set inside the unit, in the order its traits bring along. */
export function unitSections(setup: Setup): SheetSection[] {
  const { traits, settings, name } = setup.unit;
  const steps: SheetStep[] = [];
  const add = (id: string, entry: string, value: string) =>
    steps.push({ id: `unit ${id}`, entry, value });
  if (traits.mixer !== 'transmitter') add('wing', 'Wing type', settings.wingType);
  const [arrow, face] = settings.orientation.split('-');
  add('orientation', 'Orientation', `arrow to the ${arrow}, label ${face}`);
  if (traits.inputOrder.kind === 'free')
    add('inputs', 'Channels', settings.inputs.map((i) => `${i.carries} ${i.channel}`).join(', '));
  if (traits.slotsSettable)
    settings.slots.forEach((mode, i) => add(`slot-${i}`, `Mode of position ${i + 1}`, mode));
  for (const axis of AXES) {
    if (!traits.axes.includes(axis)) continue;
    const own = settings.axes[axis];
    const parts = [
      `correction ${own.reversed ? 'reversed' : 'normal'}`,
      ...(traits.axisGains ? [`gain ${own.gainPct} %`] : []),
      ...(traits.stickFade === 'adjustable' ? [`stick fade ${own.fadePct} %`] : []),
      ...(traits.modes.includes('hold') ? [`hold ${own.holdAllowed ? 'on' : 'off'}`] : []),
    ];
    add(`axis-${axis}`, `${axis[0]!.toUpperCase()}${axis.slice(1)}`, parts.join(', '));
  }
  const limits = settings.angleLimitsDeg;
  if (traits.modes.includes('level') || traits.modes.includes('trainer'))
    add(
      'limits',
      'Angle limits',
      `roll ${limits.roll}°, up ${limits.pitchUp}°, down ${limits.pitchDown}°`,
    );
  if (traits.extras.includes('frame-rate'))
    add('frame', 'Servo frame', `${settings.servoFrameMs} ms`);
  if (settings.recovery && settings.inputs.some((i) => i.carries === 'recovery'))
    add(
      'recovery',
      'Recovery',
      `${settings.recovery.mode}, roll ${settings.recovery.rollLimitDeg}°, pitch ${settings.recovery.pitchLimitDeg}°, after ${settings.recovery.delayMs} ms`,
    );
  if (settings.failsafe)
    add(
      'failsafe',
      'Failsafe of the unit',
      `${settings.failsafe.mode}, pitch ${settings.failsafe.pitchDeg}°, roll ${settings.failsafe.rollDeg}°, throttle ${settings.failsafe.cutThrottle ? 'off' : 'left alone'}`,
    );
  return [{ title: `In the unit: ${name}`, steps }];
}
