import { stickOf } from '../../chain';
import { roleOf, type Condition, type ProgramWishes } from '../../setup';
import { addLine, addLogic, allOf, type Draft } from './draft';

/** Within this share of neutral the trigger counts as let go. */
const NEUTRAL_PCT = 5;

/**
 * Brake first, reverse after: with a controller that reverses at once, the first push of the trigger
 * away only brakes; let go and pushed again it reverses, until the trigger is pulled again.
 */
export function writeReverse(draft: Draft, wish: NonNullable<ProgramWishes['reverse']>): void {
  const { setup, reasons } = draft;
  const trigger = setup.transmitter.controls[stickOf(setup.transmitter, 'throttle')];
  if (!trigger || trigger.rest !== 0) {
    reasons.push('The throttle does not return to a neutral: there is no push away to count.');
    return;
  }
  const follows = { kind: 'control', id: trigger.id } as const;
  const pulled = addLogic(draft, {
    id: 'reverse-pulled',
    label: `${trigger.label} pulled`,
    op: 'greater',
    follows,
    valuePct: NEUTRAL_PCT,
  });
  const back: Condition = {
    kind: 'not',
    of: addLogic(draft, {
      id: 'reverse-not-pushed',
      label: `${trigger.label} not pushed away`,
      op: 'greater',
      follows,
      valuePct: -NEUTRAL_PCT,
    }),
  };
  const once = addLogic(draft, {
    id: 'reverse-braked',
    label: 'Pushed away once',
    op: 'latch',
    set: back,
    reset: pulled,
  });
  const free = addLogic(draft, {
    id: 'reverse-free',
    label: 'Let go after braking: reverse is free',
    op: 'latch',
    set: allOf([once, { kind: 'not', of: back }]),
    reset: pulled,
  });
  const when = allOf([back, { kind: 'not', of: free }]);
  for (const { carries, channel } of setup.program.outputs) {
    if (roleOf(carries) !== 'motor') continue;
    addLine(draft, {
      id: `reverse-${carries}`,
      label: 'First push: brake only',
      channel,
      follows: wish.brakePct > 0 ? follows : { kind: 'fixed' },
      sharePct: wish.brakePct,
      when,
      effect: 'takes-over',
      purpose: 'stick',
    });
  }
}
