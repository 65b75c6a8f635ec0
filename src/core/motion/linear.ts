import { EigenvalueDecomposition, Matrix } from 'ml-matrix';
import type { Derivative } from './rk4';
import { D, E, N, Q0, STATES } from './state';

/** One way a model moves by itself: e^(re·t), turning im radians a second. */
export interface Pole {
  re: number;
  im: number;
}

/** A state may leave this much for differencing: well above rounding, well below anything bent. */
const STEP = 1e-5;

/** The states whose change makes poles: not where it is, nor the first number of the quaternion, which the others give. */
const FREE = Array.from({ length: STATES }, (_, i) => i).filter((i) => ![N, E, D, Q0].includes(i));

/**
 * The linear model about a state by central differences: rows of d(state)/dt by columns of state, in the order of the
 * free states.
 */
export function linearized(derivative: Derivative, y: Float64Array): number[][] {
  const [high, low] = [new Float64Array(y.length), new Float64Array(y.length)];
  const columns = FREE.map((j) => {
    const moved = Float64Array.from(y);
    moved[j] = y[j]! + STEP;
    derivative(moved, high);
    moved[j] = y[j]! - STEP;
    derivative(moved, low);
    return FREE.map((i) => (high[i]! - low[i]!) / (2 * STEP));
  });
  return FREE.map((_, i) => columns.map((column) => column[i]!));
}

/** Poles of a linear model, fastest first; of a pair the one that turns forwards. */
export function polesOf(matrix: readonly (readonly number[])[]): Pole[] {
  const { realEigenvalues, imaginaryEigenvalues } = new EigenvalueDecomposition(
    new Matrix(matrix.map((row) => [...row])),
  );
  return realEigenvalues
    .map((re, i) => ({ re, im: imaginaryEigenvalues[i]! }))
    .filter(({ im }) => im >= 0)
    .toSorted((a, b) => a.re - b.re);
}

/** How long until half of it is left, or twice as much is there: seconds, always over 0. */
export const halfTimeS = ({ re }: Pole): number => Math.LN2 / Math.max(1e-9, Math.abs(re));
