import { AXES, type Mode, type Setup } from '../../setup';
import { RESTS_ON, type Frame, type Memory, type Stimulus } from '../frame';
import { compileReading, compileSticks, readFunction, senses } from './decode';
import { compileGain } from './gain';
import { pitchWithThrottleDeg, type UnitConstants } from './laws';
import { compileModeSelect } from './modes';
import { compilePorts } from './ports';
import { compileSensor } from './sensor';
import { compileStabilize, type Target } from './stabilize';

export { beliefMatrix } from './sensor';
export * from './laws';
export { edgesWithinUs, orderEdgesUs } from './edges';
export * from './gestures';
export { NO_SLOT } from './modes';
export { isSteadied, PORT_MAX_US } from './ports';
export { axisWeights, MIXED_AXES, mixedFunction, mixesItself } from './functions';

/**
 * Whether a unit knows by itself that the signal is lost. One that sits behind a receiver hears only its
 * pulses: while the receiver holds or presets them, all is well for it.
 */
export const knowsLinkLost = ({
  unit,
  installation,
}: Pick<Setup, 'unit' | 'installation'>): boolean =>
  unit.traits.place === 'receiver' ||
  (installation.receiver?.tellsUnit ?? unit.traits.place === 'satellite');

/**
 * Fifth link: the unit, interpreted from its traits and settings.
 * @param slots the modes of its slots; read again in each moment
 */
export function compileUnit(
  setup: Setup,
  constants: UnitConstants,
  slots: readonly Mode[] = setup.unit.settings.slots,
): (stimulus: Stimulus, memory: Memory, frame: Frame) => void {
  const { traits, settings } = setup.unit;
  const selectMode = compileModeSelect(setup, slots);
  const readGain = compileGain(setup);
  const readSticks = compileSticks(setup);
  const sense = compileSensor(setup, constants);
  const stabilize = compileStabilize(setup, constants);
  const ports = compilePorts(setup);
  const axisSense = senses(setup);
  const throttle = compileReading(setup, 'throttle');
  const recoveryChannel =
    traits.panic === 'none' || traits.panic === 'mode-band'
      ? undefined
      : settings.inputs.find((i) => i.carries === 'recovery');
  const recoveryAt =
    recoveryChannel && recoveryChannel.channel <= setup.transmitter.channels
      ? recoveryChannel.channel - 1
      : -1;
  const { recovery, failsafe, angleLimitsDeg, pitchWithThrottle } = settings;
  const armsByThrottle = traits.arming === 'after-throttle';
  const waitsForFix = traits.arming === 'position-fix';
  const refuses = traits.refusesThrottle ?? false;
  const ownFailsafe =
    failsafe && traits.failsafe.some((k) => k === 'unit-mode' || k === 'autopilot')
      ? failsafe
      : undefined;
  const knows = knowsLinkLost(setup);
  const heard = settings.inputs.map((i) => i.channel - 1);
  const sticks = new Float64Array(3);
  const target: Target = {
    rollDeg: 0,
    pitchDeg: 0,
    rollLimitDeg: 0,
    pitchUpLimitDeg: 0,
    pitchDownLimitDeg: 0,
  };

  return (stimulus, memory, frame) => {
    frame.restsOn = stimulus.linkUp ? 0 : RESTS_ON.signalLost;
    readSticks(frame.receivedUs, sticks);
    selectMode(frame, memory);
    sense(stimulus, frame);

    const throttleValue = throttle ? readFunction(throttle, frame.receivedUs) : NaN;
    const throttlePct = Number.isNaN(throttleValue) ? 0 : (throttleValue + 1) * 50;
    if (!memory.armed || !stimulus.positionFix) frame.restsOn |= RESTS_ON.arming;
    if (!armsByThrottle || throttlePct > traits.armThrottlePct) memory.armed = true;
    frame.armed = memory.armed;
    const blocked = waitsForFix && (frame.mode === 'level' || frame.mode === 'home');
    if (blocked && !stimulus.positionFix) frame.mode = 'rate';

    target.rollDeg = 0;
    target.pitchDeg = pitchWithThrottle ? pitchWithThrottleDeg(pitchWithThrottle, throttlePct) : 0;
    target.rollLimitDeg = angleLimitsDeg.roll;
    target.pitchUpLimitDeg = angleLimitsDeg.pitchUp;
    target.pitchDownLimitDeg = angleLimitsDeg.pitchDown;

    const pressed =
      recovery !== undefined &&
      recoveryAt >= 0 &&
      frame.receivedUs[recoveryAt]! > recovery.thresholdUs;
    memory.recoveryHeldS = pressed ? memory.recoveryHeldS + stimulus.dtS : 0;
    frame.recovering = pressed && memory.recoveryHeldS * 1000 >= recovery.delayMs;
    if (frame.recovering) {
      frame.mode = recovery!.mode;
      target.rollLimitDeg = recovery!.rollLimitDeg;
      target.pitchUpLimitDeg = recovery!.pitchLimitDeg;
      target.pitchDownLimitDeg = recovery!.pitchLimitDeg;
    }

    frame.failsafeActive =
      !stimulus.linkUp &&
      ownFailsafe !== undefined &&
      (knows || heard.every((at) => !(frame.receivedUs[at]! > 0)));
    if (frame.failsafeActive) {
      frame.mode = ownFailsafe!.mode;
      target.rollDeg = ownFailsafe!.rollDeg;
      target.pitchDeg = ownFailsafe!.pitchDeg;
    }

    // On its way home it steers and has the motor, with the signal there or lost.
    frame.unitSteers = frame.mode === 'home';
    frame.unitDrives = frame.unitSteers;

    readGain(memory, frame);
    for (let i = 0; i < AXES.length; i++) frame.stickPct[i] = 100 * axisSense[i]! * sticks[i]!;
    if (memory.armed) stabilize(stimulus, memory, frame, target);
    else {
      frame.correctionPct.fill(0);
      frame.heldPct.fill(0);
    }
    frame.throttleRefused = refuses && !stimulus.positionFix && blocked;
    ports(sticks, axisSense, memory, frame);
  };
}
