import { diagnose, type Check, type Diagnosis, type Expectation } from '../directions';
import {
  directionSubject,
  freshObservations,
  isOpen,
  observedDirections,
  observedElsewhere,
  observedStill,
  type Evidence,
  type Observed,
  type StillLook,
} from '../logbook';
import type { Setup } from '../setup';
import type { AnswerId, SurfaceAnswer } from './answers';
import { inTurn, nameOfLook, wantedElsewhere } from './order';

/** What somebody did while directions are asked, besides the answers: those are evidence. */
export interface DirectionsSession {
  /** The look asked now, where it is not the next in turn. */
  readonly chosen?: string | undefined;
  /** It was chosen by name, so it is asked by itself. */
  readonly byName: boolean;
  /** The stick of which “nothing else moves” is asked now. */
  readonly still?: string | undefined;
  /** Put off for later, the last one last. */
  readonly skipped: readonly string[];
  /** What was answered, one entry for each press, so that it can be taken back. */
  readonly trail: readonly (readonly string[])[];
  /** Surfaces said to move where they should not: which way is asked then. */
  readonly elsewhere: readonly string[];
}

export const BEGUN: DirectionsSession = { byName: false, skipped: [], trail: [], elsewhere: [] };

/** What is asked now, and everything there is to ask. */
export interface DirectionsAsked {
  diagnosis: Diagnosis;
  /** Every look of this station, in the order asked. */
  order: readonly Observed[];
  /** The one asked now; undefined once nothing is open and none was chosen. */
  current: Observed | undefined;
  /** Everything asked of the same movement. */
  look: readonly Observed[];
  /** Sticks of which “nothing else moves” is asked by itself now. */
  still: readonly StillLook[];
  /** The same of the stick in hand, in the look asked now. */
  beside: readonly StillLook[];
  stills: readonly StillLook[];
  /** How many looks are open. */
  left: number;
  /** Answers that no longer hold, and what changed since. */
  stale: { count: number; reasons: readonly string[] };
  canSkip: boolean;
  canTakeBack: boolean;
}

/**
 * What to ask next of the sticks or of the corrections.
 * @param kind with the unit off, every stick; or the model moved, and what the unit answers
 */
export function directionsAsked(
  setup: Setup,
  evidence: readonly Evidence[],
  kind: Check['kind'],
  { chosen, still, skipped, trail, elsewhere }: DirectionsSession,
  diagnosis: Diagnosis = diagnose(setup, freshObservations(setup, evidence)),
): DirectionsAsked {
  const order = inTurn(
    [
      ...observedDirections(setup, evidence),
      ...wantedElsewhere(observedElsewhere(setup, evidence), diagnosis, elsewhere),
    ].filter((o) => o.expectation.check.kind === kind),
  );
  const stills = kind === 'stick' ? observedStill(setup, evidence) : [];
  const open = order.filter(isOpen);
  const current =
    order.find((o) => nameOfLook(o.expectation) === chosen) ??
    open.find((o) => !skipped.includes(nameOfLook(o.expectation))) ??
    open[0];
  const stale = order.filter((o) => o.status === 'stale');
  const check = current?.expectation.check.id;
  return {
    diagnosis,
    order,
    current,
    look: order.filter((o) => o.expectation.check.id === check),
    // All of them in one go once nothing else is open, or the one that is chosen from the list.
    still: stills.filter((s) => (still ? s.check.id === still : open.length === 0 && isOpen(s))),
    beside: stills.filter((s) => s.check.id === check),
    stills,
    left: open.length,
    stale: { count: stale.length, reasons: [...new Set(stale.flatMap((o) => o.reasons))] },
    canSkip: open.length > 1,
    canTakeBack: trail.length > 0,
  };
}

/** Something seen of one surface, to be kept as evidence. */
export interface Seen {
  subject: ReturnType<typeof directionSubject>;
  seen: AnswerId | 'unseen';
  /** Which answer it is, where it could not be kept: “raise the left wing: left aileron up”. */
  words: string;
}

/** What the session is afterwards, and what is to be kept. */
export interface Answered {
  session: DirectionsSession;
  seen: readonly Seen[];
}

const seenOf = ({ expectation }: Observed, seen: AnswerId | 'unseen'): Seen => {
  const { check, surface } = expectation;
  const saw = { centre: 'did not move', unseen: 'taken back' }[seen as string] ?? seen;
  return {
    subject: directionSubject(expectation),
    seen,
    words: `“${check.instruction}: ${surface.label.toLowerCase()} ${saw}”`,
  };
};

/** On to what comes after these, of what is still open; what was put off comes last. */
function after(
  { order }: DirectionsAsked,
  session: DirectionsSession,
  done: readonly Observed[],
): DirectionsSession {
  const rest = order.slice(order.indexOf(done.at(-1)!) + 1).concat(order);
  const left = rest.filter((r) => !done.includes(r) && isOpen(r));
  const next = left.find((r) => !session.skipped.includes(nameOfLook(r.expectation))) ?? left[0];
  return { ...session, chosen: next && nameOfLook(next.expectation), byName: false };
}

/** Surfaces of one look are answered, one of them or all. */
export function answer(
  asked: DirectionsAsked,
  session: DirectionsSession,
  answers: readonly SurfaceAnswer[],
): Answered {
  const done = answers.map(([o]) => o);
  const trail = [...session.trail, done.map((o) => nameOfLook(o.expectation))];
  return {
    session: after(asked, { ...session, trail }, done),
    seen: answers.map(([o, seen]) => seenOf(o, seen)),
  };
}

/** Later: these come again after everything else. */
export function skip(
  asked: DirectionsAsked,
  session: DirectionsSession,
  passed: readonly Observed[],
): DirectionsSession {
  const names = passed.map((o) => nameOfLook(o.expectation));
  const skipped = [...session.skipped.filter((k) => !names.includes(k)), ...names];
  return after(asked, { ...session, skipped }, passed);
}

/** The last press is taken back, and asked again. */
export function takeBack({ order }: DirectionsAsked, session: DirectionsSession): Answered {
  const last = order.filter((o) => session.trail.at(-1)?.includes(nameOfLook(o.expectation)));
  return {
    session: {
      ...session,
      trail: session.trail.slice(0, -1),
      chosen: last[0] && nameOfLook(last[0].expectation),
    },
    seen: last.map((o) => seenOf(o, 'unseen')),
  };
}

/** One surface, chosen from the lists. */
export const choose = (session: DirectionsSession, of: Observed): DirectionsSession => ({
  ...session,
  chosen: nameOfLook(of.expectation),
  byName: true,
});

/** The same thing looked at in another mode, where it is easier to see. */
export const instead = (session: DirectionsSession, other: Expectation): DirectionsSession => ({
  ...session,
  chosen: nameOfLook(other),
});

/** Whether anything else moves with this stick is asked by itself. */
export const askStill = (session: DirectionsSession, check: string): DirectionsSession => ({
  ...session,
  still: check,
});

/** Nothing else moved with these sticks. */
export const nothingElse = (session: DirectionsSession, looks: readonly StillLook[]): Answered => ({
  session: { ...session, still: undefined },
  seen: looks.flatMap(({ members }) => members.map((o) => seenOf(o, 'centre'))),
});

/** Something else moved: which way is asked of it. */
export const elseMoved = (session: DirectionsSession, of: Observed): DirectionsSession =>
  choose(
    {
      ...session,
      still: undefined,
      elsewhere: [...session.elsewhere, nameOfLook(of.expectation)],
    },
    of,
  );
