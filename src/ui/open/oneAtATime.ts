/**
 * Runs some work one at a time: whoever asks while it runs gets a promise that also covers what was added
 * before asking, however late in the run that was.
 */
export function oneAtATime(work: () => Promise<void>): () => Promise<void> {
  let running: Promise<void> | undefined;
  let asked = false;
  const run = async () => {
    try {
      while (asked) {
        asked = false;
        await work();
      }
    } finally {
      running = undefined;
    }
  };
  return () => {
    asked = true;
    running ??= run();
    return running;
  };
}
