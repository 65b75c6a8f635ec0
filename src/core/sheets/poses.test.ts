import { describe, expect, it } from 'vitest';
import { wished } from '../../../tests/kit/order-faults';
import { anywhere, randomOf } from '../../../tests/kit/random-program';
import { share } from '../../../tests/kit/share';
import { makeSetup } from '../../../tests/kit/setups';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../catalogue';
import { compileChain } from '../chain';
import { applyPatch } from '../patch';
import { composeSetup, unsuited } from '../plan';
import { parseSetup, type ProgramWishes, type Setup } from '../setup';
import { fewest } from './cover';
import {
  atLeastPoses,
  entryScript,
  mismatches,
  monitorOf,
  posesOf,
  readBacksOf,
  wrongEntries,
} from './index';

const FULL: Partial<ProgramWishes> = {
  rates: { by: 'mode', off: { pct: 50, expoPct: 30 }, on: { pct: 100, expoPct: 20 } },
  panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
  voice: { modes: true },
  timer: { minutes: 8 },
};

/** The monitor as a walk on the whole chain shows it, which knows nothing of poses. */
function walked(setup: Setup, hands: Readonly<Record<string, number>>): Float64Array {
  const chain = compileChain(setup);
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  chain.step(stimulus, memory, frame);
  for (const [id, value] of Object.entries(hands))
    stimulus.controls[chain.layout.controls.get(id)!] = value;
  for (const dtS of [0, 31]) {
    stimulus.dtS = dtS;
    chain.step(stimulus, memory, frame);
  }
  const { centreUs, usAt100 } = setup.transmitter.pulse;
  return frame.sentUs.map((us) => ((us - centreUs) / usAt100) * 100);
}

/** Hands anywhere people put them: switches in a position, all else between its ends, trims at rest. */
function handsAnywhere({ transmitter }: Setup, random: () => number): Record<string, number> {
  return Object.fromEntries(
    transmitter.controls
      .filter((c) => c.kind !== 'trim')
      .map((c) => [c.id, anywhere(c.kind, random)]),
  );
}

/** A wrong entry this far off is seen by anyone who happens to put the hands there. */
const PLAIN_PCT = 25;

/** Every unit with every transmitter it goes with, in a model of its own. */
const PAIRS = Object.keys(UNITS).flatMap((unit) =>
  Object.keys(TRANSMITTERS).flatMap((transmitter) => {
    const kind = transmitter.startsWith('surface') ? 'car' : 'conventional';
    const airframe = buildAirframe(usualAnswers(kind));
    if (unsuited(airframe, UNITS[unit]!).length > 0) return [];
    const setup = composeSetup('Posed', airframe, UNITS[unit]!, TRANSMITTERS[transmitter]!);
    return setup.program.outputs.length > 0 ? [{ name: `${unit} ${transmitter}`, setup }] : [];
  }),
);

const PROGRAMS: [string, Setup][] = [
  ['everything', wished(FULL)],
  [
    'launch',
    wished({ ...FULL, launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } }),
  ],
  [
    'flap gain',
    wished({
      gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sh', offPositions: [1] },
    }),
  ],
  [
    'two mode switches',
    wished({
      modes: { switches: ['sa', 'sh'], table: ['off', 'off', 'rate', 'rate', 'level', 'off'] },
    }),
  ],
  [
    'mixes',
    wished(
      { panic: { way: 'offsets', control: 'sm', holdS: 0 } },
      'menu-receiver',
      'function-eight',
    ),
  ],
  ['sets', wished({ gain: { by: 'sets', control: 'sa', knob: 'k1', pct: 50 } }, 'satellite-gyro')],
  ['V-tail', makeSetup('v-tail', 'satellite-gyro')],
  ...share(PAIRS, 28).map(({ name, setup }): [string, Setup] => [name, setup]),
];

describe.each(PROGRAMS)('poses of %s', (_, setup) => {
  const { poses } = posesOf(setup);
  it('are few, and in no case fewer than can be', () => {
    const least = atLeastPoses(setup);
    // Nine positions of two switches are nine values, whoever chooses.
    expect(poses.length).toBeLessThanOrEqual(Math.max(6, least));
    expect(poses.length).toBeGreaterThanOrEqual(least);
  });
  it('show every wrong entry that somebody comes upon with the hands anywhere', () => {
    const random = randomOf(11);
    const right = posesOf(setup);
    const quiet = new Set(right.unseen.map((w) => w.says));
    const places = Array.from({ length: 12 }, () => handsAnywhere(setup, random));
    const shown = places.map((h) => walked(setup, h));
    const missed: string[] = [];
    for (const entry of wrongEntries(setup)) {
      const wrong = applyPatch(setup, entry.patch);
      if (quiet.has(entry.says) || entry.step === 'link' || !parseSetup(wrong).ok) continue;
      const met = places.some((h, i) =>
        walked(wrong, h).some((v, c) => Math.abs(v - shown[i]![c]!) > PLAIN_PCT),
      );
      if (!met) continue;
      const { read } = monitorOf(wrong);
      const told = readBacksOf(setup).some(
        (r) => Math.abs(read(r.channel, r.hands).pct - r.predictedPct) > r.tolerancePct,
      );
      if (!told) missed.push(entry.says);
    }
    expect(missed).toEqual([]);
  });
  it('say what the whole chain says, and nothing is wrong with the right program', () => {
    for (const pose of poses) {
      const monitor = walked(setup, pose.hands);
      for (const r of pose.column) expect(r.predictedPct).toBeCloseTo(monitor[r.channel - 1]!, 6);
    }
    const all = readBacksOf(setup);
    expect(
      mismatches(all, Object.fromEntries(all.map((r) => [r.id, Math.round(r.predictedPct)]))),
    ).toEqual([]);
    expect(new Set(all.map((r) => r.id)).size).toBe(all.length);
  });
  it('can be held with two hands', () => {
    const { controls } = setup.transmitter;
    for (const { hands } of poses) {
      const put = controls.filter((c) => (hands[c.id] ?? c.rest) !== c.rest);
      const held = put.some((c) => c.kind === 'momentary');
      const sprung = put.some((c) => c.kind === 'stick' && c.rest === 0);
      expect(held && sprung).toBe(false);
    }
  });
});

describe('what no pose shows', () => {
  it('is asked in another way: presets, call-outs, waits', () => {
    const setup = wished(FULL);
    const script = entryScript(setup);
    expect(script.map((s) => s.item)).toEqual(
      expect.arrayContaining(['failsafe', 'voice', 'waits']),
    );
    const waits = script.find((s) => s.item === 'waits')!;
    expect(waits.sees.join()).toMatch(/Momentary M pressed, on after 0\.3 s/);
    for (const f of setup.program.failsafe)
      expect(script[0]!.sees.some((s) => s.startsWith(`Channel ${f.channel},`))).toBe(true);
  });
  it('keeps the poses of hands that did not change when something else does', () => {
    const setup = wished(FULL);
    const before = new Set(posesOf(setup).poses.map((p) => p.id));
    const after = applyPatch(setup, [
      { op: 'replace', path: '/program/outputs/0/subtrimPct', value: 3 },
    ]);
    expect(posesOf(after).poses.filter((p) => before.has(p.id)).length).toBeGreaterThanOrEqual(
      before.size - 1,
    );
  });
});

describe('the fewest sets', () => {
  const sets = (...lists: number[][]) => lists.map((l) => new Set(l));
  it.each<[string, ReadonlySet<number>[], number]>([
    ['none of nothing', [], 0],
    ['one that has all', sets([1, 2], [2, 3], [1, 2, 3]), 1],
    ['two of three that overlap', sets([1, 2], [2, 3], [3, 4]), 2],
    // Greedy takes the large one first and needs three.
    ['fewer than the greedy choice', sets([1, 2, 3, 4], [1, 2, 5], [3, 4, 6]), 2],
    ['all that stand alone', sets([1], [2], [3]), 3],
  ])('%s', (_, list, count) => {
    expect(fewest(list)).toBe(count);
  });
});
