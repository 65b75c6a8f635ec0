/** The derivative of a state: fills `out` from `y`; keeps nothing. */
export type Derivative = (y: Float64Array, out: Float64Array) => void;

/**
 * Classical Runge–Kutta of the fourth order at a fixed step (Kutta 1901). Works in place and makes nothing.
 * @param size numbers in a state
 */
export function rungeKutta(size: number): (f: Derivative, y: Float64Array, stepS: number) => void {
  const [k1, k2, k3, k4, at] = Array.from({ length: 5 }, () => new Float64Array(size)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  return (f, y, stepS) => {
    f(y, k1);
    for (let i = 0; i < size; i++) at[i] = y[i]! + 0.5 * stepS * k1[i]!;
    f(at, k2);
    for (let i = 0; i < size; i++) at[i] = y[i]! + 0.5 * stepS * k2[i]!;
    f(at, k3);
    for (let i = 0; i < size; i++) at[i] = y[i]! + stepS * k3[i]!;
    f(at, k4);
    for (let i = 0; i < size; i++) y[i]! += (stepS / 6) * (k1[i]! + 2 * (k2[i]! + k3[i]!) + k4[i]!);
  };
}
