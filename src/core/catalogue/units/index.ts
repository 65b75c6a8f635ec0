import type { Unit } from '../../setup';
import { autopilot } from './autopilot';
import { buttonStabilizer } from './button-stabilizer';
import { dialGyro } from './dial-gyro';
import { fixedOrderReceiver } from './fixed-order-receiver';
import { gestureStabilizer } from './gesture-stabilizer';
import { menuReceiver } from './menu-receiver';
import { satelliteGyro } from './satellite-gyro';
import { singleAxisGyro } from './single-axis-gyro';
import { steeringLead } from './steering-lead';
import { steeringMenu } from './steering-menu';
import { steeringReceiver } from './steering-receiver';
import { switchReceiver } from './switch-receiver';
import { wizardReceiver } from './wizard-receiver';

/** Generic units that ship with the app. A new one is a file of data and a line here. */
export const UNITS: Readonly<Record<string, Unit>> = {
  'menu-receiver': menuReceiver,
  'wizard-receiver': wizardReceiver,
  'switch-receiver': switchReceiver,
  'fixed-order-receiver': fixedOrderReceiver,
  'satellite-gyro': satelliteGyro,
  'dial-gyro': dialGyro,
  'button-stabilizer': buttonStabilizer,
  'gesture-stabilizer': gestureStabilizer,
  'single-axis-gyro': singleAxisGyro,
  autopilot,
  'steering-receiver': steeringReceiver,
  'steering-menu': steeringMenu,
  'steering-lead': steeringLead,
};
