import { parseSetup, type Setup } from '@/core/setup';
import { REQUIREMENTS } from '@/core/verify';
import { decide, factsOf, type Claim, type StateClaim } from '@/core/verify/engine';
import { MUTATIONS } from './mutations';

/** A claim of a requirement, whatever surface, control or axis it is made about. */
export interface Weakened {
  requirement: string;
  claim: string;
  form: string;
  /** Seeded faults that nothing else of the requirement finds: without the claim they escape. */
  alone: string[];
  /** Ways to ask less, and the first of those faults that escapes then. */
  less: { how: string; escapes: string }[];
}

/** Claims that no fault breaks alone: they say of what another finds what is wrong with it. */
export const NEVER_ALONE: Readonly<Record<string, string>> = {
  'corrections opposes':
    'what goes with the turn does not work against it, which `answers` finds as well; this says which way it goes, in every state and not in the best one',
  'rest panic rests pressed':
    'panic that rests pressed is found by `calm` as well, once it acts; this says why, and before it acts',
};

/** The kind of a claim: its key without what it is about. */
function kindOf({ transmitter, airframe }: Setup, { key }: Claim): string {
  const names = new Set(
    [...transmitter.controls, ...airframe.surfaces, ...airframe.servos].map((x) => x.id),
  );
  const said = key
    .split(' ')
    .filter(
      (word) =>
        !names.has(word) && !/^(\d+|roll|pitch|yaw|left|right|aileron|elevator)$/.test(word),
    );
  return said.join(' ') || 'each';
}

/** Asked of fewer states, or of one. */
const LESS: Readonly<Record<string, (claim: StateClaim) => StateClaim | undefined>> = {
  'asked somewhere': (c) =>
    c.asked === 'always'
      ? ({ ...c, asked: 'somewhere', each: undefined, byPulses: undefined } as StateClaim)
      : undefined,
  'before: nothing touched': (c) =>
    c.scope.before === 'nothing-touched'
      ? undefined
      : { ...c, scope: { ...c.scope, before: 'nothing-touched' } },
  'sticks released': (c) =>
    c.scope.sticks === 'released' ? undefined : { ...c, scope: { ...c.scope, sticks: 'released' } },
  'unit in use': (c) =>
    c.scope.unit === 'in-use' ? undefined : { ...c, scope: { ...c.scope, unit: 'in-use' } },
};

const failing = (setup: Setup, claims: readonly Claim[]): boolean[] =>
  decide(factsOf(setup), claims).map((v) => v.failures.length > 0);

/** Every claim taken out, and made to ask less, against the seeded faults of its requirement. */
export function weakenedClaims(): Weakened[] {
  const found = new Map<string, Weakened>();
  for (const requirement of REQUIREMENTS)
    for (const { words, start, spoil, ...m } of MUTATIONS) {
      if (m.requirement !== requirement.id) continue;
      const raw = structuredClone(start());
      spoil(raw);
      const read = parseSetup(raw);
      if (!read.ok) throw new Error(`${words}: ${JSON.stringify(read.problems)}`);
      const setup = read.value;
      const claims = requirement.claims(factsOf(setup));
      const fails = failing(setup, claims);
      const kinds = claims.map((c) => kindOf(setup, c));
      const broken = new Set(kinds.filter((_, i) => fails[i]));
      claims.forEach((claim, i) => {
        const name = `${requirement.id} ${kinds[i]}`;
        const row = found.get(name) ?? {
          requirement: requirement.id,
          claim: kinds[i]!,
          form: claim.form === 'setup' ? 'setup' : `${claim.form}, ${claim.asked}`,
          alone: [],
          less: [],
        };
        found.set(name, row);
        if (!fails[i] || broken.size > 1 || row.alone.includes(words)) return;
        row.alone.push(words);
        if (claim.form === 'setup') return;
        for (const [how, less] of Object.entries(LESS)) {
          if (row.less.some((l) => l.how === how)) continue;
          const asked = claims.flatMap((c, k) =>
            kinds[k] === kinds[i] && c.form !== 'setup' ? [less(c)] : [],
          );
          const weaker = asked.filter((c) => c !== undefined);
          if (weaker.length < asked.length || failing(setup, weaker).includes(true)) continue;
          row.less.push({ how, escapes: words });
        }
      });
    }
  return [...found.values()];
}

/** The table of the page of claims. */
export const claimRows = (all: readonly Weakened[]): string[] =>
  all.map(({ requirement, claim, form, alone, less }) => {
    const escapes =
      alone[0] === undefined
        ? (NEVER_ALONE[`${requirement} ${claim}`] ?? '–')
        : `${alone[0]}${alone.length > 1 ? ` (and ${alone.length - 1} more)` : ''}`;
    const weaker = less.map((l) => `${l.how}: ${l.escapes}`).join('; ') || '–';
    return `| \`${requirement}\` | \`${claim}\` | ${form} | ${escapes} | ${weaker} |`;
  });
