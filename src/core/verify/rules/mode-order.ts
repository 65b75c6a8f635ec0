import { compileChain, switchValue } from '../../chain';
import { combinations } from '../../plan';
import type { Mode, Setup } from '../../setup';
import type { Found, Rule } from '../finding';
import { rewritten } from '../witness';

/** What each position of some switches really gives, everything else at rest. */
export function modesAt(setup: Setup, switches: readonly string[]) {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  return combinations(setup, switches).map(({ positions, words }) => {
    const stimulus = chain.restStimulus();
    const controls: Record<string, number> = {};
    positions.forEach((p, i) => {
      const at = chain.layout.controls.get(switches[i]!)!;
      const value = switchValue(setup.transmitter.controls[at]!.kind, p);
      stimulus.controls[at] = value;
      controls[switches[i]!] = value;
    });
    const memory = chain.newMemory();
    memory.armed = true;
    chain.step(stimulus, memory, frame);
    return { words, controls, mode: frame.mode };
  });
}

export const modeOrder: Rule = {
  id: 'M2',
  title: 'The mode switch does not do what you wished',
  why: 'Hands expect an order. Found the other way round in the air, the wrong mode comes when it is needed least.',
  check(setup): Found[] {
    const wish = setup.intents.program?.modes;
    if (!wish) return [];
    const cells = modesAt(setup, wish.switches);
    const wrong = cells.flatMap((cell, i) =>
      cell.mode === wish.table[i] ? [] : [{ ...cell, wished: wish.table[i]! as Mode }],
    );
    const [first] = wrong;
    if (!first) return [];
    const reversed = cells.every((c, i) => c.mode === wish.table.at(-1 - i));
    const losesOff = wrong.some((w) => w.wished === 'off');
    return [
      {
        severity: losesOff ? 'stop' : 'caution',
        says: `${first.words} gives ${first.mode}, you wished for ${first.wished}${
          reversed
            ? ': the whole order is the other way round'
            : wrong.length > 1
              ? `, and ${wrong.length - 1} more positions differ`
              : ''
        }.`,
        where: '/intents/program/modes/table',
        witness: { controls: first.controls, words: first.words },
        remedies: rewritten(setup, 'Write the modes as wished', (w) => w),
      },
    ];
  },
};
