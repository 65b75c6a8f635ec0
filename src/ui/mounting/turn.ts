import { eulerMatrix, multiply, type Matrix3 } from '@/core/space';

/** A drag on the drawing, as a turn of the unit about the model's upright and cross axes. */
export const turnedBy = (from: Matrix3, acrossDeg: number, downDeg: number): Matrix3 =>
  multiply(eulerMatrix(0, -downDeg, acrossDeg), from);
