import { applyPatch } from '../patch';
import { parseSetup, type Setup } from '../setup';
import type { Finding, Remedy } from './finding';
import { judged } from './judge';
import { proofOf } from './proof';
import type { Rule } from './rule';

/** Tried at most for one Setup: beyond that a list of repairs helps nobody. */
const MOST_TRIED = 24;
/** Where a table is too large every try takes as long as the proof. */
const MOST_TRIED_LARGE = 4;

/**
 * The one door for repairs: each is applied and everything proved again. It is offered only when the
 * finding is gone, nothing else has come, and no choice and nothing the person entered is lost.
 */
export function offered(
  setup: Setup,
  findings: readonly Finding[],
  rules: readonly Rule[],
  onTry: () => void = () => undefined,
): Finding[] {
  let tried = 0;
  const most = proofOf(setup).complete ? MOST_TRIED : MOST_TRIED_LARGE;
  const before = keysOf(findings);
  return findings.map((finding) => {
    if (finding.remedies.length === 0) return finding;
    const remedies = finding.remedies.filter((remedy) => {
      if (tried >= most) return false;
      tried += 1;
      onTry();
      return passes(setup, finding, remedy, before, rules);
    });
    return { ...finding, remedies };
  });
}

function passes(
  setup: Setup,
  finding: Finding,
  remedy: Remedy,
  before: ReadonlySet<string>,
  rules: readonly Rule[],
): boolean {
  if (remedy.patch.length === 0) return false;
  const read = parseSetup(applyPatch(setup, remedy.patch));
  if (!read.ok) return false;
  const mended = read.value;
  if (losesOfOnesOwn(setup, mended)) return false;
  const after = judged(mended, rules);
  if (after.some((f) => f.rule === finding.rule && sameSubject(f, finding))) return false;
  // Nothing new: what is there now was there before, by rule, severity and subject.
  return after.every(
    (f) => f.severity === 'note' || before.has(keyOf(f)) || softer(f, findingsOf(before)),
  );
}

/** What a finding is, apart from its numbers. */
const keyOf = (f: Finding): string =>
  [
    f.severity,
    f.rule,
    f.about?.surface,
    f.about?.axis,
    f.about?.mode,
    f.about?.control,
    f.about?.choice,
  ].join('|');

const keysOf = (findings: readonly Finding[]): ReadonlySet<string> => new Set(findings.map(keyOf));

const findingsOf = (keys: ReadonlySet<string>): readonly string[] => [...keys];

/** A stop that has become a caution is no new caution. */
const softer = (f: Finding, before: readonly string[]): boolean =>
  f.severity === 'caution' && before.includes(keyOf({ ...f, severity: 'stop' }));

const sameSubject = (a: Finding, b: Finding): boolean =>
  a.where === b.where ||
  (a.about !== undefined &&
    b.about !== undefined &&
    (['surface', 'axis', 'control', 'choice'] as const).every(
      (key) => a.about![key] === b.about![key],
    ));

/** Wishes that are gone, and entries of the person's own that are. */
function losesOfOnesOwn(before: Setup, after: Setup): boolean {
  const wishes = before.intents.program ?? {};
  const kept = (after.intents.program ?? {}) as Record<string, unknown>;
  if (Object.entries(wishes).some(([key, value]) => value !== undefined && kept[key] === undefined))
    return true;
  const own = before.program.lines.filter(
    (l) => l.purpose === 'other' || l.purpose === 'mix' || l.purpose === undefined,
  );
  return own.some((l) => {
    const now = after.program.lines.find((x) => x.id === l.id);
    return now === undefined;
  });
}
