import { randomOf } from '../dice';
import { positionsOf, switchValue } from '../chain';
import { isSwitched, type Control } from '../setup';
import { HALF_WAY_PCT } from '../sheets';

/**
 * Rows in which every two positions of two switches, and every position of a switch with both ends of every
 * other control, occur together at least once (a covering array of strength two, built greedily after Cohen et
 * al., The AETG System, 1997). Each control is also put between its ends once. In the first row everything rests.
 * @returns for each row the value of every control, in the order given
 */
export function coveringRows(controls: readonly Control[]): number[][] {
  return Array.from({ length: RESTARTS }, (_, n) => rowsFrom(controls, n + 1)).reduce((a, b) =>
    b.length < a.length ? b : a,
  );
}

function rowsFrom(controls: readonly Control[], seed: number): number[][] {
  const levels = controls.map((c) =>
    isSwitched(c)
      ? Array.from({ length: positionsOf(c.kind) }, (_, p) => switchValue(c.kind, p))
      : [-100, 100, HALF_WAY_PCT],
  );
  const switched = controls.map(isSwitched);
  const wanted = new Set<string>();
  const pair = (a: number, x: number, b: number, y: number) =>
    a < b ? `${a} ${x} ${b} ${y}` : `${b} ${y} ${a} ${x}`;
  for (let a = 0; a < controls.length; a++)
    for (let b = a + 1; b < controls.length; b++)
      if (switched[a] || switched[b])
        for (const x of levels[a]!)
          for (const y of levels[b]!)
            // Between its ends a control is put once; more often where its channel needs it.
            if (Math.abs(x) !== HALF_WAY_PCT && Math.abs(y) !== HALF_WAY_PCT)
              wanted.add(pair(a, x, b, y));
  // Without any switch each control still goes to all its places.
  const single = new Set(controls.flatMap((_, i) => levels[i]!.map((v) => `${i} ${v}`)));

  const rows: number[][] = [];
  const take = (row: number[]) => {
    rows.push(row);
    for (let a = 0; a < row.length; a++) {
      single.delete(`${a} ${row[a]}`);
      for (let b = a + 1; b < row.length; b++) wanted.delete(pair(a, row[a]!, b, row[b]!));
    }
  };
  take(controls.map((c) => c.rest));
  const random = randomOf(seed);
  while (wanted.size + single.size > 0) {
    let best: { row: number[]; gain: number } | undefined;
    for (let attempt = 0; attempt < ATTEMPTS; attempt++) {
      const candidate = grown(random);
      if (!best || candidate.gain > best.gain) best = candidate;
    }
    take(best!.row);
  }
  return rows;

  /** A row, one control after another, each at the value that covers most of the remaining pairs. */
  function grown(random: () => number): { row: number[]; gain: number } {
    const waiting = new Map<string, number>();
    for (const w of wanted) {
      const [i, x, j, y] = w.split(' ');
      for (const key of [`${i} ${x}`, `${j} ${y}`]) waiting.set(key, (waiting.get(key) ?? 0) + 1);
    }
    const still = (i: number) =>
      levels[i]!.reduce((n, v) => Math.max(n, waiting.get(`${i} ${v}`) ?? 0), 0);
    // Controls with most remaining pairs first; among equals in any order.
    const order = controls
      .map((_, i) => ({ i, most: still(i) + random() * SHUFFLE }))
      .toSorted((a, b) => b.most - a.most)
      .map(({ i }) => i);
    const row = controls.map((c) => c.rest);
    const placed: number[] = [];
    let gain = 0;
    for (const i of order) {
      const gains = levels[i]!.map((v) => {
        const n = placed.filter((j) => wanted.has(pair(i, v, j, row[j]!))).length;
        return {
          v,
          n,
          later: (waiting.get(`${i} ${v}`) ?? 0) + random() + (single.has(`${i} ${v}`) ? 1 : 0),
        };
      });
      const most = gains.reduce((a, b) =>
        b.n > a.n || (b.n === a.n && b.later > a.later) ? b : a,
      );
      row[i] = most.v;
      gain += most.n;
      placed.push(i);
    }
    // A control that covers nothing here is idle: less to move, and it overrides no other.
    for (const i of order.toReversed()) {
      const makes =
        single.has(`${i} ${row[i]}`) ||
        controls.some((_, j) => j !== i && wanted.has(pair(i, row[i]!, j, row[j]!)));
      if (!makes) row[i] = idle(i);
    }
    return { row, gain };
  }

  /** An idle stick takes turns between its ends, where expo shows at every position of a rate switch. */
  function idle(i: number): number {
    const turn = (rows.length + i) % 3;
    return controls[i]!.kind !== 'stick' || turn === 0
      ? controls[i]!.rest
      : turn === 1
        ? HALF_WAY_PCT
        : -HALF_WAY_PCT;
  }
}

const ATTEMPTS = 20;
const RESTARTS = 10;
const SHUFFLE = 8;
