import type { Finding, RequirementId, RuleId } from '../verify';
import type { SituationId } from './situations';

const ON_RIG = 'it is seen on the rig: nothing needs to fly for it';

/** For each requirement the situation that shows what fails, or why nothing flies. */
export const SHOWN_IN: Readonly<Record<RequirementId, SituationId | { why: string }>> = {
  'motor-cut': { why: ON_RIG },
  'motor-low': { why: ON_RIG },
  'motor-rest': { why: ON_RIG },
  'motor-lost': 'lost',
  throttle: { why: ON_RIG },
  sticks: 'stick',
  'sticks-alone': 'stick',
  devices: { why: ON_RIG },
  'devices-stop': { why: ON_RIG },
  mixes: 'whole-stick',
  linkages: 'stick',
  ganged: { why: 'it is heard and felt: nothing needs to fly for it' },
  'steering-stop': { why: ON_RIG },
  corrections: 'pass',
  level: 'hands-off',
  modes: 'pass',
  'mode-margins': 'pass',
  rest: 'hands-off',
  gain: 'pass',
  panic: 'inverted',
  'link-lost': 'lost',
  launch: 'launch',
  'master-off': { why: ON_RIG },
  voice: { why: 'it is heard: nothing needs to fly for it' },
  gesture: { why: ON_RIG },
};

/** Mistakes that are shown in another situation than the requirement they explain, or explain none. */
const RULE_SHOWN_IN: Readonly<Partial<Record<RuleId, SituationId>>> = {
  M21: 'hands-off',
  M33: 'turn',
  M48: 'full-stick',
};

/** The situation that shows a finding; nothing where nothing needs to fly for it, or it is not about one state. */
export function situationFor(finding: Finding): SituationId | { why: string } {
  if (!finding.witness) return { why: 'it is not about one state: nothing flies for it' };
  const own = RULE_SHOWN_IN[finding.rule as RuleId];
  if (own) return own;
  const id = [...finding.requirements, finding.rule].find((r): r is RequirementId => r in SHOWN_IN);
  return id ? SHOWN_IN[id] : { why: ON_RIG };
}
