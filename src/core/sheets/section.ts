/** One thing to type or choose. */
export interface SheetStep {
  /** The name that stands for it in a mismatch: a line, an output, an input. */
  id: string;
  entry: string;
  value: string;
}

export interface SheetSection {
  title: string;
  steps: SheetStep[];
}
