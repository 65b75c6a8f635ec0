import type { Setup } from '../../setup';
import type { Claim, Facts, Scope } from '../engine';
import type { Failure } from '../finding';
import type { RequirementId } from './ids';

/** Something that must be true of every Setup it applies to, whatever the hands do. It never goes looking. */
export interface Requirement {
  id: RequirementId;
  /** For a heading: "The motor stays off while it is cut". */
  title: string;
  /** What must be true, exactly. */
  must: string;
  /** The choice, trait or law of physics it comes from. */
  from: string;
  /** What it does not speak of, for whoever relies on it. */
  leavesOut: string;
  applies(setup: Setup): boolean;
  /** Channels (1-based) whose lines decide it: an edit that reaches none of them changes nothing. */
  looksAt(facts: Facts): readonly number[];
  claims(facts: Facts): Claim[];
  /** Failures in fewer words, where several of them say one thing. */
  told?(failures: Failure[]): Failure[];
}

/** Failures at one place told once: the first of them. */
export const onceAPlace = (failures: readonly Failure[]): Failure[] =>
  failures.filter((f, i) => failures.findIndex((o) => o.where === f.where) === i);

/** Everything that tells the unit what to do, sticks released, the unit in use. */
export const orderScope = (facts: Facts, more: Partial<Scope> = {}): Scope => ({
  channels: facts.orderChannels,
  reads: facts.orderReads,
  sticks: 'released',
  unit: 'in-use',
  ...more,
});

/** Everything that moves a surface, by its position, with the sticks as said, the unit in use. */
export const surfaceScope = (facts: Facts, surface: number, sticks: Scope['sticks']): Scope => ({
  channels: facts.surfaces.channels[surface]!,
  sticks,
  unit: 'in-use',
});

/** Less gain than this does nothing. */
export const GAIN_NONE_PCT = 0.5;
