import type { Linkage, Servo } from '../setup';

/** The servo a part begins with, until somebody says which one it is: invented, plausible. */
export const USUAL_SERVO: Omit<Servo, 'id' | 'label' | 'carries'> = {
  rotation: 'normal',
  reversible: false,
  degAt500Us: 45,
  limitDeg: 60,
  secondsPer60Deg: 0.12,
  pulse: 'digital',
};

/** The rod a part begins with, until somebody measures it: invented, plausible. */
export const USUAL_LINKAGE: Omit<Linkage, 'sense'> = {
  armMm: 10,
  hornMm: 16,
  rodMm: 120,
  armOffsetDeg: 0,
  hornOffsetDeg: 0,
};
