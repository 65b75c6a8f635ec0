import { applyPatch, type PatchOperation } from '../patch';
import type { Axis, Setup } from '../setup';
import { settingAtoms, type Atom, type Place } from './atoms';
import type { Expectation } from './checks';
import { flipMasks, maskWhere, signsOf } from './explain';
import { cheapestFlips } from './flips';
import { structuralRemedies, type StructuralRemedy } from './structures';

/** One change to make, with the reasons. */
export interface Change {
  atom: string;
  place: Place;
  title: string;
  why: string;
  /** For each other place that was considered: why it is not there. */
  notElsewhere: string[];
  patch: PatchOperation[];
}

/** What puts a known model right. */
export interface Cure {
  changes: Change[];
  correctedSetup: Setup;
  /** By the chain: with the changes every pair of the complete axes comes out right. */
  proved: boolean;
}

/**
 * The fewest changes that put a model right: plugs, mounting, mixing and modes back first, then what
 * must be reversed. Pairs that do not move at all are left to the eye.
 * @param written what the plan has @param known the model as it really is
 * @param complete axes seen in full; others keep what they do
 */
export function cure(
  written: Setup,
  known: Setup,
  pairs: readonly Expectation[],
  complete: ReadonlySet<Axis>,
): Cure {
  const structural = structuralRemedies(written, known);
  const repaired = applyPatch(
    known,
    structural.flatMap((r) => r.patch),
  );
  const signs = signsOf(repaired, written, pairs);
  const moving = maskWhere(pairs, (i) => signs[i] !== 0);
  const wrong =
    maskWhere(pairs, (i) => signs[i] !== pairs[i]!.sign && complete.has(pairs[i]!.check.axis)) &
    moving;
  const atoms = settingAtoms(repaired);
  const masks = flipMasks(repaired, written, atoms, pairs, signs);
  const chosen = cheapestFlips(
    masks.map((mask, i) => ({ mask, cost: atoms[i]!.cost })),
    wrong,
    moving,
  )[0];
  const correctedSetup = applyPatch(
    repaired,
    (chosen ?? []).flatMap((i) => atoms[i]!.patch),
  );
  const after = signsOf(correctedSetup, written, pairs);
  const proved =
    chosen !== undefined &&
    pairs.every(
      (p, i) =>
        after[i] === p.sign ||
        signs[i] === 0 ||
        (!complete.has(p.check.axis) && after[i] === signs[i]),
    );
  return {
    correctedSetup,
    proved,
    changes: proved
      ? [
          ...structural.map(asChange),
          ...chosen.map((i) => turned(i, chosen, atoms, masks, wrong, pairs)),
        ]
      : [],
  };
}

export const asChange = ({ id, place, title, why, patch }: StructuralRemedy): Change => ({
  atom: id,
  place,
  title,
  why,
  notElsewhere: [],
  patch,
});

/** A reversal with what it turns round, and why each of its rivals will not do. */
function turned(
  at: number,
  chosen: readonly number[],
  atoms: readonly Atom[],
  masks: readonly bigint[],
  wrong: bigint,
  pairs: readonly Expectation[],
): Change {
  const atom = atoms[at]!;
  const own = masks[at]!;
  const names = (mask: bigint) =>
    listed(pairs.filter((_, i) => (mask >> BigInt(i)) & 1n).map(pairName));
  const notElsewhere = atoms.flatMap((other, i) => {
    const mask = masks[i]!;
    if (other.id === atom.id || chosen.includes(i) || (mask & own) === 0n) return [];
    const spoiled = mask & ~wrong;
    if (spoiled !== 0n)
      return [
        `Not: ${lower(other.title)}. That would also turn the ${names(spoiled)}, which is right.`,
      ];
    if ((mask & own) !== own)
      return [`Not: ${lower(other.title)} alone. It leaves the ${names(own & ~mask)} wrong.`];
    return [`${other.title} would also work, with more effort.`];
  });
  return {
    atom: atom.id,
    place: atom.place,
    title: atom.title,
    why: `It reverses the ${names(own)}, and nothing else.`,
    notElsewhere,
    patch: atom.patch,
  };
}

function pairName(pair: Expectation): string {
  const part = pair.check.kind === 'stick' ? 'stick' : 'correction';
  return `${pair.surface.label.toLowerCase()} on the ${pair.check.axis} ${part}`;
}

function listed(words: string[]): string {
  const unique = [...new Set(words)];
  return unique.length > 3
    ? `${unique.slice(0, 3).join(', ')} and ${unique.length - 3} more`
    : unique.join(', ').replace(/, ([^,]*)$/, ' and $1');
}

const lower = (title: string) => title[0]!.toLowerCase() + title.slice(1);
