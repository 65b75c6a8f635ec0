export * from './channels';
export * from './compose';
export * from './figures';
export * from './functions';
export * from './gain-knob';
export * from './gain-sides';
export * from './plugs';
export * from './steering-ends';
export * from './throws';
export * from './travel';
export { usualRecovery } from './usual';
export * from './replan';
export * from './recover';
export * from './refit';
export * from './differential';
export * from './wishes';
export * from './offers';
export {
  freeControl,
  mixesFor,
  mixSentence,
  mixWords,
  withMix,
  withMixAs,
  withoutMix,
  type Piece,
} from './mixes';
