import type { ScriptStep, TestName } from '../script';
import {
  observedDirections,
  observedStill,
  readings,
  checklist,
  worstOf,
  type StillLook,
} from '../logbook';
import { posesOf } from '../sheets';
import type { Finding } from '../verify';
import type { ProofContext, Proof } from './step';

/** A test with the model in hand, or those of its steps that belong here. */
export const byTest =
  (test: TestName, belongs: (step: ScriptStep) => boolean = () => true) =>
  ({ setup, evidence }: ProofContext): Proof[] =>
    checklist(setup, evidence, test)
      .filter(({ asked }) => belongs(asked))
      .map(({ asked, status, reasons }) => ({
        what: asked.does,
        status,
        reasons,
      }));

/** Directions of one kind, every surface of them. */
export const byDirections =
  (kind: 'stick' | 'correction') =>
  ({ setup, evidence }: ProofContext): Proof[] => [
    ...observedDirections(setup, evidence)
      .filter((o) => o.expectation.check.kind === kind)
      .map(({ expectation, status, reasons }) => ({
        what: `${expectation.check.instruction}: ${expectation.surface.label.toLowerCase()}`,
        status,
        reasons,
      })),
    ...(kind === 'stick' ? nothingElse(observedStill(setup, evidence)) : []),
  ];

/** One line for all sticks: each was held, and nothing moved that must not. */
const nothingElse = (looks: readonly StillLook[]): Proof[] =>
  looks.length === 0
    ? []
    : [
        {
          what: 'Hold each stick in turn: nothing else moves with it',
          status: worstOf(looks.map((l) => l.status)),
          reasons: [...new Set(looks.flatMap((l) => l.reasons))],
        },
      ];

/** The channel monitor read in every pose: one line for each of them. */
export function byReading({ setup, evidence }: ProofContext): Proof[] {
  const read = new Map(readings(setup, evidence).map((r) => [r.asked.id, r]));
  return posesOf(setup).poses.map(({ places, column }, i) => {
    const seen = column.map((r) => read.get(r.id)!);
    const wrong = seen.find((s) => s.status === 'stop')?.asked.channel;
    const hands = places.join(', ') || 'nothing touched';
    return {
      what: `pose ${i + 1}: ${hands}${wrong === undefined ? '' : `; channel ${wrong} shows another value`}`,
      status: worstOf(seen.map((s) => s.status)),
      reasons: [...new Set(seen.flatMap((s) => s.reasons))],
    };
  });
}

/** What the rules find wrong about a step. */
export const byRules = (findings: readonly Finding[]): Proof[] =>
  findings
    .filter((f) => f.severity === 'stop')
    .map((f) => ({ what: f.says, status: 'stop', reasons: [] }));

/** The exhaustive proof of the program: nothing that must stop it. */
export function byVerdict({ findings }: ProofContext): Proof[] {
  if (!findings) return [{ what: 'the proof is running', status: 'todo', reasons: [] }];
  const stops = byRules(findings);
  return stops.length > 0
    ? stops
    : [{ what: 'every state of the program', status: 'proven', reasons: [] }];
}
