import { compileChain } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { coneOf, holderOf, tableOf, watchOf } from '@/core/verify/explore';
import { anywhere, randomOf } from './random-program';

/** What hands that move anywhere found that the table does not say. */
export interface Walked {
  cells: number;
  moments: number;
  tooLarge: boolean;
  /** The first moment the table does not hold, in words. */
  refuted: string | undefined;
}

/**
 * Moves every control anywhere, one or several at once, at any times, and looks whether every moment
 * lies in a cell of the table of the unit's orders, with every pulse within its bounds.
 */
export function walkAnywhere(setup: Setup, seed: number, moves: number, limit?: number): Walked {
  const random = randomOf(seed);
  const chain = compileChain(setup);
  const watch = watchOf(setup);
  const cone = coneOf(
    setup,
    watch.map((w) => w.at + 1),
  );
  const table = tableOf(chain, cone, watch, limit === undefined ? {} : { limit });
  const walked: Walked = {
    cells: table.cells.length,
    moments: 0,
    tooLarge: table.tooLarge !== undefined,
    refuted: undefined,
  };
  if (table.tooLarge) return walked;
  const holder = holderOf(table);
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  for (let n = 0; n < moves; n++) {
    if (n > 0) {
      const several = random() < 0.1 ? 3 : 1;
      for (let i = 0; i < several; i++) {
        const at = Math.floor(random() * stimulus.controls.length);
        stimulus.controls[at] = anywhere(setup.transmitter.controls[at]!.kind, random);
      }
    }
    stimulus.dtS =
      random() < 0.4 ? 0 : [0.02, 0.05, 0.1, 0.2, 0.31, 0.7, 1.3][Math.floor(random() * 7)]!;
    chain.step(stimulus, memory, frame);
    walked.moments += 1;
    const held = holder(stimulus.controls, frame.logic).some((cell) =>
      watch.every(({ at }, i) => {
        const us = frame.sentUs[at]!;
        return us >= cell.us[2 * i]! - 0.01 && us <= cell.us[2 * i + 1]! + 0.01;
      }),
    );
    if (!held) {
      walked.refuted = `move ${n}: ${setup.transmitter.controls
        .map((c, i) => `${c.id}=${stimulus.controls[i]}`)
        .join(' ')} logic ${[...frame.logic].join('')} sent ${watch
        .map(({ at }) => `ch${at + 1} ${frame.sentUs[at]!.toFixed(2)}`)
        .join(' ')}`;
      return walked;
    }
  }
  return walked;
}
