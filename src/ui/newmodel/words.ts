import type { AirframeAnswers } from '@/core/catalogue';

export const AILERON_WORDS: Record<AirframeAnswers['ailerons'], string> = {
  'y-lead': 'Two servos on a Y-lead',
  'one-servo': 'One servo in the middle',
  'two-outputs': 'Two servos, each on its own output',
  flaperons: 'Two servos, also used as flaps',
  none: 'It has none',
};

export const MOTOR_WORDS: Record<AirframeAnswers['motors'], string> = {
  0: 'None, it glides',
  1: 'One',
  2: 'Two, one throttle',
};

export const WHEEL_WORDS: Record<AirframeAnswers['wheel'], string> = {
  none: 'No',
  shared: 'Yes, by the rudder’s servo',
  separate: 'Yes, by a servo of its own',
};
