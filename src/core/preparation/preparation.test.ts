import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { buildAirframe, usualAnswers, TRANSMITTERS, UNITS, USUAL_STEERING } from '../catalogue';
import { composeSetup } from '../plan';
import { identifyScript, plainScript, safeScript, steeringScript, unitScript } from './index';

const car = () => makeSetup('car', 'steering-receiver', 'surface-four');
const items = (script: { item: string }[]) => script.map((s) => s.item);

describe('knowing what is on the bench', () => {
  it('a new unit is looked at and bound, one with a past is reset first', () => {
    const setup = makeSetup();
    expect(items(identifyScript(setup))).toEqual(['versions', 'bound']);
    setup.installation.secondHand = true;
    expect(items(identifyScript(setup))).toEqual(['versions', 'reset', 'bound']);
  });
  it('shows the versions as they are written down', () => {
    const setup = makeSetup();
    expect(identifyScript(setup)[0]!.sees[0]).toContain('not written down');
    setup.installation.unitHardware = '2';
    setup.installation.unitFirmware = '3.1';
    expect(identifyScript(setup)[0]!.sees[0]).toBe('unit: 2, 3.1');
  });
  it('a missing menu is explained only for units that have one', () => {
    const says = (unit: string) =>
      identifyScript(makeSetup('conventional', unit)).at(-1)!.sees.join();
    expect(says('menu-receiver')).toContain('a missing menu');
    expect(says('dial-gyro')).not.toContain('menu');
  });
});

describe('making it safe', () => {
  it('is for models with a motor, in the words of their kind', () => {
    expect(safeScript(makeSetup())[0]!.does).toBe('Propeller off.');
    expect(safeScript(car())[0]!.does).toMatch(/^Pinion out/);
    const glider = composeSetup(
      'Glider',
      buildAirframe({ ...usualAnswers('v-tail'), motors: 0 }),
      UNITS['menu-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
    expect(safeScript(glider)).toEqual([]);
  });
});

describe('the plain model', () => {
  it('has its leads, centres, throws and ends looked at', () => {
    expect(items(plainScript(makeSetup()))).toEqual(['plugs', 'cut', 'centres', 'throws', 'ends']);
  });
  it('throws are said for every surface, both ways, in millimetres and degrees', () => {
    const setup = makeSetup();
    const throws = plainScript(setup).find((s) => s.item === 'throws')!.sees;
    expect(throws).toHaveLength(setup.airframe.surfaces.length);
    for (const words of throws)
      expect(words).toMatch(/: \d+ mm \(\d+°\) \w+, \d+ mm \(\d+°\) \w+$/);
    expect(throws.find((w) => w.startsWith('rudder'))).toMatch(/left.*right|right.*left/);
    // A shorter end is a shorter throw.
    const less = structuredClone(setup);
    less.program.outputs.find((o) => o.carries === 'elevator')!.maxPct = 50;
    expect(plainScript(less).find((s) => s.item === 'throws')!.sees).not.toEqual(throws);
  });
  it('flaps are tried by themselves', () => {
    const flapped = composeSetup(
      'Flapped',
      buildAirframe({ ...usualAnswers('conventional'), flaps: true }),
      UNITS['menu-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
    const flaps = plainScript(flapped).find((s) => s.item === 'flaps')!;
    expect(flaps.sees.join()).toMatch(/flap.*with its own switch, and with nothing else/);
  });
  it('a car has its two ends set one by one, quiet at both, at a station of their own', () => {
    expect(items(plainScript(car()))).toEqual(['plugs', 'cut', 'centres']);
    const [left, right, slop] = steeringScript(car());
    expect(left!.does).toBe('Unit off. Steer slowly to full left, and hold.');
    expect(right!.sees.join()).toMatch(/\d+ mm \(\d+°\) right.*the servo is quiet/);
    expect(slop!.sees[0]).toMatch(/^hardly any free play/);
    const measured = car();
    measured.airframe.steering = { ...USUAL_STEERING };
    expect(steeringScript(measured)[0]!.sees[1]).toMatch(/^left wheel 32°, right wheel \d+° left$/);
    expect(steeringScript(makeSetup())).toEqual([]);
  });
});

it('every setting of the unit is entered and read back by itself; an idle mode is looked for where modes can be set', () => {
  const script = unitScript(makeSetup());
  expect(items(script)).toEqual(expect.arrayContaining(['roll', 'pitch', 'yaw', 'orientation']));
  const roll = script.find((s) => s.item === 'roll')!;
  expect(roll.does).toBe('Roll: enter it, leave the menu, open it again and read it back.');
  expect(roll.sees).toEqual(
    expect.arrayContaining(['correction normal', 'gain 100 %', 'stick fade 100 %']),
  );
  expect(script.at(-1)!.item).toBe('enabled');
  const unsettable = makeSetup();
  unsettable.unit.traits.slotsSettable = false;
  expect(items(unitScript(unsettable))).not.toContain('enabled');
});
it('is entered as the unit lets it: by presses, by small switches, by how far a dial is turned', () => {
  const sees = (unit: string) =>
    unitScript(makeSetup('conventional', unit))
      .map((s) => s.sees.join())
      .join('\n');
  // As it comes it is right: whoever presses all the same turns it round.
  expect(sees('button-stabilizer')).toContain('correction normal (factory setting: do not press)');
  expect(sees('button-stabilizer')).not.toContain('presses of its button');
  const turned = makeSetup('conventional', 'button-stabilizer');
  turned.unit.settings.axes.pitch.reversed = true;
  const pitch = unitScript(turned).find((s) => s.item === 'pitch')!;
  expect(pitch.sees.join()).toContain('correction reversed (2 presses of its button)');
  expect(sees('button-stabilizer')).toContain('a third of a turn up from minimum');
  expect(sees('switch-receiver')).toContain('with the small switch for roll');
  expect(sees('dial-gyro')).toContain('an eighth of a turn to the right of its centre');
});
