import { PANIC_GAIN_PCT } from '../../plan';
import { isOn, proofOf } from '../explore';
import type { Rule } from '../finding';
import { rewritten, rowWords, witnessOf } from '../witness';

const NONE_PCT = 0.5;

export const panicGain: Rule = {
  id: 'M10',
  title: 'Panic with no gain',
  why: 'The mode comes, and does nothing: at no gain the unit moves no surface.',
  check(setup) {
    const proof = proofOf(setup);
    const { panic } = proof;
    const bad = proof.rows.filter(
      (r) => r.panic && !r.panic.righted && r.panic.gainPct <= NONE_PCT && r.panic.mode !== 'off',
    );
    const [first] = bad;
    if (!first || !panic) return [];
    const others = proof.rows.filter((r) => r.panic?.righted).length;
    return [
      {
        severity: 'stop',
        says: `From ${rowWords(setup, proof, first)}, panic brings ${first.panic!.mode} with a gain of ${first.panic!.gainPct.toFixed(0)} %. So it is in ${bad.length} of ${bad.length + others} combinations.`,
        where: '/program/lines',
        witness: witnessOf(
          setup,
          first.path,
          `${rowWords(setup, proof, first)}, then panic`,
          { control: panic.at, value: panic.value },
          { waitS: 1.5 },
        ),
        remedies: rewritten(setup, `Send a gain of ${PANIC_GAIN_PCT} % while panic acts`, (w) =>
          w.panic ? { ...w, panic: { ...w.panic, gainPct: PANIC_GAIN_PCT } } : w,
        ).filter(() => proof.rows.some(isOn)),
      },
    ];
  },
};
