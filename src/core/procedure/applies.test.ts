import { describe, expect, it } from 'vitest';
import { wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { addLatches } from '../../../tests/kit/large';
import { checksFor } from '../directions';
import { preflightCard } from '../preflight';
import { plainScript, isThrow } from '../preparation';
import { failsafeScript, panicScript } from '../recovery';
import { parseSetup, type Setup } from '../setup';
import { readBacksOf } from '../sheets';
import { chassisScript } from '../tuning';
import { proofOf } from '../verify';
import { jobOf, STEPS } from './index';

const applying = (setup: Setup) => STEPS.filter((s) => s.applies(setup)).map((s) => s.id);
const panicky = () => wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } });

describe('whether a step applies', () => {
  it.each([
    ['an aeroplane', makeSetup()],
    ['with panic', panicky()],
    ['a car', makeSetup('car', 'steering-receiver', 'surface-four')],
    ['a boat', makeSetup('boat', 'steering-receiver', 'surface-four')],
    ['an autopilot', makeSetup('conventional', 'autopilot')],
    ['locked', wished({ lock: { until: 'chassis' } })],
  ])('is what its script says: %s', (_, setup) => {
    const ids = applying(setup);
    expect(ids.includes('panic')).toBe(panicScript(setup).length > 0);
    expect(ids.includes('failsafe')).toBe(failsafeScript(setup).length > 0);
    expect(ids.includes('entry')).toBe(readBacksOf(setup).length > 0);
    expect(ids.includes('corrections')).toBe(checksFor(setup).some((c) => c.kind === 'correction'));
    expect(ids.includes('chassis')).toBe(chassisScript(setup).length > 0);
    expect(ids.includes('throws')).toBe(plainScript(setup).some(isThrow));
    expect(preflightCard(setup).length).toBeGreaterThan(0);
  });
});

describe('panic of a program with more states than can be listed', () => {
  const setup = panicky();
  addLatches(setup, 12);
  it('is a step all the same, with one line for all of them, and not proven', () => {
    expect(proofOf(setup).complete).toBe(false);
    const script = panicScript(setup);
    expect(script).toHaveLength(1);
    expect(script[0]!.does).toMatch(/^There are too many combinations to list/);
    expect(script[0]!.sees.length).toBeGreaterThan(1);
    const step = jobOf({ setup, evidence: [], findings: [] }).find((j) => j.step.id === 'panic')!;
    expect(step.status).toBe('todo');
  });
});

it('an entry reads so many things and no more, however they are nested', () => {
  const setup = makeSetup();
  const eight = (of: () => object) => ({ kind: 'any', of: Array.from({ length: 8 }, of) });
  const place = () => ({ kind: 'switch', control: 'sd', position: 2 });
  const [line] = setup.program.lines;
  const withWhen = (when: object) => ({
    ...setup,
    program: { ...setup.program, lines: [{ ...line, when }, ...setup.program.lines.slice(1)] },
  });
  expect(parseSetup(withWhen(eight(place)))).toMatchObject({ ok: true });
  expect(parseSetup(withWhen(eight(() => eight(() => eight(place)))))).toMatchObject({
    ok: false,
    problems: [
      {
        path: '/program/lines/0',
        reason: 'reads more than 100 things: split its conditions into logic',
      },
    ],
  });
});
