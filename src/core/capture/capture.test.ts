import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { captureScript, cornerWords, leftovers, movedSticks } from './index';

describe('the stick corner', () => {
  it('is where the leaflet shows it with nothing reversed', () => {
    expect(movedSticks(makeSetup())).toEqual([]);
    expect(cornerWords(movedSticks(makeSetup()))).toContain('where the leaflet shows');
  });
  it.each([
    ['aileron', 'left', 'right'],
    ['elevator', 'back', 'away from you'],
    ['throttle', 'low', 'high'],
    ['rudder', 'left', 'right'],
  ])('moves with the %s reversed', (stick, shown, hold) => {
    const setup = makeSetup();
    setup.program.outputs.find((o) => o.carries === stick)!.reversed = true;
    expect(cornerWords(movedSticks(setup))).toBe(
      `Where the leaflet has the ${stick} stick ${shown}, hold it ${hold}.`,
    );
  });
});

describe('what trims leave', () => {
  it('is nothing on a clean Setup, and in degrees of bank with a subtrim', () => {
    const setup = makeSetup();
    expect(leftovers(setup)).toEqual([]);
    setup.program.outputs.find((o) => o.carries === 'aileron')!.subtrimPct = 10;
    const [left] = leftovers(setup);
    expect(left!.axis).toBe('roll');
    // A tenth of the stick asks for a tenth of the angle limit.
    expect(left!.asksDeg).toBeCloseTo((left!.pct * setup.unit.settings.angleLimitsDeg.roll) / 100);
    expect(left!.becomes).toMatch(/bank to the right/);
  });
  it('is a drift where nothing levels', () => {
    const setup = makeSetup('conventional', 'satellite-gyro');
    setup.program.outputs.find((o) => o.carries === 'elevator')!.subtrimPct = 10;
    expect(leftovers(setup)[0]!.becomes).toBe('in hold a steady drift');
  });
});

it('the script names the gestures of the unit, a steering unit its own', () => {
  expect(captureScript(makeSetup())[0]!.does).toContain('start the capture in its menu');
  expect(captureScript(makeSetup('car', 'steering-receiver', 'surface-four'))[0]!.does).toContain(
    'full left and hold until it centres itself',
  );
});
