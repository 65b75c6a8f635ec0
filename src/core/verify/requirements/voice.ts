import { compileCondition, modeWords } from '../../chain';
import { MODES, pointer, readsOfCondition, type Setup } from '../../setup';
import { everyChannel } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

/** The mode a call-out names, by its first word; undefined when it speaks of something else. */
const modeSaid = (say: string) => {
  const words = say.toLowerCase();
  return MODES.find((m) => words === m || words.startsWith(`${m},`) || words.startsWith(`${m} `));
};

/** Call-outs that name a mode. */
const spoken = (setup: Setup) =>
  setup.program.callouts.flatMap((callout, at) => {
    const mode = modeSaid(callout.say);
    const { when } = callout;
    return mode === undefined || when === undefined ? [] : [{ callout, when, at, mode }];
  });

export const voiceTrue: Requirement = {
  id: 'voice',
  title: 'What is spoken is what the unit does',
  must: 'Whenever a call-out names a mode the unit is in that mode, and every state of the mode switches is spoken, while nothing else has been given the say.',
  from: 'The wish for call-outs: eyes are on the model, and the voice is believed.',
  applies: (setup) => setup.intents.program.voice?.modes === true || spoken(setup).length > 0,
  // With the call-outs themselves, whose logic may look anywhere.
  looksAt: everyChannel,
  check(asked) {
    const { setup, chain, stand } = asked;
    const looking = new Looking();
    // What call-outs look at need not be what the unit is told by.
    const orders = asked.ordersWith(
      setup.program.callouts.flatMap((c) => (c.when ? readsOfCondition(c.when) : [])),
    );
    if (!looking.needs(ORDERS, orders)) return looking;
    const voices = spoken(setup).map((v) => ({
      ...v,
      ask: compileCondition(v.when, chain.layout, setup),
    }));
    if (voices.length === 0) {
      // A unit whose mode no switch chooses has nothing to say.
      if (setup.intents.program.modes)
        looking.fail({
          severity: 'caution',
          says: 'Call-outs were wished for, and nothing is spoken.',
          where: '/program/callouts',
          about: { how: 'silent' },
        });
      return looking;
    }
    const told = new Set<number>();
    let silent = false;
    for (const c of asked.read(orders)) {
      if (c.panicking || c.launching || c.recovering) continue;
      looking.states += 1;
      asked.into(orders, c.cell).step();
      const said = voices.filter((v) => v.ask(stand.stimulus, stand.frame));
      for (const v of said) {
        if (v.mode === stand.frame.mode || told.has(v.at)) continue;
        told.add(v.at);
        looking.fail({
          severity: 'stop',
          says: `“${v.callout.say}” is spoken with the unit in ${modeWords(setup.unit, stand.frame.mode)} (${asked.words(c, orders)}).`,
          where: pointer('program', 'callouts', v.at),
          witness: asked.witness(orders, c.cell, `“${v.callout.say}” spoken`),
          about: { mode: stand.frame.mode, how: 'untrue' },
        });
      }
      if (said.length === 0 && !silent) {
        silent = true;
        looking.fail({
          severity: 'caution',
          says: `Nothing is spoken for ${asked.words(c, orders)}.`,
          where: '/program/callouts',
          witness: asked.witness(orders, c.cell, 'nothing spoken'),
          about: { mode: stand.frame.mode, how: 'silent' },
        });
      }
    }
    return looking;
  },
};
