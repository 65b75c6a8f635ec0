import { stickOf } from '../../chain';
import { roleOf, type ProgramWishes } from '../../setup';
import { addLine, labelOf, type Draft } from './draft';

/** A switch that holds the motor off, after every other line of the throttle. */
export function writeCut(draft: Draft, wish: NonNullable<ProgramWishes['cut']>): void {
  const { setup } = draft;
  const stick = setup.transmitter.controls[stickOf(setup.transmitter, 'throttle')];
  for (const { carries, channel } of setup.program.outputs) {
    if (roleOf(carries) !== 'motor') continue;
    addLine(draft, {
      id: `cut-${carries}`,
      label: `Throttle cut, ${labelOf(setup, wish.control)}`,
      channel,
      follows: { kind: 'fixed' },
      sharePct: stick?.rest ?? -100,
      when: { kind: 'switch', control: wish.control, position: wish.position },
      effect: 'takes-over',
      purpose: 'throttle-cut',
    });
  }
}
