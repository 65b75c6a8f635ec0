/** Numbers for lists of numbers: equal lists get the same one. Without a string for each. */
export class Interner {
  private readonly buckets = new Map<number, number[]>();
  private readonly lists: Float64Array[] = [];

  /** How many different lists there were. */
  get size(): number {
    return this.lists.length;
  }

  /** @param length how many of the values count */
  index(values: ArrayLike<number>, length = values.length): number {
    let h = 17;
    for (let i = 0; i < length; i++) h = (Math.imul(h, 31) + Math.round(values[i]! * 1024)) | 0;
    const bucket = this.buckets.get(h);
    if (bucket)
      for (const at of bucket) {
        const known = this.lists[at]!;
        let same = known.length === length;
        for (let i = 0; same && i < length; i++) same = Object.is(known[i], values[i]);
        if (same) return at;
      }
    const own = Float64Array.from({ length }, (_, i) => values[i]!);
    this.lists.push(own);
    const at = this.lists.length - 1;
    if (bucket) bucket.push(at);
    else this.buckets.set(h, [at]);
    return at;
  }
}
