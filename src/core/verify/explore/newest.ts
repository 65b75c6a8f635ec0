/** The values asked for last, by everything they are made of; older ones are worked out again. */
export class Newest<T> {
  private readonly kept = new Map<string, T>();

  constructor(private readonly most: number) {}

  get(key: string): T | undefined {
    const found = this.kept.get(key);
    if (found === undefined) return undefined;
    this.kept.delete(key);
    this.kept.set(key, found);
    return found;
  }

  put(key: string, value: T): void {
    this.kept.set(key, value);
    if (this.kept.size > this.most) this.kept.delete(this.kept.keys().next().value!);
  }
}

/** Told now and then how far something is; returning false gives up. */
export type Progress = (boxes: number) => boolean;

/** Listens to whether something was given up: what was says nothing, and is not kept. */
export function listening(onProgress: Progress | undefined): {
  options: { onProgress?: Progress };
  gaveUp: () => boolean;
} {
  let ended = false;
  return {
    gaveUp: () => ended,
    options: onProgress
      ? {
          onProgress: (boxes) => {
            ended ||= !onProgress(boxes);
            return !ended;
          },
        }
      : {},
  };
}
