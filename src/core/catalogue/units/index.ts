import type { Unit } from '../../setup';
import { fixedOrderReceiver } from './fixed-order-receiver';
import { menuReceiver } from './menu-receiver';
import { switchReceiver } from './switch-receiver';

/** Generic units that ship with the app. A new one is a file of data and a line here. */
export const UNITS: Readonly<Record<string, Unit>> = {
  'menu-receiver': menuReceiver,
  'switch-receiver': switchReceiver,
  'fixed-order-receiver': fixedOrderReceiver,
};
