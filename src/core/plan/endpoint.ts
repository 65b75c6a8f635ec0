import { applyPatch, type PatchOperation } from '../patch';
import { pointer, type Setup } from '../setup';

/** One end of one channel in the output stage, and what a figure of the model is with it elsewhere. */
export interface Endpoint {
  /** Position in the program’s list of outputs. */
  output: number;
  channel: number;
  field: 'minPct' | 'maxPct';
  /** "channel 2, upper end" */
  words: string;
  /** In steps of the transmitter: as far as an end goes. */
  most: number;
  pctOf(steps: number): number;
  patchOf(steps: number): PatchOperation[];
  /** The figure with the end at so many steps from the middle, asked of the chain. */
  figureAt(steps: number): number;
}

const FIELDS = ['minPct', 'maxPct'] as const;
const WORDS = { minPct: 'lower end', maxPct: 'upper end' } as const;
const MOST_PCT = 150;

/** Every end there is, with what it makes of a figure. Which of them matters is for the chain to say. */
export function endpoints(setup: Setup, figure: (setup: Setup) => number): Endpoint[] {
  const step = setup.transmitter.stepPct ?? 1;
  return setup.program.outputs.flatMap(({ channel }, output) =>
    FIELDS.map((field): Endpoint => {
      const sign = field === 'minPct' ? -1 : 1;
      const pctOf = (steps: number) => sign * Number((steps * step).toFixed(2));
      const patchOf = (steps: number): PatchOperation[] => [
        { op: 'replace', path: pointer('program', 'outputs', output, field), value: pctOf(steps) },
      ];
      return {
        output,
        channel,
        field,
        words: `channel ${channel}, ${WORDS[field]}`,
        most: Math.round(MOST_PCT / step),
        pctOf,
        patchOf,
        figureAt: (steps) => figure(applyPatch(setup, patchOf(steps)) as Setup),
      };
    }),
  );
}

/**
 * The two neighbouring steps between which a rising figure passes a value.
 * @param most as far as is looked; its figure is at least the value, or it is one of the two
 */
export function around(
  { figureAt }: Pick<Endpoint, 'figureAt'>,
  value: number,
  most: number,
): [under: number, over: number] {
  let [under, over] = [0, most];
  while (over - under > 1) {
    const middle = (under + over) >> 1;
    if (figureAt(middle) <= value) under = middle;
    else over = middle;
  }
  return [under, over];
}
