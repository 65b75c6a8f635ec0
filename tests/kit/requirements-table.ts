import { USUAL_STEERING } from '@/core/catalogue';
import type { Setup } from '@/core/setup';
import { REQUIREMENTS, RULES } from '@/core/verify';
import { factsOf, type Claim } from '@/core/verify/engine';
import { twoOnElevator } from './gang-faults';
import { wished } from './order-faults';
import { makeSetup } from './setups';

/** Set-ups that together have something for every requirement to claim. */
function samples(): Setup[] {
  const car = makeSetup('car', 'steering-receiver', 'surface-four');
  car.airframe.steering = { ...USUAL_STEERING };
  const locking = structuredClone(wished());
  for (const { linkage } of locking.airframe.surfaces)
    Object.assign(linkage, { armMm: 20, hornMm: 15 });
  const cornered = structuredClone(wished());
  cornered.program.outputs.find((o) => o.carries === 'aileron')!.reversed = true;
  return [
    wished(
      {
        panic: { way: 'channel', control: 'sm', holdS: 0, gainPct: 60 },
        launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
        gain: { by: 'values', control: 'sb', pct: [0, 40, 60] },
        voice: { modes: true },
        failsafe: { school: 'glide', pitchDeg: 3, rollDeg: 0 },
      },
      'menu-receiver',
      'line-sixteen',
      { flaps: true },
    ),
    wished(),
    locking,
    cornered,
    car,
    twoOnElevator(),
  ];
}

const formOf = (claim: Claim): string =>
  claim.form === 'setup' ? 'setup' : `${claim.form}, ${claim.asked}`;

const BEFORE = {
  'switches-at-rest': 'no switch touched',
  'nothing-touched': 'nothing touched',
} as const;

/** The table of the architecture page: one row a requirement, forms and scopes read off its claims. */
export function requirementsTable(): string[] {
  const setups = samples();
  return REQUIREMENTS.map((r) => {
    const claims = setups.flatMap((s) => (r.applies(s) ? r.claims(factsOf(s)) : []));
    const forms = [...new Set(claims.map(formOf))].toSorted();
    const before = [
      ...new Set(
        claims.flatMap((c) =>
          c.form === 'setup' ? [] : [c.scope.before ? BEFORE[c.scope.before] : 'anything'],
        ),
      ),
    ].toSorted();
    const rules = RULES.filter((x) => x.explains?.includes(r.id)).map((x) => x.id);
    const cells = [
      `\`${r.id}\``,
      r.must,
      forms.join('; '),
      before.join('; ') || '–',
      r.leavesOut,
      rules.join(', ') || '–',
    ];
    return `| ${cells.join(' | ')} |`;
  });
}
