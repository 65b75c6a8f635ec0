import { describeSurface } from '../core/chain';
import { allExpectations, diagnose, predictAll } from '../core/directions';
import type { Setup } from '../core/setup';
import { verify } from '../core/verify';

/** What the chain says every surface does in every direction check, and what would put it right. */
export function checkDirections(setup: Setup) {
  const predictions = predictAll(setup);
  const directions = allExpectations(setup).map(({ check, surface, movement }) => {
    const answer = predictions.get(check.id)!.get(surface.id)!;
    return {
      check: check.id,
      surface: surface.id,
      wanted: movement,
      does: answer.movement,
      words: describeSurface(surface, answer.deg),
      right: answer.movement === movement,
    };
  });
  const { changes, proved } = diagnose(
    setup,
    directions.map((d) => ({ check: d.check, surface: d.surface, seen: d.does })),
  );
  const findings = verify(setup).map(({ rule, severity, says, where, remedies }) => ({
    rule,
    severity,
    says,
    where,
    remedies,
  }));
  const ok = directions.every((d) => d.right) && findings.every((f) => f.severity !== 'stop');
  return {
    ok,
    name: setup.name,
    directions,
    findings,
    changes: changes.map(({ place, title, why, patch }) => ({ place, title, why, patch })),
    proved,
  };
}
