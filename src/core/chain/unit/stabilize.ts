import { AXES, type Mode, type Setup } from '../../setup';
import { RESTS_ON, type Frame, type Memory, type Stimulus } from '../frame';
import { HOLD_DEADBAND_PCT, ROLL_THROUGH_PCT, fadeOf, type UnitConstants } from './laws';

/** Attitude the unit aims for with sticks centred, and how far a stick may ask. */
export interface Target {
  rollDeg: number;
  pitchDeg: number;
  rollLimitDeg: number;
  pitchUpLimitDeg: number;
  pitchDownLimitDeg: number;
}

/**
 * What the unit adds to the sticks, per axis, in percent of full travel. Positive asks for roll
 * right, nose up, nose right, so a correction has the sign against the movement.
 */
export function compileStabilize(
  setup: Setup,
  constants: UnitConstants,
): (stimulus: Stimulus, memory: Memory, frame: Frame, target: Target) => void {
  const { axes } = setup.unit.settings;
  const { ratePctPerDegS, holdPctPerDeg, holdMostDeg, levelStrength } = constants;
  const fades = Float64Array.from(AXES, (axis) => axes[axis].fadePct);
  const rollsThrough = setup.unit.settings.levelKind === 'rolls-through';
  const holdAllowed = AXES.map((axis) => axes[axis].holdAllowed);
  /** Unless the stick is far enough out to roll on through. */
  const levels = (mode: Mode, stickPct: number) =>
    mode === 'home' ||
    (mode === 'level' && !(rollsThrough && Math.abs(stickPct) >= ROLL_THROUGH_PCT));

  return (stimulus, memory, frame, target) => {
    const {
      mode,
      stickPct,
      gainPct,
      fade,
      believedRatesDegPerS: rates,
      correctionPct,
      heldPct,
    } = frame;
    const off = mode === 'off';
    const holds = mode === 'hold' || mode === 'hover';
    const { holdErrorDeg } = memory;
    for (let i = 0; i < 3; i++) {
      const left = fadeOf(fades[i]!, stickPct[i]!);
      fade[i] = left;
      let held = 0;
      if (holds && holdAllowed[i] && Math.abs(stickPct[i]!) <= HOLD_DEADBAND_PCT)
        held = Math.max(
          -holdMostDeg,
          Math.min(holdMostDeg, holdErrorDeg[i]! + rates[i]! * stimulus.dtS),
        );
      holdErrorDeg[i] = held;
      const strength = off ? 0 : (-gainPct[i]! / 100) * left;
      heldPct[i] = strength * holdPctPerDeg * held;
      correctionPct[i] = strength * ratePctPerDegS * rates[i]! + heldPct[i]!;
      if (off || stickPct[i] === 0) continue;
      const tilts = i < 2;
      if (tilts && mode === 'level' && Math.abs(stickPct[i]!) >= ROLL_THROUGH_PCT)
        frame.restsOn |= RESTS_ON.fullStick;
      // Levelling puts another correction in the place of this one.
      if (
        gainPct[i] !== 0 &&
        (rates[i] !== 0 || held !== 0) &&
        !(tilts && levels(mode, stickPct[i]!))
      )
        frame.restsOn |= RESTS_ON.fade;
    }
    if (off) return;

    if (levels(mode, stickPct[0]!))
      correctionPct[0] = levelling(
        constants,
        gainPct[0]!,
        stickPct[0]!,
        target.rollDeg,
        target.rollLimitDeg,
        target.rollLimitDeg,
        frame.believedRollDeg,
        rates[0]!,
      );
    if (levels(mode, stickPct[1]!))
      correctionPct[1] = levelling(
        constants,
        gainPct[1]!,
        stickPct[1]!,
        target.pitchDeg,
        target.pitchUpLimitDeg,
        target.pitchDownLimitDeg,
        frame.believedPitchDeg,
        rates[1]!,
      );
    if (mode === 'trainer') {
      // Damping inside the limits, pushed back once past them.
      correctionPct[0]! += pushBack(
        levelStrength,
        gainPct[0]!,
        frame.believedRollDeg,
        target.rollLimitDeg,
        target.rollLimitDeg,
      );
      correctionPct[1]! += pushBack(
        levelStrength,
        gainPct[1]!,
        frame.believedPitchDeg,
        target.pitchUpLimitDeg,
        target.pitchDownLimitDeg,
      );
    }
  };
}

/**
 * Self-levelling: the stick asks for an angle, and the share of the surface the unit takes over
 * grows with gain, so that with no gain the sticks stay direct.
 */
function levelling(
  { levelStrength, levelRatePctPerDegS }: UnitConstants,
  gainPct: number,
  stickPct: number,
  neutralDeg: number,
  upLimitDeg: number,
  downLimitDeg: number,
  believedDeg: number,
  rateDegPerS: number,
): number {
  const gain = gainPct / 100;
  const limit = stickPct < 0 ? downLimitDeg : upLimitDeg;
  const stick = Math.max(-1, Math.min(1, stickPct / 100));
  const wantedDeg = neutralDeg + stick * limit;
  const full = Math.max(5, Math.max(upLimitDeg, downLimitDeg));
  const taken = Math.min(1, gain);
  return (
    gain *
      ((100 * levelStrength * (wantedDeg - believedDeg)) / full -
        levelRatePctPerDegS * rateDegPerS) -
    taken * stickPct
  );
}

function pushBack(
  levelStrength: number,
  gainPct: number,
  deg: number,
  upLimitDeg: number,
  downLimitDeg: number,
): number {
  const over = deg > upLimitDeg ? deg - upLimitDeg : deg < -downLimitDeg ? deg + downLimitDeg : 0;
  return (-gainPct / 100) * levelStrength * 4 * over;
}
