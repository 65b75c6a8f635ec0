import { describe, expect, it } from 'vitest';
import { share } from '../../../../tests/kit/share';
import { AIRFRAMES_TO_TRY, together } from '../../../../tests/kit/together';
import {
  FAILSAFE_SCHOOLS,
  PANIC_WAYS,
  WISHES,
  parseSetup,
  type Line,
  type Setup,
} from '../../setup';
import { choose, claimed, failsafeSchools, panicWays, positionsOfSwitches, rewrite } from './index';
import type { Choice } from './choose';
import { LISTS } from './draft';

/** Every unit in every airframe and transmitter that it goes together with. */
const TOGETHER = together(AIRFRAMES_TO_TRY);

const compose = ({ setup }: { setup: Setup }): Setup => checked(setup);

function checked(setup: Setup): Setup {
  const read = parseSetup(setup);
  if (!read.ok) throw new Error(`${read.problems[0]!.path} ${read.problems[0]!.reason}`);
  return read.value;
}

/** A choice of every kind that these parts allow. */
function choicesFor(setup: Setup): Choice[] {
  const { controls } = setup.transmitter;
  const three =
    controls.find((c) => c.kind === 'switch-3') ?? controls.find((c) => /^switch/.test(c.kind));
  const last = controls.findLast((c) => /^switch/.test(c.kind));
  const button = controls.find((c) => c.kind === 'momentary') ?? last;
  const knob = controls.findLast((c) => c.kind === 'knob' || c.kind === 'slider');
  const { program: wishes } = setup.intents;
  const count = (id: string) => positionsOfSwitches(setup, [id]);
  const list: Choice[] = [
    {
      wish: 'rates',
      value: { by: 'mode', off: { pct: 60, expoPct: 30 }, on: { pct: 100, expoPct: 10 } },
    },
    { wish: 'timer', value: { minutes: 7 } },
    { wish: 'voice', value: { modes: true } },
    { wish: 'cut', value: undefined },
    ...FAILSAFE_SCHOOLS.filter((s) => failsafeSchools(setup)[s] === undefined).map(
      (school): Choice => ({ wish: 'failsafe', value: { school, pitchDeg: 4, rollDeg: 10 } }),
    ),
  ];
  if (wishes.modes)
    list.push({
      wish: 'modes',
      value: { ...wishes.modes, table: wishes.modes.table.toReversed() },
    });
  if (three) {
    list.push({
      wish: 'gain',
      value: { by: 'values', control: three.id, pct: [0, 30, 60].slice(0, count(three.id)) },
    });
    list.push({
      wish: 'rates',
      value: {
        by: 'switch',
        control: three.id,
        at: Array.from({ length: count(three.id) }, (_, i) => ({ pct: 60 + 20 * i, expoPct: 15 })),
      },
    });
  }
  if (knob) list.push({ wish: 'gain', value: { by: 'knob', control: knob.id } });
  if (button)
    list.push(
      ...PANIC_WAYS.filter((w) => panicWays(setup)[w] === undefined && w !== 'mode-position').map(
        (way): Choice => ({
          wish: 'panic',
          value:
            way === 'none'
              ? { way, holdS: 0 }
              : { way, control: button.id, holdS: 0.4, gainPct: 55 },
        }),
      ),
      { wish: 'launch', value: { control: button.id, holdS: 1, elevatorPct: 20, releasePct: 8 } },
    );
  return list;
}

/** Something of everything, by the person. */
function withOnesOwn(setup: Setup): Setup {
  const own = structuredClone(setup);
  const { channel } = own.program.outputs.at(-1)!;
  const { id } = own.transmitter.controls.find((c) => /^switch/.test(c.kind))!;
  const line: Line = {
    id: 'mine',
    channel,
    follows: { kind: 'control', id },
    sharePct: 3,
    shiftPct: 0,
    effect: 'adds',
  };
  own.program.lines.splice(1, 0, line);
  own.program.inputs[0]!.rates.unshift({
    when: { kind: 'switch', control: id, position: 1 },
    sharePct: 44,
    expoPct: 4,
  });
  own.program.callouts.push({
    id: 'mine',
    when: { kind: 'switch', control: id, position: 0 },
    say: 'Mine',
  });
  return checked(own);
}

type Owned = { owner?: string; rates?: readonly Owned[] };

/** What does not belong to a choice, list by list, as it is written. */
const othersOf = ({ program }: Setup, wish: string): string =>
  JSON.stringify([
    ...LISTS.map((list) =>
      (program[list] as readonly Owned[]).flatMap((e) =>
        e.owner === wish
          ? []
          : [e.rates ? { ...e, rates: e.rates.filter((r) => r.owner !== wish) } : e],
      ),
    ),
    program.outputs,
  ]);

describe('one writer', () => {
  const some = share(TOGETHER, 80);
  it('has hundreds of sets of parts to write for', () => {
    expect(TOGETHER.length).toBeGreaterThan(250);
  });
  it.each(some)('$name: written again changes no byte', (parts) => {
    for (const setup of [compose(parts), withOnesOwn(compose(parts))])
      for (const wish of WISHES) {
        const again = rewrite(setup, wish);
        expect(again.reasons).toEqual([]);
        expect(JSON.stringify(again.setup)).toBe(JSON.stringify(setup));
      }
  });
  it.each(some)('$name: a choice changes nothing but its own', (parts) => {
    const setup = withOnesOwn(compose(parts));
    let taken = 0;
    for (const choice of choicesFor(setup)) {
      const next = choose(setup, choice);
      if (!next.ok) continue;
      taken += 1;
      const moved = next.setup.program.outputs.length !== setup.program.outputs.length;
      if (!moved) expect(othersOf(next.setup, choice.wish)).toBe(othersOf(setup, choice.wish));
      // With a channel more or less everything else is where it was, and as it was.
      else
        for (const o of setup.program.outputs)
          if (next.setup.program.outputs.some((n) => n.carries === o.carries))
            expect(next.setup.program.outputs).toContainEqual(o);
      expect(JSON.stringify(rewrite(next.setup, choice.wish).setup)).toBe(
        JSON.stringify(next.setup),
      );
      // And what it says would go along is all that is then out of step.
      const all = choose(setup, choice, 'all');
      if (!all.ok) throw new Error(all.reasons.join());
      for (const wish of WISHES)
        expect(
          `${wish} ${JSON.stringify(rewrite(all.setup, wish).setup) === JSON.stringify(all.setup)}`,
        ).toBe(`${wish} true`);
    }
    expect(taken).toBeGreaterThan(4);
  });
});

describe('what was changed by hand', () => {
  const setup = compose(TOGETHER.find((t) => t.name.startsWith('menu-receiver, line-sixteen'))!);
  const edited = (change: (s: Setup) => void) => {
    const after = structuredClone(setup);
    change(after);
    const read = parseSetup(after);
    if (!read.ok) throw new Error(read.problems[0]!.reason);
    return claimed(setup, read.value);
  };
  it('is the person’s, and no choice writes over it', () => {
    const mine = edited((s) => (s.program.lines.find((l) => l.id === 'mode')!.sharePct = 90));
    const line = mine.program.lines.find((l) => l.id === 'mode')!;
    expect(line).toMatchObject({ sharePct: 90 });
    expect(line.owner).toBeUndefined();
    const modes = mine.intents.program.modes!;
    const next = choose(mine, {
      wish: 'modes',
      value: { ...modes, table: modes.table.toReversed() },
    });
    expect(next.ok && next.setup.program.lines.find((l) => l.id === 'mode')).toEqual(line);
    expect(next.ok && next.kept).toEqual(['lines mode']);
  });
  it('a rate stays while others are written around it', () => {
    const mine = edited((s) => (s.program.inputs[0]!.rates[0]!.sharePct = 71));
    expect(mine.program.inputs[0]!.rates[0]!.owner).toBeUndefined();
    expect(mine.program.inputs[1]!.rates[0]!.owner).toBe('rates');
    const next = choose(mine, { wish: 'rates', value: { by: 'one', pct: 80, expoPct: 5 } });
    if (!next.ok) throw new Error(next.reasons.join());
    expect(next.setup.program.inputs[0]!.rates.map((r) => r.sharePct)).toEqual([71]);
    expect(next.setup.program.inputs[1]!.rates.map((r) => r.sharePct)).toEqual([80]);
  });
  it('an edit elsewhere claims nothing', () => {
    const next = edited((s) => (s.program.outputs[0]!.subtrimPct = 4));
    expect(next.program.lines).toEqual(setup.program.lines);
  });
});
