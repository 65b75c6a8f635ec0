import { kindOf, type Setup } from '../../setup';
import { addLine, type Draft } from '../wishes/draft';
import type { MixKind } from './mix';
import { oneSided } from './one-sided';
import { MOVED_DEG, movedBy } from '../wishes/senses';

const rudders = ({ airframe }: Setup) =>
  airframe.surfaces.filter((s) => s.role === 'rudder' && s.side !== 'centre');

function write(draft: Draft): void {
  const { setup, reasons } = draft;
  const { surfaces } = setup.airframe;
  for (const { carries, channel } of setup.program.outputs) {
    const by = movedBy(setup, channel);
    const moved = surfaces.filter((_, i) => Math.abs(by[i]!) > MOVED_DEG);
    const sides = new Set(moved.flatMap((s) => (rudders(setup).includes(s) ? [s.side] : [])));
    if (sides.size === 0) continue;
    if (sides.size > 1) {
      reasons.push(
        'Both rudders are on one channel, so one goes in when the other goes out: give the second rudder a channel of its own first (Model: its lead carries “second rudder”).',
      );
      return;
    }
    const other = moved.find((s) => !rudders(setup).includes(s));
    if (other) {
      reasons.push(
        `${other.label} moves with one of the rudders and would turn the model one way only: give it a servo and a channel of its own first.`,
      );
      return;
    }
    addLine(draft, {
      id: `outward-${carries}`,
      label: 'Outward only',
      channel,
      follows: { kind: 'input', id: 'rudder' },
      shape: oneSided(draft, sides.has('right') ? 'right' : 'left'),
      sharePct: 100,
      effect: 'takes-over',
      purpose: 'mix',
    });
  }
}

export const outward: MixKind<'outward-rudders'> = {
  when: 'For rudders in the winglets of a flying wing: one that moves outward brakes its side; one that moved inward would only spoil the air on the other.',
  offered: (setup) => kindOf(setup.airframe).moves === 'air' && rudders(setup).length === 2,
  first: () => ({ mix: 'outward-rudders' }),
  write,
  says: () => ['Each rudder moves to its own side only: the right one right, the left one left.'],
};
