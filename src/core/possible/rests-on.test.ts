import { describe, expect, it } from 'vitest';
import { cleanCases } from '../../../tests/kit/clean';
import { share } from '../../../tests/kit/share';
import { compileChain, placesOf, type Frame, type Memory, type Stimulus } from '../chain';
import { randomOf } from '../dice';
import type { Setup } from '../setup';
import { facetsOf, withValues, type Facet } from './index';

const SCENES = 120;
/** Moments of a scene, one after another. */
const LONG = 3;

type Random = () => number;

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)]!;

/** A scene that starts from rest: hands, attitudes, time and signal by chance. */
function scene(setup: Setup, random: Random, rest: Stimulus): Stimulus[] {
  const now = { ...rest, controls: rest.controls.slice() };
  return Array.from({ length: LONG }, () => {
    setup.transmitter.controls.forEach(({ kind }, at) => {
      if (random() > 0.5) return;
      const places = placesOf(kind).map(([, value]) => value);
      now.controls[at] =
        places.length > 0 ? pick(random, places) : pick(random, [-100, -40, 0, 40, 100]);
    });
    now.linkUp = random() > 0.2;
    now.positionFix = random() > 0.2;
    for (const key of ['rollDeg', 'pitchDeg'] as const) now[key] = pick(random, [0, 0, 20, -60]);
    for (const key of ['rollRateDegPerS', 'pitchRateDegPerS', 'yawRateDegPerS'] as const)
      now[key] = pick(random, [0, 0, 90, -90]);
    now.dtS = pick(random, [0, 0.02, 3]);
    return { ...now, controls: now.controls.slice() };
  });
}

/** The same with its gain lead out. */
const unplugged = (setup: Setup): Setup => ({
  ...setup,
  installation: { ...setup.installation, gainLead: false },
});

/** Everything that comes out of a moment and what is remembered, but how much is faded. */
const allOf = ({ fade: _, restsOn: __, ...frame }: Frame, memory: Memory) =>
  structuredClone({ frame, memory });

/** A scene played, moment by moment, and what each moment rests on with all that came before it. */
function played(setup: Setup, stimuli: readonly Stimulus[], armed: boolean) {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const memory = chain.newMemory();
  memory.armed = armed;
  let restsOn = 0;
  return stimuli.map((stimulus) => {
    chain.step(stimulus, memory, frame);
    restsOn |= frame.restsOn;
    return { all: allOf(frame, memory), restsOn };
  });
}

describe('what a moment rests on', () => {
  const counted = (setup: Setup) =>
    facetsOf(setup).filter((f): f is Facet & { restsOn: number } => f.restsOn !== undefined);

  it.each(share(cleanCases(48), 24))(
    '$name: without its bit, any value of a trait gives the same',
    ({ setup: whole }) => {
      const random = randomOf(20261201);
      const rest = compileChain(whole).restStimulus();
      const facets = counted(whole);
      for (let n = 0; n < SCENES; n++) {
        const setup = random() < 0.3 ? unplugged(whole) : whole;
        const stimuli = scene(setup, random, rest);
        const armed = random() < 0.5;
        const values = facets.flatMap((facet) =>
          random() < 0.5 ? [{ facet, value: pick(random, facet.values) }] : [],
        );
        const bits = values.reduce((sum, { facet }) => sum | facet.restsOn, 0);
        const own = played(setup, stimuli, armed);
        const other = played(
          withValues(
            setup,
            values.map(({ value }) => value),
          ),
          stimuli,
          armed,
        );
        own.forEach(({ all, restsOn }, i) => {
          if ((restsOn & bits) === 0)
            expect(other[i]!.all, values.map((v) => v.value.key).join(' ')).toEqual(all);
        });
      }
    },
  );

  it('each of the traits counts in some moments and not in others', () => {
    const met = new Map<string, Set<string>>();
    for (const setup of cleanCases(20).flatMap((c) => [c.setup, unplugged(c.setup)])) {
      const random = randomOf(1201);
      const rest = compileChain(setup).restStimulus();
      for (const facet of counted(setup))
        for (let n = 0; n < 24; n++) {
          const stimuli = scene(setup, random, rest);
          const armed = random() < 0.5;
          const own = played(setup, stimuli, armed).at(-1)!;
          const other = played(withValues(setup, [pick(random, facet.values)]), stimuli, armed);
          const same = JSON.stringify(other.at(-1)!.all) === JSON.stringify(own.all);
          const says = (own.restsOn & facet.restsOn) === 0 ? 'idle' : same ? 'same' : 'counts';
          met.set(facet.id, (met.get(facet.id) ?? new Set()).add(says));
        }
    }
    expect([...met.keys()].toSorted()).toEqual(
      ['arming', 'fade', 'full-stick', 'gain-lead', 'signal-lost'].toSorted(),
    );
    for (const [facet, said] of met) expect([facet, said.has('counts')]).toEqual([facet, true]);
    for (const [facet, said] of met) expect([facet, said.has('idle')]).toEqual([facet, true]);
  });
});
