import type { Chain, Memory } from '../../chain';
import type { Setup } from '../../setup';
import type { Box } from './boxes';
import type { Cell, Table } from './table';
import { UNITS_PER_S } from './zones';

/** Something a person does: move one control, or wait. */
export type Move = { control: number; value: number } | { waitS: number };

/** Where in a box a control is put: at its low end, its high end, or where it is least trouble. */
type Corner = (control: number, lo: number, hi: number) => number;

/** Rest if the box allows it, else the middle. */
const easiest =
  (setup: Setup): Corner =>
  (control, lo, hi) => {
    const { rest } = setup.transmitter.controls[control]!;
    return rest >= lo && rest <= hi ? rest : lo === hi ? lo : (lo + hi) / 2;
  };

/** By chain as well: a table may serve several models, whose units differ. */
const memories = new WeakMap<Chain, WeakMap<Table, (Memory | undefined)[]>>();

/** Memory of a unit in use, armed and at peace, with what the program remembers. Not to be changed. */
export function memoryOf(chain: Chain, table: Table, index: number): Memory {
  const own = memories.get(chain) ?? new WeakMap<Table, (Memory | undefined)[]>();
  memories.set(chain, own);
  const known = own.get(table) ?? [];
  own.set(table, known);
  const found = known[index];
  if (found) return found;
  const memory = chain.newMemory();
  memory.armed = true;
  const { bits, zone } = table.memories[index]!;
  const clocks = table.zones.size > 1 ? table.zones.example(zone) : [];
  table.entries.forEach((logic, e) => {
    memory.logic[logic * 2] = bits[e]!;
    const clock = table.clockOf[e]!;
    if (clock > 0) memory.logic[logic * 2 + 1] = clocks[clock - 1]!;
  });
  known[index] = memory;
  return memory;
}

/**
 * What to do from power-up at rest to stand in a cell, one thing after another, tried on the chain as
 * it is written down.
 */
export function pathTo(chain: Chain, table: Table, cell: Cell, corner?: Corner): Move[] {
  const { setup } = chain;
  const boxes: { controls: readonly number[]; box: Box; bits: Int32Array | undefined }[] = [
    { controls: table.cone.controls, box: cell.box, bits: table.memories[cell.memory]!.bits },
  ];
  for (let m = cell.before; table.memories[m]!.from; m = table.memories[m]!.from!.memory)
    boxes.unshift({
      controls: table.inner,
      box: table.memories[m]!.from!.box,
      bits: table.memories[m]!.bits,
    });
  const moves: Move[] = [];
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  memory.armed = true;
  const frame = chain.newFrame();
  const step = (dtS: number) => {
    stimulus.dtS = dtS;
    chain.step(stimulus, memory, frame);
  };
  step(0);
  boxes.forEach(({ controls, box, bits }, n) => {
    const last = n === boxes.length - 1;
    controls.forEach((at, i) => {
      const now = stimulus.controls[at]!;
      const told = table.told.get(at);
      const lo = box.lo[i]!;
      const hi = box.hi[i]!;
      // One position may stand for several nothing asks for.
      const alike = told !== undefined && told.other === lo && !told.values.includes(now);
      const wanted =
        last && corner
          ? corner(at, lo, hi)
          : alike || (now >= lo && now <= hi)
            ? now
            : easiest(setup)(at, lo, hi);
      if (wanted === now) return;
      stimulus.controls[at] = wanted;
      moves.push({ control: at, value: wanted });
      step(0);
    });
    const there = () =>
      bits === undefined || table.entries.every((logic, e) => memory.logic[logic * 2] === bits[e]);
    // Clocks run out one after another until what was to be remembered is.
    for (let tries = 0; tries < 6 && !there(); tries++) {
      const left = table.entries.flatMap((logic, e) => {
        const clock = table.clockOf[e]!;
        const most = clock > 0 ? table.zones.mostUnits[clock - 1]! / UNITS_PER_S : 0;
        return clock > 0 ? [most - memory.logic[logic * 2 + 1]!] : [];
      });
      const waitS = left.filter((s) => s > 1e-6).toSorted((a, b) => a - b)[0];
      if (waitS === undefined) break;
      step(waitS);
      const before = moves.at(-1);
      const rounded = Math.round(waitS * 10_000) / 10_000;
      if (before && 'waitS' in before) before.waitS += rounded;
      else moves.push({ waitS: rounded });
    }
  });
  return moves;
}
