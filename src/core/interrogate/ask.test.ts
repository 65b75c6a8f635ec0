import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { FULL, SEED, share } from '../../../tests/kit/share';
import { UNITS } from '../catalogue';
import { randomOf } from '../dice';
import { facetsOf, grounded, withValues, type Value } from '../possible';
import { groundOf, type Setup } from '../setup';
import {
  asking,
  experimentsFor,
  experimentWords,
  found,
  looksOf,
  observerOf,
  possibleUnit,
  recordOf,
  wrongly,
  type Answer,
  type Asking,
  type Experiment,
  type Glance,
  type Told,
} from './index';
import { unknownOf } from './unknown';

const PERFECT = { wrong: 0, unsure: 0, seed: 1 };

const NAMES = Object.keys(UNITS);
const described = (name: string): Setup =>
  name.startsWith('steering')
    ? makeSetup('car', name, 'surface-four')
    : makeSetup('conventional', name);

/** The same description, but nobody says any of it. */
const nothingKnown = (setup: Setup): Setup => grounded(setup, facetsOf(setup), 'assumed');

/** A unit out of everything that is possible, and the values it has. */
function anyUnit(setup: Setup, seed: number): { real: Setup; keys: Map<string, string> } {
  const random = randomOf(seed);
  const picked = facetsOf(setup).map((facet) => ({
    facet,
    value: facet.values[Math.floor(random() * facet.values.length)]!,
  }));
  return {
    real: withValues(
      setup,
      picked.filter(({ facet, value }) => value.key !== facet.now).map(({ value }) => value),
    ),
    keys: new Map(picked.map(({ facet, value }) => [facet.id, value.key])),
  };
}

const keysOf = (setup: Setup) =>
  new Map(facetsOf(setup).flatMap((f) => (f.now === undefined ? [] : [[f.id, f.now] as const])));

/**
 * Asks to the end. `leaving` counts experiments that could leave fewer units, without those that confirm; `ratio` holds
 * them against what was not known at first over what an answer was expected to tell.
 */
function walk(
  setup: Setup,
  answer: (e: Experiment, at: number) => Answer,
): { told: Told[]; end: Asking; leaving: number; ratio: number } {
  const told: Told[] = [];
  let now = asking(setup, told);
  const before = now.openBits;
  let [leaving, bits] = [0, 0];
  while (now.next) {
    if (!now.next.confirms) {
      leaving += 1;
      bits += now.next.bits;
    }
    told.push({
      experiment: now.next.experiment.id,
      answer: answer(now.next.experiment, told.length),
    });
    now = asking(setup, told);
  }
  const expected = (before - now.openBits) / (bits / leaving);
  return { told, end: now, leaving, ratio: leaving / expected };
}

/** Facts called known that are not so. */
const untrue = (end: Asking, keys: ReadonlyMap<string, string>): string[] =>
  end.facts.flatMap(({ facet, values, by }) =>
    by === 'seen' && keys.has(facet.id) && values[0] !== keys.get(facet.id) ? [facet.id] : [],
  );

describe('asking the unit', () => {
  it.each(share(NAMES, 8))('%s, as it is described: confirmed, nothing doubted', (name) => {
    const setup = described(name);
    const { told, end, leaving } = walk(setup, observerOf(setup, PERFECT));
    expect(end.outside).toBeUndefined();
    expect(end.doubted).toEqual([]);
    expect(untrue(end, keysOf(setup))).toEqual([]);
    expect(leaving).toBeLessThanOrEqual(12);
    expect(told.length).toBeLessThanOrEqual(30);
  });

  it.each(share(NAMES, 4))(
    '%s: the same in another position of the mode channel shows the same, and one after another what each shows',
    (name) => {
      const setup = nothingKnown(described(name));
      const unknown = unknownOf(setup);
      const { real } = anyUnit(setup, SEED);
      const values = keysOf(real);
      const all = unknown.facets.map((f) =>
        f.values.findIndex((v) => v.key === (values.get(f.id) ?? f.now)),
      );
      const unit = possibleUnit(real);
      unknown.experiments.forEach((e, i) => {
        const shown = unknown.parts[i]!.map((part) => unknown.whole(part, all).first);
        expect(shown.join(' '), e.id).toBe(unit.show(e).first);
      });
    },
  );

  const ratios: number[] = [];
  const CASES = Array.from({ length: 300 }, (_, i) => ({
    name: NAMES[i % NAMES.length]!,
    seed: i,
  }));
  it.each(share(CASES, 100))(
    '$name, another unit ($seed), nothing known: found as it is',
    ({ name, seed }) => {
      const setup = nothingKnown(described(name));
      const { real, keys } = anyUnit(setup, seed);
      const { end, leaving, ratio } = walk(setup, observerOf(real, PERFECT));
      expect(end.outside).toBeUndefined();
      expect(untrue(end, keys)).toEqual([]);
      expect(leaving).toBeLessThanOrEqual(30);
      ratios.push(ratio);
      // What is left of the others has the true value in it, and shows no other thing.
      for (const { facet, values, by } of end.facts) {
        expect(by, facet.id).not.toBe('open');
        if (by === 'alike') expect(values, facet.id).toContain(keys.get(facet.id));
      }
      const same = possibleUnit(found(setup, end.facts));
      const truth = possibleUnit(real);
      const open = new Set(end.facts.flatMap((f) => (f.by === 'seen' ? [] : [f.facet.id])));
      if (open.size === 0)
        for (const e of experimentsFor(setup)) expect(same.show(e).first).toBe(truth.show(e).first);
    },
  );

  const MOST = 120;
  const SLIPS = Array.from(
    { length: FULL ? MOST : 4 },
    (_, i) => (i + (FULL ? 0 : SEED * 4)) % MOST,
  );
  it('takes hardly more experiments than what they tell asks for', () => {
    const middle = ratios.toSorted((a, b) => a - b)[Math.floor(ratios.length / 2)]!;
    expect(ratios.length).toBe(share(CASES, 100).length);
    // The middle of a few is not the middle of all.
    expect(middle).toBeLessThanOrEqual(FULL ? 1.7 : 2.5);
  });

  /** Asks a unit that is known in nothing, and sees something wrong in some answers, by their places. */
  function slipped(seed: number, slips: readonly number[]) {
    const setup = nothingKnown(described('menu-receiver'));
    const { real, keys } = anyUnit(setup, seed);
    const see = observerOf(real, PERFECT);
    const random = randomOf(seed);
    const { end } = walk(setup, (e, at) => {
      const truth = see(e);
      if (!slips.includes(at)) return truth;
      const look = Math.floor(random() * truth.length);
      return truth.with(look, wrongly(truth[look] as Glance, random()));
    });
    return { end, keys };
  }

  it('one wrong answer: nothing wrong is called known, and it is named', () => {
    let named = 0;
    for (const seed of SLIPS) {
      const slip = seed % 9;
      const { end, keys } = slipped(seed, [slip]);
      expect(untrue(end, keys), `seed ${seed}`).toEqual([]);
      if (end.doubted.includes(slip)) named += 1;
    }
    // Of a few, some that are not named are no sign.
    expect(named).toBeGreaterThanOrEqual(FULL ? 0.9 * MOST : 1);
  });

  it('two wrong answers: hardly anything wrong is called known', () => {
    const wrong = SLIPS.filter((seed) => {
      const first = seed % 9;
      const { end, keys } = slipped(seed, [first, (first + 1 + (seed % 5)) % 12]);
      return untrue(end, keys).length > 0;
    });
    // Of a few, one is no sign either.
    expect(wrong.length).toBeLessThanOrEqual(FULL ? MOST * 0.01 : 1);
  });

  it('a third could not be told: nothing wrong is called known', () => {
    for (const seed of FULL ? SLIPS : SLIPS.slice(0, 3)) {
      const setup = nothingKnown(
        described(FULL ? NAMES[seed % NAMES.length]! : 'gesture-stabilizer'),
      );
      const { real, keys } = anyUnit(setup, seed);
      const { end } = walk(setup, observerOf(real, { wrong: 0, unsure: 0.33, seed }));
      expect(untrue(end, keys), `seed ${seed}`).toEqual([]);
    }
  });

  const OTHERWISE: readonly [string, (setup: Setup) => void][] = [
    [
      'that knows no yaw',
      ({ unit }) => (unit.traits.axes = unit.traits.axes.filter((a) => a !== 'yaw')),
    ],
    ['whose gain is fixed', ({ unit }) => (unit.traits.gainLaw = 'fixed')],
    [
      'that corrects its first output the other way',
      ({ unit }) => (unit.settings.outputs[0]!.correctionReversed = true),
    ],
    [
      'that corrects its last output the other way',
      ({ unit }) => (unit.settings.outputs.at(-1)!.correctionReversed = true),
    ],
    ['that answers four times as much', ({ unit }) => (unit.settings.sensitivity = 4)],
    [
      'that levels within a few degrees',
      ({ unit }) => (unit.settings.angleLimitsDeg = { roll: 15, pitchUp: 10, pitchDown: 10 }),
    ],
    ['with hardly any gain in roll', ({ unit }) => (unit.settings.axes.roll.gainPct = 5)],
    [
      'with two plugs exchanged',
      ({ unit: { settings } }) => {
        const [one, other] = settings.outputs;
        if (one && other) [one.carries, other.carries] = [other.carries, one.carries];
      },
    ],
    [
      'whose mode is on another channel',
      ({ unit }) => {
        for (const input of unit.settings.inputs) if (input.carries === 'mode') input.channel = 1;
      },
    ],
    ['that lies upside down', ({ installation }) => (installation.mounting = 'nose-down')],
  ];
  const STRANGE = NAMES.flatMap((name) =>
    OTHERWISE.map(([what, change]) => ({ name, what, change })),
  );
  it.each(share(STRANGE, 26))(
    'a $name $what is not in the space: said so, or it shows nothing that one in it would not',
    ({ name, change }) => {
      const setup = nothingKnown(described(name));
      const real = structuredClone(setup);
      change(real);
      const { told, end } = walk(setup, observerOf(real, PERFECT));
      const experiments = new Map(experimentsFor(setup).map((e) => [e.id, e]));
      // What is not told apart goes together: of two positions one levels, say, and the other comes home.
      const likely = end.facts
        .reduce<Value[][]>(
          (rows, { facet, values }) =>
            rows
              .flatMap((row) =>
                values.map((key) => [...row, facet.values.find((v) => v.key === key)!]),
              )
              .slice(0, 256),
          [[]],
        )
        .map((row) => possibleUnit(withValues(setup, row)));
      const fits = likely.some((unit) =>
        told.every(
          ({ experiment, answer }) => unit.show(experiments.get(experiment)!).agreeing(answer) > 0,
        ),
      );
      expect(end.outside !== undefined || fits).toBe(true);
    },
  );

  it('says which fact each experiment can be about: units that differ in one alone are told apart, or never', () => {
    const setup = described('menu-receiver');
    const experiments = experimentsFor(setup);
    const before = possibleUnit(setup);
    const end = asking(setup, []);
    for (const { facet, by } of end.facts)
      for (const value of facet.values) {
        if (value.key === facet.now) continue;
        const other = possibleUnit(withValues(setup, [value]));
        const splits = experiments.some((e) => other.show(e).first !== before.show(e).first);
        if (by === 'untold') expect(splits, `${facet.id} ${value.key}`).toBe(false);
      }
    expect(end.facts.filter((f) => f.by === 'untold').map((f) => f.facet.id)).toEqual([
      'mode-edges',
      'gain-lead',
    ]);
  });

  it('never does what would teach the unit something', () => {
    const setup = described('gesture-stabilizer');
    const all = experimentsFor(setup);
    expect(all.length).toBeGreaterThan(20);
    const stick = setup.transmitter.controls.find((c) => c.kind === 'stick')!;
    const taught = structuredClone(setup);
    taught.unit.traits.gestures = [
      { for: 'reset', holds: [{ stick: 'aileron', at: 100 }], seconds: 3 },
    ];
    const left = experimentsFor(taught);
    expect(left.length).toBeLessThan(all.length);
    for (const e of left) expect(e.controls[stick.id] ?? 0).toBeLessThan(100);
  });

  it('is said in words, with everything that can be seen', () => {
    const setup = described('menu-receiver');
    const first = asking(setup, []).next!.experiment;
    const words = experimentWords(setup, first);
    // The same in one position of the switch after another.
    expect(words.steps.slice(1).map(({ does }) => does)).toEqual(
      ['middle', 'near'].map(
        (position) =>
          `Level the model again, then: Switch A ${position}. Tilt the model as before, and hold it there for three seconds.`,
      ),
    );
    expect({ ...words, steps: words.steps.slice(0, 1) }).toEqual({
      after: [],
      before: [
        'If the throttle was not opened since power-up: open it once and close it.',
        expect.stringMatching(/everything else at rest, the model level\.$/i) as string,
      ],
      steps: [
        {
          does: 'Raise the left wing by about 30° and the nose by about 25° in one movement, and hold the model there for three seconds.',
          looks: [
            {
              name: 'left aileron',
              watch: 'Watch the left aileron.',
              answers: expect.arrayContaining([
                ['+stays', 'goes down and stays there'],
                ['none', 'does not move'],
                ['unsure', 'could not tell'],
              ]) as unknown,
            },
            {
              name: 'elevator',
              watch: 'Watch the elevator.',
              answers: expect.anything() as unknown,
            },
          ],
        },
      ],
    });
    const all = experimentsFor(setup);
    // What changes nothing but the light, and what waits for the surfaces to twitch.
    expect(
      experimentWords(
        setup,
        all.find((e) => e.steps[0]!.act.kind === 'light')!,
      ).steps[0],
    ).toEqual({
      does: 'Switch A middle. Look at the light of the unit.',
      looks: [
        {
          name: 'the light',
          watch: 'Has the light changed since the position before, its colour or its blinks?',
          answers: [
            ['other', 'it has changed'],
            ['same', 'it is the same'],
            ['unsure', 'could not tell'],
          ],
        },
      ],
    });
    const [on, then] = experimentWords(
      setup,
      all.find((e) => e.fresh)!,
    ).steps;
    expect(on).toMatchObject({
      does: 'Switch the model on.',
      looks: [{ watch: 'How often do the servos twitch as the unit starts?' }],
    });
    expect(then!.does).toMatch(/^Raise the left wing .* in one movement/);
    for (const e of all) {
      const looks = experimentWords(setup, e).steps.flatMap((step) => step.looks);
      expect(looks).toHaveLength(looksOf(e).length);
      possibleUnit(setup)
        .show(e)
        .looks.forEach(([glance], i) =>
          expect(looks[i]!.answers.map(([a]) => a)).toContain(glance),
        );
    }
  });

  it.each([0, 3, 5, 9])(
    '%d twitches at power-up can be answered, and answered wrongly',
    (count) => {
      const setup = described('menu-receiver');
      const real = structuredClone(setup);
      real.unit.traits.twitchesAtPowerUp = count;
      const e = experimentsFor(setup).find((x) => x.fresh)!;
      const [look] = experimentWords(setup, e).steps[0]!.looks;
      const [truth] = observerOf(real, PERFECT)(e);
      expect(truth).toBe(`twitches ${Math.min(count, 5)}`);
      const other = wrongly(truth as Glance, 0.9);
      expect(other).not.toBe(truth);
      expect(look!.answers.map(([a]) => a)).toEqual(expect.arrayContaining([truth, other]));
    },
  );

  it('writes what it found into the description, as seen', () => {
    const setup = nothingKnown(described('menu-receiver'));
    const real = withValues(setup, [
      facetsOf(setup)
        .find((f) => f.id === 'gain-law')!
        .values.find((v) => v.key === 'zero-to-full')!,
    ]);
    const { told, end } = walk(setup, observerOf(real, PERFECT));
    const line = recordOf(end.facts, told);
    expect(line.title).toBe(
      `Asked the unit: ${end.facts.filter((f) => f.by === 'seen').length} facts seen in ${told.length} experiments`,
    );
    expect(line.seen).toContain('its gain rises from 0 to +100; ');
    const next = found(setup, end.facts);
    expect(next.unit.traits.gainLaw).toBe('zero-to-full');
    expect(groundOf(next.unit, ['traits', 'gainLaw'])).toBe('seen');
    expect(groundOf(next.unit, ['traits', 'gainLeadMissing'])).toBe('assumed');
  });
});
