import { reasonsOf, type Reply } from '../open/send';
import { oneAtATime } from '../open/oneAtATime';

/** What of a part is not kept by the server yet, and why. */
export interface SaveState {
  saving: boolean;
  /** Why the newest state was refused; empty where it was not. */
  problem: string;
}

/**
 * Saves a part one request at a time, always its newest state: it counts as saved only when nothing newer
 * waits. What was refused is kept and goes with the next save.
 */
export function partSaver<T>(
  put: (part: T, basedOn: number) => Promise<Reply<{ revision: number }>>,
  firstRevision: number,
  report: (state: SaveState) => void,
): { save: (part: T) => Promise<void> } {
  let revision = firstRevision;
  let unsaved: { part: T } | undefined;
  const run = oneAtATime(async () => {
    let problem = '';
    while (unsaved && problem === '') {
      const sent = unsaved;
      const reply = await put(sent.part, revision);
      if (reply.ok) {
        revision = reply.value.revision;
        if (unsaved === sent) unsaved = undefined;
      } else if (unsaved === sent) problem = reasonsOf(reply.problems);
    }
    report({ saving: false, problem });
  });
  return {
    save: (part) => {
      unsaved = { part };
      report({ saving: true, problem: '' });
      return run();
    },
  };
}
