export { verdictOf, type Verdict } from './verdict';
export { PROVER, type Prover, type ProverQuestion } from './prover';
