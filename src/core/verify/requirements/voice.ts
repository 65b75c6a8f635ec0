import { MODES, pointer, type Setup } from '../../setup';
import type { Claim, Moment } from '../engine';
import { orderScope, type Requirement } from './requirement';

/** The mode a call-out names, by its first word; undefined when it speaks of something else. */
const modeSaid = (say: string) => {
  const words = say.toLowerCase();
  return MODES.find((m) => words === m || words.startsWith(`${m},`) || words.startsWith(`${m} `));
};

/** Call-outs that name a mode. */
const speakers = (setup: Setup) =>
  setup.program.callouts.flatMap((callout, at) => {
    const mode = modeSaid(callout.say);
    return mode === undefined || callout.when === undefined ? [] : [{ say: callout.say, at, mode }];
  });

export const voiceTrue: Requirement = {
  id: 'voice',
  title: 'What is spoken is what the unit does',
  must: 'Whenever a call-out names a mode the unit is in that mode, and every state of the mode switches is spoken, while nothing else has priority.',
  from: 'The choice of call-outs: eyes are on the model, and the voice is believed.',
  leavesOut: 'Call-outs that name no mode; while panic or launch help acts.',
  applies: (setup) => setup.intents.program.voice?.modes === true || speakers(setup).length > 0,
  // With the call-outs themselves, whose logic may look anywhere.
  looksAt: (facts) => facts.everyChannel,
  claims(facts) {
    const { setup } = facts;
    const voices = speakers(setup);
    if (voices.length === 0)
      // A unit whose mode no switch chooses has nothing to say.
      return setup.intents.program.modes
        ? [
            {
              form: 'setup',
              key: 'silent',
              failure: {
                severity: 'caution',
                says: 'You chose call-outs, and nothing is spoken.',
                where: '/program/callouts',
                about: { how: 'silent' },
              },
            },
          ]
        : [];
    const spoken = facts.acting.spoken();
    const common = {
      form: 'moment',
      asked: 'always',
      // Call-outs may depend on other controls than the unit's orders do.
      scope: orderScope(facts, { reads: [...facts.orderReads, ...facts.spokenReads] }),
    } as const;
    return [
      ...voices.map(({ say, at, mode }): Claim => ({
        ...common,
        key: `true ${at}`,
        severity: 'stop',
        where: pointer('program', 'callouts', at),
        about: { how: 'untrue' },
        shows: `“${say}” spoken`,
        when: (now) =>
          !now.panicking && !now.launching && !now.frame.recovering && spoken[at]!(now),
        holds: ({ frame }: Moment) => (frame.mode === mode ? 1 : -1),
        says: ({ now, state }) => ({
          says: `“${say}” is spoken with the unit in ${facts.mode(now.frame.mode)} (${state}).`,
          about: { mode: now.frame.mode },
        }),
      })),
      {
        ...common,
        key: 'spoken',
        severity: 'caution',
        where: '/program/callouts',
        about: { how: 'silent' },
        shows: 'nothing spoken',
        when: (now) => !now.panicking && !now.launching && !now.frame.recovering,
        holds: (now: Moment) => (voices.some(({ at }) => spoken[at]!(now)) ? 1 : -1),
        says: ({ now, state }) => ({
          says: `Nothing is spoken for ${state}.`,
          about: { mode: now.frame.mode },
        }),
      },
    ];
  },
};
