import { stickOf } from '../../chain';
import { failsafeSchools } from '../../plan';
import { proofOf } from '../explore';
import type { Found, Rule } from '../finding';
import { rewritten, rowWords, witnessOf } from '../witness';

const RUNS_PCT = 5;

export const linkLost: Rule = {
  id: 'M13',
  title: 'What happens when the link is lost',
  why: 'A held or preset throttle flies the model away; a mode taken over from wherever the switch stood is a matter of luck.',
  check(setup): Found[] {
    const proof = proofOf(setup);
    const findings: Found[] = [];
    const schools = failsafeSchools(setup);
    const school = schools.glide === undefined ? ('glide' as const) : ('motor-off' as const);
    const remedy = (label: string) =>
      rewritten(setup, label, (w) => ({
        ...w,
        failsafe: { school, pitchDeg: school === 'glide' ? 3 : 0, rollDeg: 0 },
      }));
    const throttle = stickOf(setup.transmitter, 'throttle');
    // An autopilot on its way home owns the throttle.
    const runs = proof.rows.filter(
      (r) => r.lost.motorPct > RUNS_PCT && !(r.lost.own && r.lost.mode === 'home'),
    );
    const [first] = runs;
    if (first)
      findings.push({
        severity: 'stop',
        says: `Link lost with the throttle full and ${rowWords(setup, proof, first)}: the motor runs on at ${first.lost.motorPct.toFixed(0)} %.`,
        where: '/program/failsafe',
        witness: witnessOf(
          setup,
          first.path,
          `${rowWords(setup, proof, first)}, throttle full, then cut the link`,
          { control: throttle, value: 100 },
        ),
        remedies: remedy('Stop the motor when the link is lost'),
      });
    const modes = new Set(proof.rows.map((r) => r.lost.mode));
    if (modes.size > 1)
      findings.push({
        severity: 'caution',
        says: `With the link lost the unit goes on in ${[...modes].join(' or ')}, as the switches last stood.`,
        where: '/program/failsafe',
        witness: witnessOf(
          setup,
          proof.rows.find((r) => r.lost.mode !== proof.rows[0]!.lost.mode)!.path,
          'this, then cut the link',
        ),
        remedies: remedy('Give it one mode for a lost link'),
      });
    return findings;
  },
};
