import type { Condition, ProgramWishes } from '../../setup';
import { addLogic, channelOf, type Draft } from './draft';
import { cellsNow } from './modes';

/** A change worth a word, and how long it must have stood still. Common practice, no source. */
const SPOKEN_AFTER = { byPct: 1, settledS: 0.5 };

/** What is spoken in each position: the mode, and the gain value; and the gain whenever it has been moved. */
export function writeVoice(
  { setup, own, owner }: Draft,
  wish: NonNullable<ProgramWishes['voice']>,
): void {
  const gain = channelOf(setup, 'gain');
  if (wish.gainMoved && gain !== undefined)
    own.callouts.push({
      id: 'say-gain',
      moved: {
        follows: { kind: 'channel', channel: gain },
        byPct: SPOKEN_AFTER.byPct,
        settledS: SPOKEN_AFTER.settledS,
      },
      say: 'gain',
      // The value that is sent, not how far the knob is turned.
      reading: { kind: 'channel', channel: gain },
      owner,
    });
  if (!wish.modes) return;
  if (setup.intents.program.launch && setup.program.logic.some((l) => l.id === 'launch-on')) {
    const on: Condition = { kind: 'logic', id: 'launch-on' };
    const off = { kind: 'not', of: on } as const;
    own.logic.push({ id: 'say-launch-off', label: 'Launch help ends', op: 'edge', of: off, owner });
    own.callouts.push(
      { id: 'say-launch-on', when: on, say: 'launch help on', owner },
      {
        id: 'say-launch-off',
        when: { kind: 'logic', id: 'say-launch-off' },
        say: 'launch help off',
        owner,
      },
    );
  }
  cellsNow(setup).forEach(({ when, mode }, i) =>
    own.callouts.push({
      id: `say-${i + 1}`,
      when,
      say: gain === undefined ? mode : `${mode}, gain`,
      ...(gain === undefined ? {} : { reading: { kind: 'channel' as const, channel: gain } }),
      owner,
    }),
  );
}

/** Runs while the throttle stick is up. */
export function writeTimer(draft: Draft, wish: NonNullable<ProgramWishes['timer']>): void {
  const { transmitter } = draft.setup;
  const stick = transmitter.controls.find((c) => c.kind === 'stick' && c.hand === 'throttle');
  if (!stick) return;
  const when = addLogic(draft, {
    id: 'timer-running',
    label: 'Throttle up',
    op: 'greater',
    follows: { kind: 'control', id: stick.id },
    valuePct: Math.max(-95, stick.rest + 10),
  });
  draft.own.timers.push({
    id: 'timer-motor',
    label: 'Motor',
    when,
    seconds: wish.minutes * 60,
    owner: draft.owner,
  });
}
