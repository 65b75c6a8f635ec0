import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../../tests/kit/setups';
import { answersOf, rebuildAirframe } from '../../catalogue';
import { compileChain } from '../../chain';
import { allExpectations } from '../../directions';
import { builtWith, withLeads, withoutPart } from '../../model';
import {
  parseSetup,
  type Airframe,
  type ChannelFunction,
  type MixId,
  type Setup,
} from '../../setup';
import { verify } from '../../verify';
import { choose, mixesFor, mixSentence, refit, withMix, withoutMix } from '../index';

const mattering = (setup: Setup) =>
  verify(setup)
    .filter((f) => f.severity !== 'note')
    .map((f) => `${f.severity} ${f.rule}: ${f.says}`);

type Leads = Readonly<Record<string, ChannelFunction>>;

/** A model as Model changes it: other answers, built differently, leads that carry something of their own. */
function having(
  setup: Setup,
  airframe: Airframe,
  variants: readonly string[] = [],
  leads: Leads = {},
): Setup {
  const built = builtWith(airframe, variants);
  const next = refit(setup, { airframe: withLeads(built, leads) });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  return next.setup;
}

/** A mix begun as Program begins it, and changed. */
function tried(setup: Setup, id: MixId, change: object = {}) {
  const begun = withMix(setup, setup.intents.program, id).mixes!;
  const value = begun.map((m) => (m.mix === id ? { ...m, ...change } : m)) as typeof begun;
  return choose(setup, { wish: 'mixes', value }, 'all');
}

function mixed(setup: Setup, id: MixId, change: object = {}): Setup {
  const next = tried(setup, id, change);
  if (!next.ok) throw new Error(next.reasons.join('; '));
  const read = parseSetup(JSON.parse(JSON.stringify(next.setup)));
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}

const answered = (setup: Setup, change: object) =>
  rebuildAirframe(setup.airframe, { ...answersOf(setup.airframe), ...change });

const sailplane = (ailerons = 'two-outputs') => {
  const plain = makeSetup();
  return having(plain, answered(plain, { flaps: true, ailerons }));
};
const twin = (leads: Leads = { 'motor-right': 'throttle2' }) => {
  const plain = makeSetup();
  return having(plain, answered(plain, { motors: 2 }), [], leads);
};
const winglets = (leads: Leads = { 'rudder-second': 'rudder2' }) => {
  const plain = makeSetup('flying-wing');
  return having(plain, answered(plain, { rudder: true }), ['two-rudders'], leads);
};
const crawler = (leads: Leads = { 'rear-steering': 'steering2' }) => {
  const plain = makeSetup('car', 'steering-lead', 'surface-six');
  return having(plain, plain.airframe, ['rear-steering'], leads);
};
const tugboat = () => {
  const plain = makeSetup('boat', 'steering-lead', 'surface-six');
  const two = having(plain, plain.airframe, ['second-motor', 'two-rudders'], {
    'motor-second': 'throttle2',
  });
  const motors = two.airframe.motors.map((m) => ({ ...m, reverse: 'reverses' as const }));
  return having(two, { ...two.airframe, motors });
};

/** What surfaces (degrees) and motors (percent) do with some controls away from rest, a unit armed. */
function does(setup: Setup, hands: Record<string, number>): Record<string, number> {
  const chain = compileChain(setup);
  const memory = chain.newMemory();
  memory.armed = true;
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  setup.transmitter.controls.forEach((c, i) => {
    stimulus.controls[i] = hands[c.id] ?? c.rest;
  });
  chain.step(stimulus, memory, frame);
  const { surfaces, motors } = setup.airframe;
  return Object.fromEntries([
    ...surfaces.map((s, i) => [s.label, Math.round(frame.surfaceDeg[i]!) || 0]),
    ...motors.map((m, i) => [m.label, Math.round(frame.motorPct[i]!) || 0]),
  ]);
}

const words = (setup: Setup): string =>
  (setup.intents.program.mixes ?? [])
    .map((m) =>
      mixSentence(setup, m)
        .map((p) =>
          typeof p === 'string'
            ? p
            : p.kind === 'choice'
              ? (p.options.find((o) => o.value === p.value)?.words ?? '?')
              : p.kind === 'number'
                ? `${p.value} %`
                : (setup.transmitter.controls.find((c) => c.id === p.value)?.label ??
                  p.none ??
                  '?'),
        )
        .join(''),
    )
    .join(' ');

describe('mixes that are chosen', () => {
  it.each<[string, () => Setup, MixId[]]>([
    ['a plain aeroplane', () => makeSetup(), ['crow', 'aileron-rudder']],
    ['a delta', () => makeSetup('flying-wing'), []],
    ['a twin', twin, ['crow', 'differential-thrust', 'aileron-rudder']],
    ['winglets', winglets, ['outward-rudders', 'aileron-rudder']],
    ['a crawler', crawler, ['rear-axle']],
    ['a boat with two of each', tugboat, ['differential-thrust']],
  ])('are offered where the model has the parts: %s', (_, make, ids) => {
    expect(mixesFor(make())).toEqual(ids);
  });

  it('crow: ailerons up, flaps down, the elevator a little; nothing at rest', () => {
    const before = sailplane();
    const setup = mixed(before, 'crow', { aileronUpPct: 40, elevatorDownPct: 20 });
    const control = setup.intents.program.mixes!.find((m) => m.mix === 'crow')!.control;
    const { rest } = setup.transmitter.controls.find((c) => c.id === control)!;
    expect(does(setup, {})).toEqual(does(before, {}));
    const full = does(setup, { [control]: rest > 0 ? -100 : 100 });
    expect(full['Left aileron']).toBeLessThan(-8);
    expect(full['Right aileron']).toBe(full['Left aileron']);
    expect(full['Left flap']).toBeGreaterThan(20);
    expect(full['Elevator']).toBeGreaterThan(2);
    expect(mattering(setup)).toEqual(mattering(before));
    expect(words(setup)).toBe(
      'Crow by Knob 2: ailerons 40 % up, flaps 100 % down, elevator 20 % down.',
    );
  });

  it('differential thrust: the inner motor slower, neither faster, only while its switch is on', () => {
    const before = twin();
    const setup = mixed(before, 'differential-thrust');
    const [mix] = setup.intents.program.mixes!;
    if (mix?.mix !== 'differential-thrust' || !mix.only) throw new Error('no switch');
    const { control } = mix.only;
    const cut = before.intents.program.cut!;
    const run = { 'stick-throttle': 50, [cut.control]: 100, 'stick-rudder': 100 };
    const motors = (hands: Record<string, number>) => {
      const { 'Left motor': left, 'Right motor': right } = does(setup, hands);
      return [left, right];
    };
    expect(motors(run)).toEqual([76, 76]);
    expect(motors({ ...run, [control]: 100 })).toEqual([76, 24]);
    expect(motors({ ...run, [control]: 100, 'stick-rudder': -100 })).toEqual([24, 76]);
    // With the throttle closed, or cut, it gives nothing.
    expect(motors({ ...run, [control]: 100, 'stick-throttle': -100 })).toEqual([0, 0]);
    expect(motors({ ...run, [control]: 100, [cut.control]: -100 })).toEqual([0, 0]);
    expect(mattering(setup)).toEqual(mattering(before));
  });

  it('motors against each other: by a switch, and only by the steering', () => {
    const before = tugboat();
    const setup = mixed(before, 'differential-thrust', { way: 'against' });
    expect(mattering(setup)).toEqual(mattering(before));
    const free = { [setup.intents.program.cut!.control]: 100 };
    const on = { ...free, sb: 100 };
    expect(does(setup, { ...free, wheel: 100 })).toMatchObject({
      'Left motor': 0,
      'Right motor': 0,
    });
    expect(does(setup, on)).toMatchObject({ 'Left motor': 0, 'Right motor': 0 });
    expect(does(setup, { ...on, wheel: 100 })).toMatchObject({ 'Left motor': 50 });
    expect(does(setup, { ...on, wheel: -100 })).toMatchObject({ 'Right motor': 50 });
  });

  it('rudders outward only: each is looked at on its own side', () => {
    const before = winglets();
    const setup = mixed(before, 'outward-rudders');
    expect(mattering(setup)).toEqual(mattering(before));
    const right = does(setup, { 'stick-rudder': 100 });
    expect(right['Left rudder']).toBe(0);
    expect(right['Right rudder']).toBeLessThan(-10);
    const left = does(setup, { 'stick-rudder': -100 });
    expect(left['Right rudder']).toBe(0);
    expect(left['Left rudder']).toBeGreaterThan(10);
    expect(
      allExpectations(setup)
        .filter((e) => e.check.axis === 'yaw' && e.check.kind === 'stick')
        .map((e) => `${e.check.instruction}: ${e.surface.label} ${e.movement}`),
    ).toEqual([
      'Move the rudder stick right and hold it: Right rudder right',
      'Move the rudder stick left and hold it: Left rudder left',
    ]);
  });

  it('rear wheels do what was chosen for each position', () => {
    const before = crawler();
    const setup = mixed(before, 'rear-axle');
    expect(mattering(setup)).toEqual(mattering(before));
    const at = (st: number) => {
      const seen = does(setup, { wheel: 100, st });
      return [seen['Left front wheel'], seen['Left rear wheel']].map((d) => Math.sign(d!));
    };
    expect([at(-100), at(0), at(100)]).toEqual([
      [-1, 1],
      [-1, 0],
      [-1, -1],
    ]);
    // The position its switch rests in turns the model, whichever that is.
    const middle = structuredClone(before);
    middle.transmitter.controls.find((c) => c.id === 'st')!.rest = 0;
    expect(mixed(middle, 'rear-axle').intents.program.mixes).toEqual([
      { mix: 'rear-axle', control: 'st', at: ['straight', 'against', 'with'] },
    ]);
    // Whichever position it rests in, the wheels are looked at where they turn the model.
    const crab = mixed(before, 'rear-axle', { at: ['with', 'straight', 'against'] });
    expect(mattering(crab)).toEqual([]);
    const never = mixed(before, 'rear-axle', { at: ['with', 'straight', 'with'] });
    expect(mattering(never)).toEqual([]);
    expect(allExpectations(never).map((e) => e.surface.label)).not.toContain('Left rear wheel');
  });

  it.each(['conventional', 'v-tail', 'inverted-v-tail'] as const)(
    '%s: the rudder goes with the ailerons, the same way as by its own stick',
    (kind) => {
      const before = makeSetup(kind);
      const setup = mixed(before, 'aileron-rudder', { sharePct: 40 });
      expect(mattering(setup)).toEqual(mattering(before));
      const swung = (s: Setup, hands: Record<string, number>) => {
        const seen = does(s, hands);
        return s.airframe.surfaces
          .filter((x) => x.role === 'rudder' || x.role === 'ruddervator')
          .map((x) => seen[x.label]!);
      };
      const own = swung(setup, { 'stick-rudder': 40 });
      const along = swung(setup, { 'stick-aileron': 100 });
      along.forEach((deg, i) => {
        expect(Math.sign(deg)).toBe(Math.sign(own[i]!));
        expect(Math.abs(deg)).toBeGreaterThan(3);
      });
      expect(swung(before, { 'stick-aileron': 100 }).every((deg) => deg === 0)).toBe(true);
    },
  );

  it.each<[string, () => Setup, MixId, object, string]>([
    ['crow on a Y-lead', () => sailplane('y-lead'), 'crow', {}, 'Both ailerons are on one channel'],
    ['thrust on a Y-lead', () => twin({}), 'differential-thrust', {}, 'Both motors are on one'],
    [
      'one channel for two rudders',
      () => winglets({}),
      'outward-rudders',
      {},
      'Both rudders are on',
    ],
    [
      'one channel for two axles',
      () => crawler({}),
      'rear-axle',
      {},
      'Front and rear wheels are on',
    ],
    [
      'controllers that do not reverse',
      twin,
      'differential-thrust',
      { way: 'against' },
      'only where both controllers reverse',
    ],
    [
      'no switch for it',
      tugboat,
      'differential-thrust',
      { way: 'against', only: undefined },
      'choose a switch that allows it',
    ],
    [
      'no such control',
      () => sailplane(),
      'crow',
      { control: 'nothing' },
      'has no control "nothing"',
    ],
    [
      'too few ways',
      crawler,
      'rear-axle',
      { at: ['with', 'against'] },
      '3 positions, 2 were given',
    ],
  ])('%s: refused in words', (_, make, id, change, reason) => {
    expect(tried(make(), id, change)).toMatchObject({
      ok: false,
      reasons: [expect.stringContaining(reason)],
    });
  });

  it.each<[string, () => Setup, MixId, (setup: Setup) => void, RegExp]>([
    [
      'one aileron down',
      () => sailplane(),
      'crow',
      (s) => {
        s.program.lines.find((l) => l.id === 'crow-aileron2-aileron')!.sharePct *= -1;
      },
      /stop mixes: Crow rolls the model, with \d+ %/,
    ],
    [
      'the motors plugged the other way round',
      twin,
      'differential-thrust',
      (s) => {
        const of = (id: string) => s.installation.plugs.find((p) => p.drives.includes(id))!;
        const [left, right] = [of('motor-left'), of('motor-right')];
        [left.drives, right.drives] = [right.drives, left.drives];
      },
      /stop mixes: The motors turn the model against Rudder stick/,
    ],
    [
      'no share left',
      twin,
      'differential-thrust',
      (s) => {
        for (const l of s.program.lines) if (l.id.startsWith('thrust-')) l.sharePct *= 0.05;
      },
      /stop mixes: Differential thrust is chosen, but nowhere/,
    ],
    [
      'crab the other way',
      crawler,
      'rear-axle',
      (s) => {
        for (const l of s.program.lines) if (l.sharePct === -100) l.sharePct = 100;
      },
      /stop mixes: .*near: the left rear wheel must go with the front wheels/,
    ],
    [
      'one rudder both ways',
      winglets,
      'outward-rudders',
      (s) => {
        s.program.lines = s.program.lines.filter((l) => l.id !== 'outward-rudder2');
      },
      /stop sticks: Right rudder moves inward with Rudder stick/,
    ],
    [
      'the wrong rudder out',
      winglets,
      'outward-rudders',
      (s) => {
        const swap = { 'left-only': 'right-only', 'right-only': 'left-only' } as const;
        for (const l of s.program.lines)
          if (l.id.startsWith('outward')) l.shape = swap[l.shape as keyof typeof swap];
      },
      /stop sticks: Left rudder/,
    ],
  ])('%s is found', (_, make, id, seed, found) => {
    const setup = structuredClone(mixed(make(), id));
    seed(setup);
    expect(mattering(setup).join('\n')).toMatch(found);
  });

  it('crow where one aileron is missing is refused: it would roll the model', () => {
    const setup = having(makeSetup(), makeSetup().airframe, [], {
      'aileron-right': 'aileron2',
    });
    const half = withoutPart(setup.airframe, 'aileron-left');
    if (!half.ok) throw new Error(half.reason);
    const next = refit(setup, { airframe: half.airframe });
    if (!next.ok) throw new Error(next.reasons.join('; '));
    expect(tried(next.setup, 'crow')).toMatchObject({
      ok: false,
      reasons: [expect.stringContaining('are not alike on both sides')],
    });
  });
  it('the rudder with the ailerons is refused where rudders move outward only, and the other way round', () => {
    const twin = having(makeSetup(), makeSetup().airframe, ['two-rudders'], {
      'rudder-second': 'rudder2',
    });
    const words = { ok: false, reasons: [expect.stringContaining('move outward only')] };
    expect(tried(mixed(twin, 'outward-rudders'), 'aileron-rudder')).toMatchObject(words);
    expect(tried(mixed(twin, 'aileron-rudder'), 'outward-rudders')).toMatchObject(words);
  });
  it('taken out, the program is what it was', () => {
    const before = sailplane();
    const setup = mixed(before, 'crow');
    const { mixes } = withoutMix(setup.intents.program, 'crow');
    const after = choose(setup, { wish: 'mixes', value: mixes }, 'all');
    if (!after.ok) throw new Error(after.reasons.join());
    expect(after.setup.program).toEqual(before.program);
  });
});
