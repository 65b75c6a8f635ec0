import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { settled } from '../../../tests/kit/settled';
import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { allExpectations } from '../directions';
import { composeSetup, unsuited, writeWishes } from '../plan';
import { AIRFRAME_KINDS, type GainWish, type ProgramWishes, type Setup } from '../setup';
import { preflightCard, preflightRounds } from './index';

const PAIRS = Object.keys(UNITS).flatMap((unit) =>
  AIRFRAME_KINDS.filter(
    (kind) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).map((kind) => [unit, kind] as const),
);
const itemOf = (setup: Setup, item: string) => preflightCard(setup).find((c) => c.item === item);

function wished(change: Partial<ProgramWishes>): Setup {
  const setup = makeSetup();
  const written = writeWishes(setup, { ...setup.intents.program, ...change });
  if (!written.ok) throw new Error(written.reasons.join());
  return written.setup;
}

describe('the card', () => {
  it.each(PAIRS)('%s in a %s: everything once, in the order it is done', (unit, kind) => {
    const ground = kind === 'car' || kind === 'boat';
    const setup = composeSetup(
      'Carded',
      buildAirframe(usualAnswers(kind)),
      UNITS[unit]!,
      TRANSMITTERS[ground ? 'surface-four' : 'line-sixteen']!,
    );
    const card = preflightCard(setup);
    const items = card.map((c) => c.item);
    expect(new Set(items).size).toBe(items.length);
    expect(items[0]).toBe('look');
    expect(items.at(-1)).toBe('start');
    // The motor runs last of all that is done to the model, and only where there is one.
    expect(items.includes('run-up')).toBe(setup.airframe.motors.length > 0);
    if (items.includes('run-up')) expect(items.indexOf('run-up')).toBe(items.length - 2);
    // What must be seen of surfaces is what the directions expect, surface by surface.
    for (const { check, surface, movement } of allExpectations(setup)) {
      if (check.again) continue;
      const line = card.find((c) => c.item === check.id)!;
      expect(line.sees).toContain(`${surface.label.toLowerCase()} ${movement}`);
    }
    for (const c of card) expect(c.sees.length, c.item).toBeGreaterThan(0);
    // In rounds it is the same card, in the same order, and never longer than seven of them.
    const rounds = preflightRounds(setup);
    expect(rounds.flatMap((r) => r.items)).toEqual(card);
    expect(rounds.length).toBeLessThanOrEqual(7);
  });
  it('modes are those the switch really gives', () => {
    expect(itemOf(makeSetup(), 'modes')!.sees).toEqual([
      'Switch A far: off',
      'Switch A middle: rate damping',
      'Switch A near: self-levelling',
    ]);
    const turned = makeSetup();
    turned.program.outputs.find((o) => o.carries === 'mode')!.reversed = true;
    expect(itemOf(turned, 'modes')!.sees[0]).toBe('Switch A far: self-levelling');
  });
  it('panic is on it only where there is one', () => {
    expect(itemOf(makeSetup(), 'panic')).toBeUndefined();
    const panic = { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } as const;
    expect(itemOf(wished({ panic }), 'panic')!.does).toContain('press panic');
  });
  it.each<[GainWish, RegExp]>([
    [{ by: 'knob', control: 'k1' }, /Knob 1 at half or less/],
    [
      { by: 'values', control: 'sb', pct: [0, 30, 50] },
      /Switch B: 0 %, 30 %, 50 %; start at the lowest/,
    ],
    [{ by: 'fixed', pct: 40 }, /fixed at 40 %/],
    [
      { by: 'flap', control: 'sb', pct: [30, 40, 50], off: 'sg', offPositions: [1] },
      /gain off on Switch G.*30 %, 40 %, 50 %/,
    ],
  ])('gain %j: %s', (gain, words) => {
    const setup = makeSetup();
    const cut = setup.intents.program.cut;
    // The cut moves aside where the master off wants its switch.
    const free = gain.by === 'flap' ? { cut: { ...cut!, control: 'sc' } } : {};
    expect(itemOf(wished({ gain, ...free }), 'gain')!.sees[0]).toMatch(words);
  });
  it('the start is off where there is an off, and the lowest gain where not', () => {
    expect(itemOf(makeSetup(), 'start')!.sees).toEqual(['Switch A far: off, found by feel']);
    const never = makeSetup();
    never.unit.settings.slots = never.unit.settings.slots.map((m) => (m === 'off' ? 'rate' : m));
    expect(itemOf(never, 'start')!.sees[0]).toContain('lowest gain');
  });
  it('in rounds: what is done in one go from one place together, and nothing twice', () => {
    const setup = wished({
      panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
      launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
    });
    expect(preflightRounds(setup).map((r) => [r.title, r.items.map((i) => i.item)])).toEqual([
      ['Before anything moves', ['look']],
      ['Sticks', ['stick-roll', 'stick-pitch', 'stick-yaw']],
      ['Model moved by hand', ['correction-roll', 'correction-pitch', 'correction-yaw']],
      ['Switches and knobs', ['modes', 'gain', 'panic', 'launch']],
      ['Radio link', ['link', 'range']],
      ['Motor', ['run-up']],
      ['Ready to fly', ['start']],
    ]);
    // Where the controls stand is said once, as long as they stay there.
    const moved = preflightRounds(setup)[2]!.items.map((i) => i.does);
    expect(moved[0]).toMatch(/^Switch A middle, Knob 1 at 100 %\. /);
    for (const does of moved.slice(1)) expect(does).not.toContain('Switch');
  });
  it('a glider has no round for a motor', () => {
    const setup = makeSetup();
    setup.airframe.motors = [];
    setup.installation.plugs = setup.installation.plugs.filter((p) => !p.drives.includes('motor'));
    expect(preflightRounds(setup).map((r) => r.title)).not.toContain('Motor');
  });
  it('a boat is held all the same, its propeller clear', () => {
    const boat = makeSetup('boat', 'steering-receiver', 'surface-four');
    expect(itemOf(boat, 'run-up')!.does).toMatch(
      /^In the water or in a cradle, propeller clear, the model held/,
    );
    expect(itemOf(boat, 'link')!.does).toMatch(/^Model held/);
  });
});

describe('the bench stands as each line says', () => {
  const SETUPS = [
    makeSetup(),
    makeSetup('v-tail'),
    makeSetup('flying-wing'),
    makeSetup('conventional', 'autopilot'),
    makeSetup('car', 'steering-receiver', 'surface-four'),
    wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } }),
  ];
  const goesOf = (sees: readonly string[]) =>
    sees.flatMap((s) => {
      const found = /^(.+) (up|down|left|right)$/.exec(s);
      return found ? [[found[1]!, found[2]!] as const] : [];
    });
  it.each(SETUPS)(
    'sticks and whatever is kept tipped: the surfaces go where it says (%#)',
    (setup) => {
      const kept = allExpectations(setup).filter(
        ({ check }) => !check.again && (check.kind === 'stick' || check.way === 'held'),
      );
      expect(kept.length).toBeGreaterThan(0);
      for (const id of new Set(kept.map((e) => e.check.id))) {
        const line = itemOf(setup, id)!;
        const { twin } = settled(setup, line);
        const goes = goesOf(line.sees);
        expect(goes.length, id).toBeGreaterThan(0);
        for (const [surface, way] of goes)
          expect(twin.join('; ').toLowerCase(), line.does).toMatch(
            new RegExp(`${surface} \\d+° ${way}`),
          );
      }
    },
  );
  it.each(SETUPS)(
    'the motor stands still in every line but the run-up, and runs in that (%#)',
    (setup) => {
      for (const line of preflightCard(setup)) {
        if (!line.state) continue;
        const { motorPct, linkUp } = settled(setup, line);
        expect(linkUp, line.item).toBe(line.item !== 'link');
        if (line.item === 'run-up') expect(Math.max(...motorPct)).toBeGreaterThan(90);
        else expect(Math.max(0, ...motorPct), line.item).toBeLessThan(5);
      }
    },
  );
  it('every line has a state, but one that plays through several', () => {
    const setup = SETUPS.at(-1)!;
    for (const { item, state } of preflightCard(setup)) expect(state, item).toBeDefined();
    expect(itemOf(setup, 'panic')!.state).toEqual({
      controls: { sm: 100 },
      attitudeDeg: { roll: 50 },
    });
  });
});
