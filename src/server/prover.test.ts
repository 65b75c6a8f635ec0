import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../tests/kit/setups';
import { share } from '../../tests/kit/share';
import { everythingSeen } from '../demo/kit';
import { LAKE_HOLLOW } from '../../tests/kit/lake-hollow';
import { stamp } from '../core/logbook';
import type { Setup } from '../core/setup';
import { PROVER } from '../core/verdict';
import type { Failure } from './failure';
import { answerPage } from './prover';

const signal = new AbortController().signal;
const asked = async (data: unknown) => (await answerPage(data, signal)).json() as Promise<unknown>;
const refused = (data: unknown) =>
  answerPage(data, signal).then(
    () => [],
    (error: Failure) => error.problems.map((p) => p.path),
  );

describe('what a page asks', () => {
  it.each(share(LAKE_HOLLOW, 3).map((make) => [make().versions.at(-1)!.setup.name, make] as const))(
    '%s: the verdict arrives as it was worked out',
    async (_, make) => {
      const { setup } = make().versions.at(-1)!;
      expect(await asked({ question: 'verdict', of: [setup] })).toEqual(
        PROVER.verdict(setup, () => undefined),
      );
    },
  );
  it('what a change and an event would undo', async () => {
    const setup = makeSetup();
    const evidence = everythingSeen(setup).map((s) => ({
      ...s,
      parts: stamp(setup, s),
      version: 1,
      at: '2026-01-01T00:00:00.000Z',
    }));
    const mounting = setup.installation.mounting === 'nose-up' ? 'tail-up' : 'nose-up';
    const turned: Setup = { ...setup, installation: { ...setup.installation, mounting } };
    const killed = PROVER.killedBy(setup, turned, evidence);
    expect(killed.length).toBeGreaterThan(0);
    expect(await asked({ question: 'killedBy', of: [setup, turned, evidence] })).toEqual(killed);
    const undone = PROVER.undoneByEvents(setup, evidence);
    expect(Object.values(undone).flat().length).toBeGreaterThan(0);
    expect(await asked({ question: 'undoneByEvents', of: [setup, evidence] })).toEqual(undone);
  });
  it.each([
    ['nothing', undefined, ['']],
    ['another question', { question: 'weather', of: [] }, ['/question']],
    ['no Setup', { question: 'verdict', of: [{}] }, ['/format']],
    ['evidence that is none', { question: 'undoneByEvents', of: [makeSetup(), [{}]] }, ['/of/1/0']],
  ])('%s is refused where it is wrong', async (_, data, paths) => {
    const found = await refused(data);
    expect(found.length).toBeGreaterThan(0);
    for (const path of paths) expect(found.some((f) => f.startsWith(path))).toBe(true);
  });
});
