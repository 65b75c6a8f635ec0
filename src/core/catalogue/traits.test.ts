import { expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { compileChain } from '../chain';
import { TESTS } from '../logbook';
import { failsafeSchools, panicWays, planFor } from '../plan';
import { settingRows } from '../settings';
import { UnitTraitsSchema, type Setup } from '../setup';
import { UNITS, unitGuide } from './index';

/** Read where the unit is drawn: its light, its twitches, where its pins are. */
const DRAWN = ['pinsAt'];

it('every trait that is asked for is read by something', () => {
  const read = new Set<string>(DRAWN);
  for (const id of Object.keys(UNITS)) {
    const plain =
      id === 'steering-receiver'
        ? makeSetup('car', id, 'surface-four')
        : makeSetup('conventional', id);
    const watched: Setup = {
      ...plain,
      unit: {
        ...plain.unit,
        traits: new Proxy(plain.unit.traits, {
          get(traits, key) {
            read.add(String(key));
            return Reflect.get(traits, key) as unknown;
          },
        }),
      },
    };
    const chain = compileChain(watched);
    chain.step(chain.restStimulus(), chain.newMemory(), chain.newFrame());
    settingRows(watched);
    // Directions that come otherwise than shipped are where a gesture is said.
    settingRows({
      ...watched,
      unit: {
        ...watched.unit,
        settings: {
          ...watched.unit.settings,
          axes: {
            ...watched.unit.settings.axes,
            roll: { ...watched.unit.settings.axes.roll, reversed: true },
          },
        },
      },
    });
    planFor(watched);
    unitGuide(watched.unit);
    panicWays(watched);
    failsafeSchools(watched);
    for (const test of ['identify', 'unit', 'capture', 'level', 'mounting', 'calibration'] as const)
      TESTS[test].script(watched);
  }
  expect(Object.keys(UnitTraitsSchema.shape).filter((trait) => !read.has(trait))).toEqual([]);
});
