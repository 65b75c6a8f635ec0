export type Answers = Record<string, 'pass' | 'fail'>;

/** A check that has been begun: still there after a reload, at whichever round it was. */
export interface Run {
  /** Names the line of the log it becomes: sent twice, it is kept once. */
  uid: string;
  version: number;
  /** The round it is at; as many as there are rounds: through. */
  at: number;
  answers: Answers;
  where: { place: string; wind: string; battery: string };
}
