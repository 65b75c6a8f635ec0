import { allReads, readsOfLine } from '../../setup';
import type { Facts } from '../engine';

/** Mixes the person chose: lines meant as mixes let a control move what it otherwise must not. */
export function mixedOnPurpose(
  { setup }: Facts,
  channels: readonly number[],
  control: string,
): boolean {
  const { program } = setup;
  return program.lines.some(
    (l) =>
      l.purpose === 'mix' &&
      channels.includes(l.channel) &&
      allReads(program, readsOfLine(l)).some((r) => r.kind === 'control' && r.id === control),
  );
}
