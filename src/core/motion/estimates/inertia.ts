import type { Measures } from '../../setup';
import type { Inertia } from '../body';
import type { Draw } from './spread';

/** Non-dimensional radii of gyration of single-engine propeller aeroplanes (Raymer, from memory). */
const RADII = { x: 0.25, y: 0.38, z: 0.39 } as const;

/** Moments of inertia from span, length and mass: I = m·(size·R/2)². */
export function inertiaOf(
  { massG, spanMm, lengthMm }: Pick<Measures, 'massG' | 'spanMm' | 'lengthMm'>,
  { inertia }: Pick<Draw, 'inertia'>,
): Inertia {
  const massKg = massG / 1000;
  const [span, length] = [spanMm / 1000, lengthMm / 1000];
  const about = (size: number, radius: number) => inertia * massKg * ((size * radius) / 2) ** 2;
  return {
    massKg,
    ixx: about(span, RADII.x),
    iyy: about(length, RADII.y),
    izz: about((span + length) / 2, RADII.z),
  };
}
