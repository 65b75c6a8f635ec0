import { PANIC_GAIN_PCT, panicWays } from '../../plan';
import { proofOf } from '../explore';
import type { Found, Rule } from '../finding';
import { rewritten, rowWords, witnessOf } from '../witness';

const NONE_PCT = 0.5;

export const panicHole: Rule = {
  id: 'M11',
  title: 'Panic does not work from everywhere',
  why: 'One fixed mix brings the mode channel to levelling from one position only. The hole is found when it is needed.',
  check(setup) {
    const proof = proofOf(setup);
    const { panic } = proof;
    if (!panic) return [];
    const press = { control: panic.at, value: panic.value };
    const asked = proof.rows.filter((r) => r.panic);
    const bad = asked.filter(
      (r) => !r.panic!.righted && (r.panic!.gainPct > NONE_PCT || r.panic!.mode === 'off'),
    );
    const findings: Found[] = [];
    const [first] = bad;
    if (first) {
      const ways = panicWays(setup);
      findings.push({
        severity: 'stop',
        says: `From ${rowWords(setup, proof, first)}, panic gives ${first.panic!.mode}. It fails from ${bad.length} of ${asked.length} combinations.`,
        where: '/program/lines',
        witness: witnessOf(
          setup,
          first.path,
          `${rowWords(setup, proof, first)}, then panic`,
          press,
          { waitS: 1.5 },
        ),
        remedies: (['replace', 'offsets', 'channel'] as const)
          .filter((way) => ways[way] === undefined)
          .flatMap((way) =>
            rewritten(
              setup,
              {
                replace: 'Let the panic control replace the mode value',
                offsets: 'Give each mode position its own amount',
                channel: 'Use the unit’s recovery channel',
              }[way],
              (w) => ({
                ...w,
                panic: {
                  way,
                  control: panic.id,
                  holdS: w.panic?.holdS ?? 0.2,
                  gainPct: w.panic?.gainPct ?? PANIC_GAIN_PCT,
                },
              }),
            ),
          )
          .slice(0, 2),
      });
    }
    const stuck = asked.find((r) => r.panic!.righted && !r.panic!.reversible);
    if (stuck)
      findings.push({
        severity: 'caution',
        says: `From ${rowWords(setup, proof, stuck)}, letting panic go does not give back what was there.`,
        where: '/program/lines',
        witness: witnessOf(
          setup,
          stuck.path,
          `${rowWords(setup, proof, stuck)}, panic and let go`,
          press,
          { waitS: 1.5 },
          { control: panic.at, value: -100 },
        ),
        remedies: [],
      });
    return findings;
  },
};
