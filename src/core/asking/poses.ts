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

/** What somebody did while poses are read back, besides the readings: those are evidence. */
export interface PosesSession {
  /** The pose asked now, where it is not the first that is open. */
  readonly chosen?: string | undefined;
}

export const POSES_BEGUN: PosesSession = {};

/** A pose with what was read in it. */
export interface PoseSeen {
  pose: Pose;
  /** From 1, as it is called. */
  number: number;
  column: readonly Checked<ReadBack>[];
  status: Status;
}

export interface PosesAsked {
  poses: readonly PoseSeen[];
  /** The one asked now; undefined once every pose shows what it must and none was chosen. */
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

/** A reading to be kept, and which one it is, where it could not be. */
export interface Read {
  subject: ReturnType<typeof readingSubject>;
  seen: `${number}%` | 'unseen';
  words: string;
}

export const columnWords = (asked: ReadBack, { number }: PoseSeen): string =>
  `Channel ${asked.channel}, ${functionOf(asked.carries).words}, pose ${number}`;

/** One number of the column that was read. @param value in percent; undefined: taken out again */
export const read = (asked: ReadBack, of: PoseSeen, value: number | undefined): Read => ({
  subject: readingSubject(asked),
  seen: value === undefined ? 'unseen' : `${value}%`,
  words: columnWords(asked, of),
});

/** The whole column shows what it must: on to the pose after it. */
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
 * @returns undefined where nothing was; empty where no single one does
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
