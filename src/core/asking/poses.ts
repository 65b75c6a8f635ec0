import {
  readingSubject,
  readings,
  worstOf,
  type Checked,
  type Evidence,
  type Status,
} from '../logbook';
import { functionOf, type Setup } from '../setup';
import { explain, posesOf, type Explanation, type Pose, type ReadBack } from '../sheets';

/** State of reading back poses; the readings themselves are evidence. */
export interface PosesSession {
  /** The pose asked now, where it is not the first that is open. */
  readonly chosen?: string | undefined;
}

export const POSES_BEGUN: PosesSession = {};

/** A pose with what was read in it. */
export interface PoseSeen {
  pose: Pose;
  /** Counted from 1. */
  number: number;
  column: readonly Checked<ReadBack>[];
  status: Status;
}

export interface PosesAsked {
  poses: readonly PoseSeen[];
  /** The pose asked now; undefined when every pose is correct and none was chosen. */
  current: PoseSeen | undefined;
  proven: number;
}

/** Which pose to hold next, and what was read in each. */
export function posesAsked(
  setup: Setup,
  evidence: readonly Evidence[],
  { chosen }: PosesSession,
): PosesAsked {
  const all = readings(setup, evidence);
  const poses = posesOf(setup).poses.map((pose, i): PoseSeen => {
    const own = new Set(pose.column.map((r) => r.id));
    const column = all.filter((c) => own.has(c.asked.id));
    return { pose, number: i + 1, column, status: worstOf(column.map((c) => c.status)) };
  });
  return {
    poses,
    current: poses.find((p) => p.pose.id === chosen) ?? poses.find((p) => p.status !== 'proven'),
    proven: poses.filter((p) => p.status === 'proven').length,
  };
}

/** A reading to keep, and its name for an error message. */
export interface Read {
  subject: ReturnType<typeof readingSubject>;
  seen: `${number}%` | 'unseen';
  words: string;
}

export const columnWords = (asked: ReadBack, { number }: PoseSeen): string =>
  `Channel ${asked.channel}, ${functionOf(asked.carries).words}, pose ${number}`;

/** One number of the column. @param value in percent; undefined deletes it */
export const read = (asked: ReadBack, of: PoseSeen, value: number | undefined): Read => ({
  subject: readingSubject(asked),
  seen: value === undefined ? 'unseen' : `${value}%`,
  words: columnWords(asked, of),
});

/** The whole column is correct: on to the next pose. */
export function asShown(
  { poses }: PosesAsked,
  of: PoseSeen,
): { session: PosesSession; reads: readonly Read[] } {
  return {
    session: { chosen: poses[poses.indexOf(of) + 1]?.pose.id },
    reads: of.column.map(({ asked }) => read(asked, of, Math.round(asked.predictedPct))),
  };
}

export const choosePose = (id: string): PosesSession => ({ chosen: id });

/**
 * Which one wrong entry explains what was read otherwise, the commonest first.
 * @returns undefined where every reading is correct; empty where no single entry explains them
 */
export function explained(setup: Setup, { poses }: PosesAsked): readonly Explanation[] | undefined {
  const all = poses.flatMap((p) => p.column);
  if (!all.some((c) => c.status === 'stop')) return undefined;
  const values = all.flatMap(({ asked, status, evidence }) =>
    evidence && status !== 'stale' && status !== 'todo'
      ? [[asked.id, parseFloat(evidence.seen)] as const]
      : [],
  );
  return explain(
    setup,
    poses.flatMap((p) => p.pose.column),
    Object.fromEntries(values),
  );
}
