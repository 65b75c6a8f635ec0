import type { Stimulus } from '../src/core/chain';

const RAD = Math.PI / 180;

/**
 * The clean conventional model in rate damping, written out by hand as one function: what the
 * compiled chain is measured against. `answer` is four surfaces, then believed bank and pitch.
 * Numbers are those of the shipped parts.
 */
export function straightLine(s: Stimulus, answer: Float64Array): void {
  const c = s.controls;
  const aileron = shaped(c[0]!) + 0.25 * c[4]!;
  const elevator = shaped(c[1]!) + 0.25 * c[5]!;
  const rudder = shaped(c[3]!) + 0.25 * c[6]!;
  const throttle = c[13]! < 0 ? -100 : c[2]!;
  const gain = (sent(c[16]!) - 1000) / 1000;
  const a = sent(aileron);
  const e = sent(elevator);
  const r = sent(rudder);
  sent(throttle);
  // Bank and pitch from gravity are worked out in every mode, for they are shown in every mode.
  const cosPitch = Math.cos(s.pitchDeg * RAD);
  const y = cosPitch * Math.sin(s.rollDeg * RAD);
  const z = cosPitch * Math.cos(s.rollDeg * RAD);
  answer[4] = Math.atan2(y, z) / RAD;
  answer[5] = Math.atan2(Math.sin(s.pitchDeg * RAD), Math.sqrt(y * y + z * z)) / RAD;
  const roll = -0.5 * s.rollRateDegPerS * gain * Math.max(0, 1 - Math.abs(a - 1500) / 500);
  const pitch = -0.5 * s.pitchRateDegPerS * gain * Math.max(0, 1 - Math.abs(e - 1500) / 500);
  const yaw = -0.5 * s.yawRateDegPerS * gain * Math.max(0, 1 - Math.abs(r - 1500) / 500);
  const servoA = servo(a + 5 * roll);
  answer[0] = horn(servoA);
  answer[1] = -horn(servoA);
  answer[2] = horn(servo(e - 5 * pitch));
  answer[3] = -horn(servo(r + 5 * yaw));
}

function shaped(stick: number): number {
  const x = stick / 100;
  return 100 * (0.8 * x + 0.2 * x * x * x);
}

function sent(pct: number): number {
  return 1500 + 5.12 * Math.max(-100, Math.min(100, pct));
}

function servo(us: number): number {
  const deg = (Math.max(800, Math.min(2200, us)) - 1500) * 0.09;
  return Math.max(-60, Math.min(60, deg));
}

function horn(servoDeg: number): number {
  const arm = servoDeg * RAD;
  const dx = 120 - 10 * Math.sin(arm);
  const dy = 10 - 16 - 10 * Math.cos(arm);
  const c = (120 * 120 - 16 * 16 - dx * dx - dy * dy) / 32;
  return (Math.asin(c / Math.sqrt(dx * dx + dy * dy)) - Math.atan2(dy, dx)) / RAD;
}
