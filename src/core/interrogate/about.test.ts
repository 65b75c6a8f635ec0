import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { randomOf } from '../dice';
import { facetsOf, withValues } from '../possible';
import { runsOf } from './about';
import { experimentsFor } from './experiments';
import { benchOf } from './show';

const UNITS = 6;

describe('experiments that begin alike', () => {
  it.each([
    ['conventional', 'menu-receiver'],
    ['conventional', 'gesture-stabilizer'],
    ['flying-wing', 'autopilot'],
  ] as const)('%s with %s: one run shows what each of them shows', (kind, name) => {
    const setup = makeSetup(kind, name);
    const experiments = experimentsFor(setup).filter((e) => e.parts === undefined);
    const looked = [...experiments.keys()];
    const runs = runsOf({ experiments, looked, firm: () => true });
    expect(
      runs.flatMap((run) => run.of.map(({ number }) => number)).toSorted((a, b) => a - b),
    ).toEqual(looked);
    expect(runs.length).toBeLessThan(looked.length);
    const bench = benchOf(setup);
    const random = randomOf(7);
    for (let n = 0; n < UNITS; n++) {
      const unit = bench(
        withValues(
          setup,
          facetsOf(setup).map(({ values }) => values[Math.floor(random() * values.length)]!),
        ),
      );
      for (const run of runs) {
        const { looks } = unit.look(run.experiment);
        for (const { number, glances } of run.of)
          expect(
            glances.map((k) => looks[k]),
            experiments[number]!.id,
          ).toEqual(unit.look(experiments[number]!).looks);
      }
    }
  });

  it('do not share a run where one may come into other positions', () => {
    const experiments = experimentsFor(makeSetup()).filter((e) => e.parts === undefined);
    const looked = [...experiments.keys()];
    const runs = runsOf({ experiments, looked, firm: () => false });
    expect(runs.every((run) => run.of.length === 1)).toBe(true);
  });
});
