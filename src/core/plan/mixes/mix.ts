import type { ControlKind, Mix, MixId, Setup } from '../../setup';
import type { Draft } from '../wishes/draft';

/** A mix of one kind. */
export type MixBy<I extends MixId> = Extract<Mix, { mix: I }>;

/** A piece of the sentence a mix is said in: words, or something that is changed where it stands. */
export type Piece<M> =
  | string
  | {
      kind: 'number';
      label: string;
      value: number;
      unit: '%';
      /** The figure's place in the mix. */
      at: string;
      set: (value: number) => M;
    }
  | {
      kind: 'control';
      label: string;
      kinds: readonly ControlKind[];
      /** Single controls that may be chosen as well. */
      also?: readonly string[];
      value: string | undefined;
      /** Words for no control at all; without them one must be chosen. */
      none?: string;
      set: (control: string | undefined) => M;
    }
  | {
      kind: 'choice';
      label: string;
      value: string;
      options: readonly { value: string; words: string }[];
      set: (value: string) => M;
    };

/** One mix: for which models it is, how it begins, what it writes, and the sentence it is said in. */
export interface MixKind<I extends MixId = MixId> {
  /** When practitioners choose it. */
  when: string;
  /** Whether the model has the parts it is about. */
  offered(setup: Setup): boolean;
  first(setup: Setup, free: FreeControl): MixBy<I>;
  /** Writes its lines, or why they cannot be. */
  write(draft: Draft, mix: MixBy<I>): void;
  says(setup: Setup, mix: MixBy<I>): Piece<MixBy<I>>[];
}

/** The first control of these kinds that nothing uses yet, else the first of them; '' where there is none. */
export type FreeControl = (kinds: readonly ControlKind[]) => string;
