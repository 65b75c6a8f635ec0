import { pointer, type Problem } from '../problem';

/** A place in a Setup, step by step. */
export type Path = readonly (string | number)[];

/** Says what is wrong, and where. */
export type Report = (path: Path, reason: string) => void;

export const reportInto =
  (problems: Problem[]): Report =>
  (path, reason) =>
    problems.push({ path: pointer(...path), reason });
