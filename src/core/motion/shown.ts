import type { Setup } from '../setup';
import type { Finding } from '../verify';
import { CENTRAL, type Draw } from './estimates';
import {
  ending,
  reacting,
  recovering,
  tracking,
  type Ending,
  type Point,
  type Reaction,
  type Recovery,
} from './observers';
import { play, readyToFly, touchesM } from './runner';
import { happensAtS, type Scenario } from './scenario';
import { situationFor } from './shown-in';
import { flies, SITUATIONS, situationOf, type SituationId } from './situations';

/** A motion made to be looked at: what happened, and every so often a moment of it. */
export interface Flown {
  scenario: Scenario;
  ending: Ending;
  reaction: Reaction;
  recovery: Recovery;
  points: Point[];
}

/** Moments kept of a motion that is shown. */
export const EVERY_S = 1 / 30;
/** How long the answer to something is watched. */
const REACTION_S = 0.7;

export type Outcome = { ok: true; flown: Flown } | { ok: false; reason: string };

/** Plays one scenario with one model: as estimated, unless another it may be is given. */
export function fly(setup: Setup, scenario: Scenario, draw: Draw = CENTRAL): Outcome {
  const ready = readyToFly(setup, draw);
  if (!ready.ok) return ready;
  const atS = happensAtS(scenario);
  const end = ending(touchesM(setup));
  const reaction = reacting(atS, REACTION_S);
  const track = tracking(EVERY_S);
  const recovery = recovering(atS);
  play(ready.pilot, scenario, [end, reaction, recovery, track]);
  return {
    ok: true,
    flown: {
      scenario,
      ending: end.answer(),
      reaction: reaction.answer(),
      recovery: recovery.answer(),
      points: track.answer(),
    },
  };
}

export type Shown =
  | { ok: true; situation: SituationId; words: string; scenario: Scenario }
  | { ok: false; why: string };

/** What would show a finding: its state in a usual situation; or why nothing flies. */
export function shownOf(setup: Setup, finding: Finding): Shown {
  if (!flies(setup)) return { ok: false, why: 'it does not fly: put it on the rig' };
  const shown = situationFor(finding);
  if (typeof shown !== 'string') return { ok: false, why: shown.why };
  return {
    ok: true,
    situation: shown,
    words: SITUATIONS[shown].words,
    scenario: situationOf(setup, shown, finding.witness),
  };
}

const seconds = (s: number) => `${s.toFixed(1)} s`;

/** Which way it turned, in words; nothing where it hardly did. */
export function turnedWords({ rollDeg, pitchDeg, headingDeg }: Reaction): string | undefined {
  const size = (deg: number) => Math.abs(deg);
  if (Math.max(size(rollDeg), size(pitchDeg), size(headingDeg)) < 4) return undefined;
  if (size(rollDeg) >= size(pitchDeg) && size(rollDeg) >= 0.6 * size(headingDeg))
    return `rolls ${rollDeg > 0 ? 'right' : 'left'}`;
  if (size(pitchDeg) >= size(headingDeg)) return pitchDeg > 0 ? 'nose rises' : 'nose drops';
  return `swings ${headingDeg > 0 ? 'right' : 'left'}`;
}

/** A turn of less is none. */
const TURNS_DEG = 20;

const headingWords = ({ turnedDeg }: Ending): string =>
  Math.abs(turnedDeg) < TURNS_DEG
    ? ''
    : `turned ${Math.round(Math.abs(turnedDeg))}° ${turnedDeg > 0 ? 'right' : 'left'}, `;

const HOW = { landed: 'it lands', hard: 'a hard landing', crashed: 'it crashes' } as const;

/** It begins turned over: what counts is whether it comes back. */
const startsOver = ({ start }: Scenario): boolean =>
  Math.abs(start.rollDeg) > 60 || Math.abs(start.pitchDeg ?? 0) > 45;

/** What happened, in words: "rolls right, on its back after 0.6 s, on the ground after 1.4 s". Times from what was done. */
export function storyWords({
  ending: e,
  reaction,
  recovery,
  scenario,
}: Omit<Flown, 'points'>): string {
  const atS = happensAtS(scenario);
  const since = (s: number) => seconds(Math.max(0, s - atS));
  const over = startsOver(scenario);
  const down =
    e.downS === undefined
      ? undefined
      : `on the ground after ${since(e.downS)} at ${Math.round(e.speedMps)} m/s: ${HOW[e.how!]}`;
  if (over)
    return recovery.levelS === undefined
      ? ['does not come back to level', down].filter(Boolean).join(', ')
      : `level after ${since(recovery.levelS)}, ${Math.round(recovery.heightLostM)} m lost`;
  return [
    turnedWords(reaction),
    e.lostS === undefined
      ? undefined
      : `${e.onItsBack ? 'on its back' : 'nose straight down'} after ${since(e.lostS)}`,
    down ??
      `still flying after ${since(e.seconds)}, bank ${Math.round(Math.abs(e.rollDeg))}°, ${headingWords(e)}${Math.round(e.heightM)} m up`,
  ]
    .filter((p) => p !== undefined)
    .join(', ');
}

/** Whether a flight ended well: never lost, or back from where it began; and not crashed. */
export const endedWell = ({
  ending: { lostS, how, flying, rollDeg },
  recovery,
  scenario,
}: Omit<Flown, 'points'>): boolean =>
  how !== 'crashed' &&
  (startsOver(scenario)
    ? recovery.levelS !== undefined
    : lostS === undefined && (!flying || Math.abs(rollDeg) < 75));
