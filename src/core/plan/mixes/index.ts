import { MIX_NAMES } from '../../model';
import {
  MIX_IDS,
  capital,
  controlsWished,
  type ControlKind,
  type Mix,
  type MixId,
  type ProgramWishes,
  type Setup,
} from '../../setup';
import type { Draft } from '../wishes/draft';
import { aileronRudder } from './aileron-rudder';
import { crow } from './crow';
import type { FreeControl, MixBy, MixKind, Piece } from './mix';
import { outward } from './outward';
import { rearAxle } from './rear-axle';
import { thrust } from './thrust';

export type { Piece } from './mix';

type Kinds = { readonly [I in MixId]: MixKind<I> };

/** Every mix; a new one is its entry in the schema, a file and a line here. */
const KINDS: Kinds = {
  crow,
  'differential-thrust': thrust,
  'outward-rudders': outward,
  'aileron-rudder': aileronRudder,
  'rear-axle': rearAxle,
};

const kindOf = <I extends MixId>(id: I): MixKind<I> => KINDS[id] as unknown as MixKind<I>;

/** What a mix is called, and when it is chosen. */
export const mixWords = (id: MixId): { title: string; when: string } => ({
  title: capital(MIX_NAMES[id]),
  when: KINDS[id].when,
});

/** Mixes a model has the parts for. */
export const mixesFor = (setup: Setup): MixId[] => MIX_IDS.filter((id) => KINDS[id].offered(setup));

/** Writes every mix that was chosen. */
export function writeMixes(draft: Draft, mixes: NonNullable<ProgramWishes['mixes']>): void {
  for (const mix of mixes) writeOne(draft, mix);
}

const writeOne = <I extends MixId>(draft: Draft, mix: MixBy<I>): void =>
  kindOf<I>(mix.mix as I).write(draft, mix);

/** The sentence of a mix: words, and what is changed where it stands. */
export const mixSentence = <I extends MixId>(setup: Setup, mix: MixBy<I>): Piece<Mix>[] =>
  kindOf<I>(mix.mix as I).says(setup, mix) as Piece<Mix>[];

/** The choices with a mix begun, changed, or taken out. */
export const withMix = (setup: Setup, wishes: ProgramWishes, id: MixId): ProgramWishes => ({
  ...wishes,
  mixes: [...(wishes.mixes ?? []), kindOf(id).first(setup, freeControl(setup, wishes))],
});
export const withMixAs = (wishes: ProgramWishes, mix: Mix): ProgramWishes => ({
  ...wishes,
  mixes: (wishes.mixes ?? []).map((m) => (m.mix === mix.mix ? mix : m)),
});
export function withoutMix({ mixes = [], ...wishes }: ProgramWishes, id: MixId): ProgramWishes {
  const left = mixes.filter((m) => m.mix !== id);
  return left.length > 0 ? { ...wishes, mixes: left } : wishes;
}

/** A control nothing uses yet, of the first kind there is one of; else any of those kinds. */
export const freeControl =
  ({ transmitter }: Setup, wishes: ProgramWishes): FreeControl =>
  (kinds: readonly ControlKind[]) => {
    const used = new Set(controlsWished(wishes));
    const of = (kind: ControlKind) => transmitter.controls.filter((c) => c.kind === kind);
    const free = kinds.flatMap((kind) => of(kind).filter((c) => !used.has(c.id)));
    return (free[0] ?? kinds.flatMap(of)[0])?.id ?? '';
  };
