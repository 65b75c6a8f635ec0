import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { facetsOf, grounded, withValues } from '../possible';
import type { Setup } from '../setup';
import {
  asking,
  experimentsFor,
  experimentWords,
  observerOf,
  possibleUnit,
  type Experiment,
  type Told,
} from './index';

type Capture = NonNullable<Setup['unit']['traits']['levelCapture']>;

const HOLDS = [
  { stick: 'elevator', at: -100 },
  { stick: 'aileron', at: 100 },
] as const;

const WAYS: Readonly<Record<string, Capture>> = {
  corner: { by: 'corner', holds: [...HOLDS], seconds: 3 },
  'corner while levelling': { by: 'corner', mode: 'level', holds: [...HOLDS], seconds: 2 },
  'mode switch': { by: 'flick', times: 3, withinS: 3 },
  button: { by: 'button', presses: 2 },
};

/** A model with a unit that captures level in some way. */
function captures(way: Capture | undefined, change?: (setup: Setup) => void): Setup {
  const setup = structuredClone(makeSetup('conventional', 'gesture-stabilizer'));
  setup.unit.traits.gestures = [];
  if (way) setup.unit.traits.levelCapture = way;
  else delete setup.unit.traits.levelCapture;
  change?.(setup);
  return setup;
}

const teaches = ({ steps }: Experiment): boolean => steps.some(({ act }) => act.kind === 'teach');
const teachingOf = (setup: Setup): Experiment[] => experimentsFor(setup).filter(teaches);

/** Asks to the end with somebody who sees everything right. */
function askedOf(described: Setup, real: Setup) {
  const setup = grounded(described, facetsOf(described), 'assumed');
  const see = observerOf(real, { wrong: 0, unsure: 0, seed: 1 });
  const done: Experiment[] = [];
  const told: Told[] = [];
  let now = asking(setup, told);
  while (now.next) {
    const { experiment } = now.next;
    done.push(experiment);
    told.push({ experiment: experiment.id, answer: see(experiment) });
    now = asking(setup, told);
  }
  const fact = now.facts.find((f) => f.facet.id === 'level-capture');
  return { done, fact, end: now };
}

describe('level captured as an experiment', () => {
  it.each(Object.keys(WAYS))(
    '%s: shows in level mode, and where level is captured otherwise not',
    (way) => {
      const setup = captures(WAYS[way]);
      const facet = facetsOf(setup).find((f) => f.id === 'level-capture')!;
      const [as, otherwise] = facet.values.map((v) => possibleUnit(withValues(setup, [v])));
      const shown = teachingOf(setup).map((e) => [as!.show(e).first, otherwise!.show(e).first]);
      // The nose was up when level was captured: level then looks like nose down, and the elevator goes up.
      expect(shown).toContainEqual(['-stays', 'none']);
      expect(new Set(shown.map(([, no]) => no))).toEqual(new Set(['none']));
    },
  );

  it.each(['corner', 'corner while levelling', 'button'])(
    '%s: found either way, after everything else',
    (way) => {
      const setup = captures(WAYS[way]);
      const facet = facetsOf(setup).find((f) => f.id === 'level-capture')!;
      for (const value of facet.values) {
        const { done, fact, end } = askedOf(setup, withValues(setup, [value]));
        expect(end.outside).toBeUndefined();
        // Unless it is known that nothing was captured, it has to be put right.
        const nothing = fact?.by === 'seen' && value.key === 'otherwise';
        expect(end.wrongLevel).toBe(nothing ? undefined : done.length - 1);
        // On its way home it levels as well, and does not listen: not captured there says nothing.
        const untold = way === 'corner while levelling' && value.key === 'otherwise';
        expect([fact?.by, fact?.values]).toEqual(
          untold ? ['alike', ['otherwise', 'as-described']] : ['seen', [value.key]],
        );
        const order = done.map(teaches);
        expect(order.filter(Boolean).length).toBeGreaterThanOrEqual(2);
        expect(order).toEqual(order.toSorted((a, b) => Number(a) - Number(b)));
      }
    },
  );

  it('is not offered where the unit would not hear it, or would hear something else', () => {
    const { corner } = WAYS;
    expect(teachingOf(captures(corner)).length).toBeGreaterThan(0);
    const short = captures(corner, (s) => {
      const output = s.program.outputs.find((o) => o.carries === 'elevator')!;
      output.minPct = -50;
      output.maxPct = 50;
    });
    expect(teachingOf(short)).toEqual([]);
    const both = captures(corner, (s) => {
      s.unit.traits.gestures = [{ for: 'the wing', holds: [...HOLDS], seconds: 2 }];
    });
    expect(teachingOf(both)).toEqual([]);
    const withThrottle = captures({
      by: 'corner',
      holds: [HOLDS[0], { stick: 'throttle', at: 100 }],
      seconds: 3,
    });
    expect(teachingOf(withThrottle)).toEqual([]);
    for (const way of [undefined, { by: 'menu' }, { by: 'power-up' }] as const)
      expect(teachingOf(captures(way))).toEqual([]);
  });

  it('says how, and how level is put right again', () => {
    const setup = captures(WAYS['button']);
    const words = experimentWords(setup, teachingOf(setup)[0]!);
    expect(words.steps.map(({ does }) => does)).toEqual([
      'Raise the nose by about 25°, and keep the model like that: press its button twice. Then put the model level.',
    ]);
    expect(words.after).toEqual([
      'The unit may have taken that attitude for level. Put that right: with the model level, press its button twice.',
    ]);
    expect(experimentWords(setup, experimentsFor(setup)[0]!).after).toEqual([]);
  });
});
