import type { Setup } from '../../setup';
import { eulerMatrix, mountingMatrix, multiply, transpose, type Matrix3 } from '../../space';
import type { Frame, Stimulus } from '../frame';
import type { UnitConstants } from './laws';

/**
 * Rotation from the model's true axes to the axes the unit believes in: how it sits (with skew),
 * undone by the orientation that is set. The identity when both agree.
 */
export function beliefMatrix(setup: Setup): Matrix3 {
  const { mounting, skewDeg } = setup.installation;
  const sits = multiply(
    eulerMatrix(skewDeg.roll, skewDeg.pitch, skewDeg.yaw),
    mountingMatrix(mounting),
  );
  return multiply(mountingMatrix(setup.unit.settings.orientation), transpose(sits));
}

const RAD = Math.PI / 180;

/** What the unit thinks the model is doing: rates, and bank and pitch from the pull of gravity. */
export function compileSensor(
  setup: Setup,
  { beyond }: Pick<UnitConstants, 'beyond'>,
): (stimulus: Stimulus, frame: Frame) => void {
  const [a, b, c, d, e, f, g, h, i] = beliefMatrix(setup);
  const { roll, pitch } = setup.unit.settings.levelOffsetDeg;
  const { levelCapture } = setup.installation;
  /** Bank and pitch the sensor sees for the model's own, before anything is taken off. */
  const seen = (rollDeg: number, pitchDeg: number, out: { roll: number; pitch: number }): void => {
    // "Down" seen from the model: (−sin θ, cos θ sin φ, cos θ cos φ).
    const cosPitch = Math.cos(pitchDeg * RAD);
    const x = -Math.sin(pitchDeg * RAD);
    const y = cosPitch * Math.sin(rollDeg * RAD);
    const z = cosPitch * Math.cos(rollDeg * RAD);
    const seenX = a * x + b * y + c * z;
    const seenY = d * x + e * y + f * z;
    const seenZ = g * x + h * y + i * z;
    // Straight up or down the bank is undefined; a residue of rounding must not become 180°.
    const flat = Math.sqrt(seenY * seenY + seenZ * seenZ);
    out.roll = flat < 1e-9 ? 0 : Math.atan2(seenY, seenZ) / RAD;
    out.pitch = Math.atan2(-seenX, flat) / RAD;
    if (beyond === 'angles') return;
    // The one turn that brings its idea of down straight below it, as a part about each axis.
    const side = Math.sqrt(seenX * seenX + seenY * seenY);
    const turn = Math.atan2(side, seenZ) / RAD;
    out.roll = side < 1e-9 ? turn : (turn * seenY) / side;
    out.pitch = side < 1e-9 ? 0 : (-turn * seenX) / side;
  };
  // Whatever it saw when level was captured it calls level: how the model lay, and how it sits out of square.
  const captured = { roll: 0, pitch: 0 };
  if (levelCapture)
    seen(0, levelCapture.pitchDeg - setup.airframe.measures.flyingPitchDeg, captured);
  const rollOffset = roll + captured.roll;
  const pitchOffset = pitch + captured.pitch;
  const now = { roll: 0, pitch: 0 };
  return (s, frame) => {
    const p = s.rollRateDegPerS;
    const q = s.pitchRateDegPerS;
    const r = s.yawRateDegPerS;
    const rates = frame.believedRatesDegPerS;
    rates[0] = a * p + b * q + c * r;
    rates[1] = d * p + e * q + f * r;
    rates[2] = g * p + h * q + i * r;
    seen(s.rollDeg, s.pitchDeg, now);
    frame.believedRollDeg = now.roll - rollOffset;
    frame.believedPitchDeg = now.pitch - pitchOffset;
  };
}
