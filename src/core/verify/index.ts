import type { Setup } from '../setup';
import type { Finding, Rule } from './finding';
import { channelOrder } from './rules/channel-order';
import { bothReversed, correctionReversed, stickReversed } from './rules/directions';
import { gainLeadOut } from './rules/gain-lead-out';
import { givenTwice } from './rules/given-twice';
import { impossibleMounting } from './rules/impossible-mounting';
import { noThrottleCut, throttleReversed } from './rules/live-motor';
import { missingChannel } from './rules/missing-channel';
import { mixedTwice } from './rules/mixed-twice';
import { shortLink } from './rules/short-link';
import { skippedMode } from './rules/skipped-mode';
import { stabilizedFlaps } from './rules/stabilized-flaps';

export type { Finding, Remedy, Rule, Severity, Witness } from './finding';

/** Every rule; a new one is a file and a line here. */
export const RULES: readonly Rule[] = [
  correctionReversed,
  stickReversed,
  bothReversed,
  mixedTwice,
  channelOrder,
  stabilizedFlaps,
  impossibleMounting,
  skippedMode,
  missingChannel,
  shortLink,
  throttleReversed,
  noThrottleCut,
  givenTwice,
  gainLeadOut,
];

const ORDER = ['stop', 'caution', 'note'];

/** All findings, worst first. */
export function verify(setup: Setup): Finding[] {
  return RULES.flatMap((rule) => rule.check(setup)).toSorted(
    (a, b) => ORDER.indexOf(a.severity) - ORDER.indexOf(b.severity),
  );
}
