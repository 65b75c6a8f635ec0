import { kindOf, type Setup } from '../../setup';
import { addLine, type Draft } from '../wishes/draft';
import type { MixKind } from './mix';
import { MOVED_DEG, movedBy } from './senses';

const rudders = ({ airframe }: Setup) =>
  airframe.surfaces.filter((s) => s.role === 'rudder' && s.side !== 'centre');

function write(draft: Draft): void {
  const { setup, reasons, own, owner } = draft;
  const { airframe, program } = setup;
  const sided = program.outputs.flatMap(({ carries, channel }) => {
    const servos = airframe.servos.filter((s) => s.carries === carries).map((s) => s.id);
    const sides = rudders(setup).filter((s) => servos.includes(s.servo));
    return sides.length === 0
      ? []
      : [{ carries, channel, sides: new Set(sides.map((s) => s.side)) }];
  });
  if (sided.some((c) => c.sides.size > 1)) {
    reasons.push(
      'Both rudders are on one channel, so one goes in when the other goes out: give the second rudder a channel of its own first (Model: its lead carries “second rudder”).',
    );
    return;
  }
  for (const { channel } of sided) {
    const moved = movedBy(setup, channel);
    const other = airframe.surfaces.find(
      (s, i) => s.role !== 'rudder' && Math.abs(moved[i]!) > MOVED_DEG,
    );
    if (!other) continue;
    reasons.push(
      `${other.label} moves with one of the rudders and would turn the model one way only: give it a servo and a channel of its own first.`,
    );
    return;
  }
  for (const { carries, channel, sides } of sided) {
    const right = sides.has('right');
    const shape = right ? 'outward-right' : 'outward-left';
    own.shapes.push({
      id: shape,
      label: right ? 'Right of the middle only' : 'Left of the middle only',
      points: [
        { inPct: -100, outPct: right ? 0 : -100 },
        { inPct: 0, outPct: 0 },
        { inPct: 100, outPct: right ? 100 : 0 },
      ],
      owner,
    });
    addLine(draft, {
      id: `outward-${carries}`,
      label: 'Outward only',
      channel,
      follows: { kind: 'input', id: 'rudder' },
      shape,
      sharePct: 100,
      effect: 'takes-over',
      purpose: 'mix',
    });
  }
}

export const outward: MixKind<'outward-rudders'> = {
  title: 'Rudders outward only',
  when: 'For rudders in the winglets of a flying wing: one that moves outward brakes its side; one that moved inward would only spoil the air on the other.',
  offered: (setup) => kindOf(setup.airframe).moves === 'air' && rudders(setup).length === 2,
  first: () => ({ mix: 'outward-rudders' }),
  write,
  says: () => ['Each rudder moves to its own side only: the right one right, the left one left.'],
};
