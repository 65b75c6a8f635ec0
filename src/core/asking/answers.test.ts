import { describe, expect, it } from 'vitest';
import { observedDirections, type Observed } from '../logbook';
import type { AirframeKind } from '../setup';
import { stoat } from '../../demo/models/stoat';
import { makeSetup } from '../../../tests/kit/setups';
import { togetherFor } from './answers';

/** What is asked of one movement of a clean model of this kind. */
function lookOf(kind: AirframeKind, check: string): Observed[] {
  const look = observedDirections(makeSetup(kind), []).filter(
    (o) => o.expectation.check.id === check,
  );
  if (look.length === 0) throw new Error(`${kind} has no ${check}`);
  return look;
}
const said = (look: Observed[]) =>
  togetherFor(look, look[0]!.expectation.check).map(({ key, words, answers }) => [
    key,
    words,
    Object.fromEntries(answers.map(([o, seen]) => [o.expectation.surface.side, seen])),
  ]);

describe('both sides answered in one go', () => {
  it.each([
    ['conventional', 'stick-roll'],
    ['v-tail', 'stick-yaw'],
    ['flying-wing', 'stick-pitch'],
  ] as const)('%s, %s: the same way, or one against the other', (kind, check) => {
    expect(said(lookOf(kind, check))).toEqual([
      ['ArrowUp', 'both up', { left: 'up', right: 'up' }],
      ['ArrowDown', 'both down', { left: 'down', right: 'down' }],
      ['ArrowLeft', 'left up, right down', { left: 'up', right: 'down' }],
      ['ArrowRight', 'right up, left down', { left: 'down', right: 'up' }],
      ['x', 'neither moved', { left: 'centre', right: 'centre' }],
    ]);
  });
  it('two rudders go left or right together, or apart', () => {
    const look = lookOf('v-tail', 'stick-yaw').map((o) => ({
      ...o,
      expectation: {
        ...o.expectation,
        surface: { ...o.expectation.surface, role: 'rudder' as const },
      },
    }));
    expect(said(look).map(([key, words]) => [key, words])).toEqual([
      ['ArrowLeft', 'both left'],
      ['ArrowRight', 'both right'],
      ['ArrowUp', 'left one left, right one right'],
      ['ArrowDown', 'right one left, left one right'],
      ['x', 'neither moved'],
    ]);
  });
  it('four wheels that steer: all alike, or the front ones against the rear ones', () => {
    const { setup } = stoat().versions[0]!;
    const look = observedDirections(setup, []).filter(
      (o) => o.expectation.check.id === 'stick-yaw',
    );
    expect(
      togetherFor(look, look[0]!.expectation.check).map(({ key, words, answers }) => [
        key,
        words,
        Object.fromEntries(answers.map(([o, seen]) => [o.expectation.surface.id, seen])),
      ]),
    ).toEqual(
      (
        [
          ['ArrowLeft', 'all left', 'left', 'left'],
          ['ArrowRight', 'all right', 'right', 'right'],
          ['ArrowUp', 'front ones left, rear ones right', 'left', 'right'],
          ['ArrowDown', 'rear ones left, front ones right', 'right', 'left'],
          ['x', 'none moved', 'centre', 'centre'],
        ] as const
      ).map(([key, words, front, rear]) => [
        key,
        words,
        { 'wheel-left': front, 'wheel-right': front, 'rear-left': rear, 'rear-right': rear },
      ]),
    );
  });
  it('one surface, and one that goes other ways than the rest, are asked by themselves', () => {
    expect(said(lookOf('conventional', 'stick-pitch'))).toEqual([]);
    const [left] = lookOf('conventional', 'stick-roll');
    const [rudder] = lookOf('conventional', 'stick-yaw');
    expect(said([left!, rudder!])).toEqual([]);
  });
});
