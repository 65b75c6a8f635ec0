import {
  axisFunction,
  compileChain,
  knowsLinkLost,
  lostOf,
  modeWords,
  outputOf,
  sendableUs,
  stickOf,
  STICK_ASKS,
} from '../../chain';
import { devicesOf } from '../../model';
import {
  functionOf,
  roleOf,
  kindOf,
  type Axis,
  type ChannelFunction,
  type Failsafe,
  type FailsafeSchool,
  type ProgramWishes,
  type Setup,
} from '../../setup';
import { channelOf, type Draft } from './draft';
import { bandOf, gainPulse } from './values';
import { CANNOT } from './words';

/** Which schools of failsafe this unit allows; a reason where it does not. */
export function failsafeSchools(setup: Setup): Record<FailsafeSchool, string | undefined> {
  const { traits } = setup.unit;
  if (kindOf(setup.airframe).onSurface) {
    const flies = 'only for a model that flies';
    return {
      'motor-off': undefined,
      brake: brakes(setup),
      glide: flies,
      circle: flies,
      home: flies,
    };
  }
  const level = traits.modes.includes('level') ? toldBy(setup, 'level') : CANNOT.level;
  return {
    'motor-off': undefined,
    brake: 'only for a model on wheels',
    glide: level,
    circle: level,
    home: traits.failsafe.includes('autopilot')
      ? toldBy(setup, 'home')
      : 'the unit is not an autopilot: it does not take over when the signal is lost',
  };
}

/** Why a brake cannot be put on by a preset; nothing where it can. */
function brakes({ airframe }: Setup): string | undefined {
  if (kindOf(airframe).moves !== 'wheels') return 'nothing brakes it but the water';
  const [motor] = airframe.motors;
  if (!motor) return 'it has no motor';
  if (motor.reverse === undefined) return 'its controller does nothing below stop';
  return motor.reverse === 'reverses'
    ? 'its controller would reverse instead of braking'
    : undefined;
}

/** How much of the brake a failsafe puts on: enough to stop, less than locks the wheels on a hard road. */
const BRAKE_SHARE = 0.5;

/**
 * Why a unit could not be told to level, or to fly home, once the signal is lost; nothing where it can, by itself or by
 * a preset of its mode channel.
 */
function toldBy(setup: Setup, mode: 'level' | 'home'): string | undefined {
  const { traits, settings } = setup.unit;
  const own = traits.failsafe.includes(mode === 'home' ? 'autopilot' : 'unit-mode');
  if (own && knowsLinkLost(setup)) return undefined;
  const { receiver } = setup.installation;
  // With every channel silent it takes over by itself.
  if (own && receiver?.lost === 'no-pulses') return undefined;
  if (receiver && receiver.lost !== 'presets')
    return receiver.lost === 'holds'
      ? 'the receiver in front can only hold the last values, so the unit never notices'
      : 'the receiver in front sends no pulses, and the unit then does nothing by itself';
  if ('bands' in traits.modeSelect && !settings.slots.includes(mode))
    return `${modeWords(setup.unit, mode)} is switched off in the unit: put it on a position of the mode switch first`;
  const channel = channelOf(setup, 'mode');
  if (channel === undefined && 'bands' in traits.modeSelect)
    return 'no channel carries the mode, so nothing can tell the unit';
  if (channel !== undefined && lostOf(setup, channel) === 'holds')
    return `channel ${channel}, which carries the mode, can only hold its last value`;
  return undefined;
}

/** What every channel does when the signal is lost, and what the unit does by itself. */
export function writeFailsafe(draft: Draft, wish: NonNullable<ProgramWishes['failsafe']>): void {
  const { setup, reasons, owner } = draft;
  const refusal = failsafeSchools(setup)[wish.school];
  if (refusal) {
    reasons.push(`This failsafe is not possible: ${refusal}.`);
    return;
  }
  const { traits, settings } = setup.unit;
  const { pulse } = setup.transmitter;
  const toPct = (us: number) => Math.round(((us - pulse.centreUs) / pulse.usAt100) * 1000) / 10;
  // Behind a receiver that goes on sending, the unit never hears of it: the presets must tell it.
  const own =
    knowsLinkLost(setup) && (wish.school === 'home' || traits.failsafe.includes('unit-mode'));
  const told = !own && wish.school === 'home';
  const flies = wish.school === 'glide' || wish.school === 'circle';
  if ((own || told) && wish.school !== 'motor-off')
    settings.failsafe = {
      mode: wish.school === 'home' ? 'home' : 'level',
      pitchDeg: wish.pitchDeg,
      rollDeg: wish.school === 'circle' ? wish.rollDeg : 0,
      cutThrottle: wish.school !== 'home',
    };
  else delete settings.failsafe;

  const sticks = stickPulses(setup);
  const share = (deg: number, limitDeg: number) => Math.max(-1, Math.min(1, deg / limitDeg));
  const { roll, pitchUp, pitchDown } = settings.angleLimitsDeg;
  // Where only the transmitter can say it, a stick held off centre asks for the angle.
  const lean =
    flies && !own
      ? {
          roll: wish.school === 'circle' ? share(wish.rollDeg, roll) : 0,
          pitch: share(wish.pitchDeg, wish.pitchDeg < 0 ? pitchDown : pitchUp),
        }
      : { roll: 0, pitch: 0 };
  const [motor] = setup.airframe.motors;
  const ground = kindOf(setup.airframe).onSurface;

  draft.own.failsafe = setup.program.outputs.flatMap(({ channel, carries }): Failsafe[] => {
    // Some channels can only hold their last value. A channel that carries a switch can only preset a switch position.
    const preset = (us: number): Failsafe[] =>
      lostOf(setup, channel) === 'holds' && setup.installation.receiver?.lost !== 'holds'
        ? [{ channel, kind: 'hold', owner }]
        : [
            {
              channel,
              kind: 'preset',
              valuePct: toPct(sendableUs(pulse, outputOf(setup, channel), us)),
              owner,
            },
          ];
    if (carries === 'throttle' || carries === 'throttle2')
      // An autopilot that flies home owns the throttle: nothing is said about it.
      return wish.school === 'home'
        ? []
        : preset(
            motor && wish.school === 'brake'
              ? motor.stopUs - BRAKE_SHARE * (motor.fullUs - motor.stopUs)
              : (motor?.stopUs ?? sticks.rest[channel - 1]!),
          );
    if (
      wish.steerPct !== undefined &&
      (carries === 'steering' || (ground && carries === 'rudder'))
    ) {
      const rest = sticks.rest[channel - 1]!;
      const full = sticks.full.yaw[wish.steerPct < 0 ? 0 : 1]![channel - 1]!;
      return preset(rest + (Math.abs(wish.steerPct) / 100) * (full - rest));
    }
    if ((carries === 'mode' || carries === 'mode2') && (flies || told)) {
      const wanted = told ? 'home' : 'level';
      const band = bandOf(traits.modeSelect, settings.slots.indexOf(wanted));
      if (!band) {
        if (told)
          reasons.push(
            'No position of the mode switch selects return home, and the receiver reaches the autopilot only by that channel: give it a position first.',
          );
        return [{ channel, kind: 'hold', owner }];
      }
      const [from, to] =
        carries === 'mode'
          ? [band.fromUs, band.toUs]
          : [band.secondFromUs ?? band.fromUs, band.secondToUs ?? band.toUs];
      const reach = pulse.usAt100;
      const low = Math.max(from, pulse.centreUs - reach);
      const high = Math.min(to, pulse.centreUs + reach);
      return preset((low + high) / 2);
    }
    // A winch must not run on, wherever its control rests; anything else goes where it rests.
    if (roleOf(carries) === 'free')
      return preset(runsOn(setup, carries) ? pulse.centreUs : sticks.rest[channel - 1]!);
    // An autopilot is commanded by its mode channel alone; everything else stays unset.
    if (told) return [];
    if (!flies) return [{ channel, kind: 'hold', owner }];
    // Levelling with no gain would be levelling in name only.
    if ((carries === 'gain' || functionOf(carries).tunes) && traits.gainLaw !== 'fixed') {
      const us = gainPulse(traits.gainLaw, 50);
      return preset(us);
    }
    if (channel === channelOf(setup, 'recovery')) return preset(pulse.centreUs - pulse.usAt100);
    const rest = sticks.rest[channel - 1]!;
    const by = (axis: 'roll' | 'pitch', part: number) =>
      (part < 0 ? -1 : 1) * part * (sticks.full[axis][part < 0 ? 0 : 1]![channel - 1]! - rest);
    return preset(rest + by('roll', lean.roll) + by('pitch', lean.pitch));
  });
}

/** Whether what a channel moves runs by itself until it is stopped. */
const runsOn = ({ airframe }: Setup, carries: ChannelFunction): boolean =>
  devicesOf(airframe).some(({ device, servo }) => device.runs && servo.carries === carries);

/** Pulses of every channel with sticks at rest, and with each stick asking all it can either way. */
function stickPulses(setup: Setup) {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const read = (axis?: Axis, ask = 0) => {
    const stimulus = chain.restStimulus();
    const at = axis ? stickOf(setup.transmitter, axisFunction(setup, axis)) : -1;
    if (axis && at >= 0) stimulus.controls[at] = 100 * ask * STICK_ASKS[axis];
    chain.step(stimulus, chain.newMemory(), frame);
    return frame.sentUs.slice();
  };
  return {
    rest: read(),
    full: {
      roll: [read('roll', -1), read('roll', 1)],
      pitch: [read('pitch', -1), read('pitch', 1)],
      yaw: [read('yaw', -1), read('yaw', 1)],
    },
  };
}
