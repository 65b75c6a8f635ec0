import { describe, expect, it } from 'vitest';
import { FLYING_KINDS, makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { newestSetups } from '../../../tests/kit/lake-hollow';
import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { compileChain } from '../chain';
import { randomOf } from '../dice';
import { placeOf } from '../model';
import { composeSetup, unsuited } from '../plan';
import { kindOf, measured, parseSetup, type Setup } from '../setup';
import { proofOf } from '../verify';
import { G_MPS2 } from '../level';
import { rigidBody } from './body';
import {
  CENTRAL,
  drawOf,
  endedWell,
  ending,
  fly,
  ownMotions,
  ownMotionWords,
  ATTITUDES,
  panicMap,
  panicScenario,
  panicStates,
  play,
  readyToFly,
  readScenario,
  recovering,
  scenario,
  settling,
  situationOf,
  storyWords,
  tracking,
  type Pilot,
  type Point,
  type Scenario,
} from './index';
import { streamMps } from './estimates';
import { rungeKutta } from './rk4';
import { attitudeOf, P, Q, R, setAttitude, STATES, U, V, W } from './state';
import { cruising, restingControls } from './trim';

const pilotOf = (setup: Setup, draw = CENTRAL): Pilot => {
  const ready = readyToFly(setup, draw);
  if (!ready.ok) throw new Error(ready.reason);
  return ready.pilot;
};

const track = (pilot: Pilot, made: Scenario, ...steps: Parameters<typeof play>[3][]): Point[] => {
  const points = tracking(0.1);
  play(pilot, made, [points], ...steps);
  return points.answer();
};

/** Where a switch of modes gives a mode; nothing where none does. */
function handsFor(setup: Setup, mode: string): Record<string, number> | undefined {
  const row = proofOf(setup).rows.find(
    (r) => r.mode === mode && r.gainPct[0] > 0 && r.remembered.length === 0,
  );
  return row && Object.fromEntries(proofOf(setup).controls.map((id, i) => [id, row.values[i]!]));
}

describe('the chain cut at its joints', () => {
  it.each(FLYING_KINDS)('%s: one after another they are a whole step, to the bit', (kind) => {
    const setup = makeSetup(kind);
    const chain = compileChain(setup);
    const [whole, cut] = [chain.newFrame(), chain.newFrame()];
    const [m1, m2] = [chain.newMemory(), chain.newMemory()];
    const stimulus = chain.restStimulus();
    const random = randomOf(7);
    for (let i = 0; i < 200; i++) {
      stimulus.controls.forEach((_, c) => (stimulus.controls[c] = 200 * random() - 100));
      stimulus.rollDeg = 360 * random() - 180;
      stimulus.pitchDeg = 180 * random() - 90;
      stimulus.rollRateDegPerS = 400 * random() - 200;
      stimulus.linkUp = random() > 0.2;
      stimulus.dtS = 0.02;
      chain.step(stimulus, m1, whole);
      chain.send(stimulus, m2, cut);
      chain.unit(stimulus, m2, cut);
      chain.servos(cut);
      chain.surfaces(cut);
    }
    expect(cut).toEqual(whole);
    expect(m2).toEqual(m1);
  });
});

describe('a body by itself', () => {
  const body = { massKg: 1.2, ixx: 0.04, iyy: 0.07, izz: 0.1 };
  const none = new Float64Array(3);
  const run = (y: Float64Array, seconds: number) => {
    const step = rungeKutta(STATES);
    for (let i = 0; i < seconds * 1000; i++)
      step((s, out) => rigidBody(body, s, none, none, out), y, 0.001);
  };
  it('falls freely: its energy stays to a millionth', () => {
    const y = new Float64Array(STATES);
    setAttitude(y, { rollDeg: 30, pitchDeg: -20, headingDeg: 75 });
    [y[U], y[P], y[Q]] = [9, 0.4, -0.2];
    const energy = () => (y[3]! ** 2 + y[4]! ** 2 + y[5]! ** 2) / 2 - G_MPS2 * y[2]!;
    const before = energy();
    run(y, 5);
    expect(energy() / before).toBeCloseTo(1, 6);
  });
  it('tumbles without a torque: its angular momentum stays to a millionth, in size and direction', () => {
    const y = new Float64Array(STATES);
    setAttitude(y, { rollDeg: 10, pitchDeg: 50, headingDeg: -40 });
    [y[P], y[Q], y[R]] = [3, 0.2, -4];
    const momentum = () => {
      const [a, b, c, d] = [y[6]!, y[7]!, y[8]!, y[9]!];
      const [hx, hy, hz] = [body.ixx * y[P]!, body.iyy * y[Q]!, body.izz * y[R]!];
      return [
        (1 - 2 * (c * c + d * d)) * hx + 2 * (b * c - a * d) * hy + 2 * (b * d + a * c) * hz,
        2 * (b * c + a * d) * hx + (1 - 2 * (b * b + d * d)) * hy + 2 * (c * d - a * b) * hz,
        2 * (b * d - a * c) * hx + 2 * (c * d + a * b) * hy + (1 - 2 * (b * b + c * c)) * hz,
      ];
    };
    const before = momentum();
    run(y, 5);
    momentum().forEach((h, i) => expect(h).toBeCloseTo(before[i]!, 6));
  });
  it('an attitude read is the attitude written, all round', () => {
    for (const rollDeg of [-179, -90, 0, 45, 170])
      for (const pitchDeg of [-80, 0, 60])
        for (const headingDeg of [-150, 0, 90]) {
          const y = new Float64Array(STATES);
          setAttitude(y, { rollDeg, pitchDeg, headingDeg });
          const read = attitudeOf(y);
          expect(read.rollDeg).toBeCloseTo(rollDeg, 6);
          expect(read.pitchDeg).toBeCloseTo(pitchDeg, 6);
          expect(read.headingDeg).toBeCloseTo(headingDeg, 6);
        }
  });
});

describe('a model as it was trimmed', () => {
  it.each(FLYING_KINDS)('%s: hands off, the unit off, it flies on level', (kind) => {
    const setup = makeSetup(kind);
    const off = handsFor(setup, 'off')!;
    const points = track(
      pilotOf(setup),
      scenario({ start: { heightM: 60, controls: off }, seconds: 10 }),
    );
    const last = points.at(-1)!;
    expect(last.timeS).toBeGreaterThan(9.8);
    expect(Math.abs(last.rollDeg)).toBeLessThan(0.5);
    expect(Math.abs(last.heightM - 60)).toBeLessThan(1);
    expect(last.airspeedMps).toBeCloseTo(setup.airframe.measures.cruiseMps, 0);
  });
  it.each(FLYING_KINDS)(
    '%s: half the step changes where it is after ten seconds by under 1 %% of its span',
    (kind) => {
      const setup = makeSetup(kind);
      const made = scenario({
        start: { heightM: 80, rollDeg: 15, controls: handsFor(setup, 'off')! },
        seconds: 10,
      });
      const pilot = pilotOf(setup);
      const at = (bodyS: number) => {
        const { northM, eastM, heightM } = track(pilot, made, {
          bodyS,
          unitS: 0.02,
          sendS: 0.02,
        }).at(-1)!;
        return [northM, eastM, heightM] as const;
      };
      const [coarse, fine] = [at(0.01), at(0.005)];
      const span = setup.airframe.measures.spanMm / 1000;
      coarse.forEach((x, i) => expect(Math.abs(x - fine[i]!) / span).toBeLessThan(0.01));
    },
  );
  it.each(FLYING_KINDS)('%s: its mirror image flies the mirror image', (kind) => {
    const setup = makeSetup(kind);
    const controls = handsFor(setup, 'level') ?? {};
    const from = (side: number) =>
      track(
        pilotOf(setup),
        scenario({
          start: { heightM: 60, rollDeg: 40 * side, controls },
          wind: { gust: { atS: 1, lastsS: 1, northMps: 0, eastMps: -3 * side, upMps: 1 } },
          seconds: 5,
        }),
      );
    const [right, left] = [from(1), from(-1)];
    right.forEach((p, i) => {
      expect(p.rollDeg).toBeCloseTo(-left[i]!.rollDeg, 1);
      expect(p.pitchDeg).toBeCloseTo(left[i]!.pitchDeg, 1);
      expect(p.eastM).toBeCloseTo(-left[i]!.eastM, 1);
    });
  });
  it('without a motor it glides as far as its glide ratio says', () => {
    const plain = makeSetup('t-tail');
    const setup: Setup = {
      ...plain,
      airframe: measured(buildAirframe({ ...usualAnswers('t-tail'), motors: 0 })),
    };
    const planned = composeSetup(
      'Glider',
      setup.airframe,
      UNITS['menu-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
    // At the speed of its best glide: CL = √(CD0·π·e·A).
    const { massG, spanMm, chordMm, glideRatio } = planned.airframe.measures;
    const aspect = spanMm / chordMm;
    const best = (Math.PI * 0.8 * aspect) / (2 * glideRatio);
    const speed = Math.sqrt(
      ((massG / 1000) * G_MPS2) / (0.5 * 1.225 * best * ((spanMm * chordMm) / 1e6)),
    );
    const slow: Setup = {
      ...planned,
      airframe: {
        ...planned.airframe,
        measures: { ...planned.airframe.measures, cruiseMps: speed },
      },
    };
    const settled = settling(20);
    play(
      pilotOf(slow),
      scenario({ start: { heightM: 300, controls: handsFor(slow, 'off') ?? {} }, seconds: 40 }),
      [settled],
    );
    const { sinkMps, airspeedMps } = settled.answer();
    expect(airspeedMps / sinkMps / glideRatio).toBeGreaterThan(0.98);
    expect(airspeedMps / sinkMps / glideRatio).toBeLessThan(1.02);
  });
  it('in a steady turn R = V²/(g·tan φ), flown without a slip', () => {
    const setup = makeSetup('conventional');
    const { vehicle } = pilotOf(setup);
    const at = (id: string) => setup.airframe.surfaces.findIndex((s) => s.id === id);
    const controls = restingControls(setup);
    controls.motorPct.fill(vehicle.trim.motorPct);
    const y = cruising(setup, vehicle, 300);
    const step = rungeKutta(STATES);
    const derivative = vehicle.derivative(controls);
    let [trim, turned, seconds, way] = [0, 0, 0, 0];
    let before = 0;
    for (let i = 0; i < 8000; i++) {
      const { rollDeg, headingDeg } = attitudeOf(y);
      // Somebody holds 30° of bank with the ailerons, and the slip at nothing with the rudder.
      trim += 0.005 * y[V]!;
      const aileron = 0.6 * (30 - rollDeg) - 12 * y[P]!;
      controls.surfaceDeg[at('aileron-left')] = aileron;
      controls.surfaceDeg[at('aileron-right')] = -aileron;
      controls.surfaceDeg[at('rudder')] = -4 * y[V]! - 6 * trim;
      step(derivative, y, 0.005);
      if (i >= 5000) {
        turned += ((headingDeg - before + 540) % 360) - 180;
        seconds += 0.005;
        way += 0.005 * Math.hypot(y[U]!, y[V]!, y[W]!);
      }
      before = headingDeg;
    }
    const { rollDeg } = attitudeOf(y);
    expect(rollDeg).toBeGreaterThan(25);
    const speed = way / seconds;
    const radius = way / ((turned * Math.PI) / 180);
    const wanted = (speed * speed) / (G_MPS2 * Math.tan((rollDeg * Math.PI) / 180));
    expect(radius / wanted).toBeGreaterThan(0.98);
    expect(radius / wanted).toBeLessThan(1.02);
  });
  it('a loop, an inverted pass and a vertical climb pass without a jump', () => {
    const setup = makeSetup('conventional');
    const off = handsFor(setup, 'off')!;
    for (const [start, controls] of [
      [{ speedMps: 24 }, { 'stick-elevator': -80, 'stick-throttle': 100 }],
      [{ rollDeg: 179 }, {}],
      [{ pitchDeg: 88, speedMps: 24 }, { 'stick-throttle': 100 }],
    ] as const) {
      const points = tracking(0.005);
      play(
        pilotOf(setup),
        scenario({
          start: { heightM: 300, ...start, controls: { ...off, ...controls } },
          seconds: 5,
        }),
        [points],
      );
      const seen = points.answer();
      for (let i = 1; i < seen.length; i++) {
        expect(Math.abs(seen[i]!.heightM - seen[i - 1]!.heightM)).toBeLessThan(0.5);
        expect(Math.abs(seen[i]!.pitchDeg - seen[i - 1]!.pitchDeg)).toBeLessThan(6);
        expect(Number.isFinite(seen[i]!.airspeedMps)).toBe(true);
      }
    }
  });
  it('how it moves by itself, in words', () => {
    const words = ownMotionWords(ownMotions(makeSetup('conventional'))).join('; ');
    expect(words).toMatch(
      /^stops rolling in 0\.\d+ s; its nose settles in .*; swings its tail .*dies out in/,
    );
  });
  it('the same seed flies the same flight, another seed another', () => {
    const setup = makeSetup();
    const end = (seed: number) =>
      track(
        pilotOf(setup),
        scenario({ start: { heightM: 60 }, wind: { turbulenceMps: 1 }, seconds: 5, seed }),
      ).at(-1)!;
    expect(end(5)).toEqual(end(5));
    expect(end(5).eastM).not.toBe(end(6).eastM);
  });
});

/** Every unit that levels in every drawing that flies. */
const LEVELLING = Object.keys(UNITS).flatMap((unit) =>
  FLYING_KINDS.filter((kind) => {
    const airframe = buildAirframe(usualAnswers(kind));
    return (
      UNITS[unit]!.traits.modes.includes('level') && unsuited(airframe, UNITS[unit]!).length === 0
    );
  }).map((kind) => ({ unit, kind })),
);

describe('a model that levels', () => {
  const CASES = LEVELLING.flatMap(({ unit, kind }) => {
    const setup = makeSetup(kind, unit, 'line-sixteen');
    const controls = handsFor(setup, 'level');
    return controls ? [{ unit, kind, setup, controls }] : [];
  });
  it('is there for many units', () => expect(CASES.length).toBeGreaterThan(20));
  it.each(share(CASES, 10))(
    '$kind with $unit: hands off it stays up for a minute, also in light turbulence',
    (c) => {
      for (const turbulenceMps of [0, 0.5]) {
        const end = ending(0.1);
        play(
          pilotOf(c.setup),
          scenario({
            start: { heightM: 60, rollDeg: 5, controls: c.controls },
            wind: { turbulenceMps },
            seconds: 60,
          }),
          [end],
        );
        expect(end.answer().lostS).toBeUndefined();
        expect(end.answer().flying).toBe(true);
      }
    },
  );
  it.each(share(CASES, 10))('$kind with $unit: with roll or pitch reversed it does not', (c) => {
    for (const axis of ['roll', 'pitch'] as const) {
      if (axis === 'roll' && c.kind === 'three-channel') continue;
      const wrong = structuredClone(c.setup);
      wrong.unit.traits.nominalSense[axis] *= -1;
      const end = ending(0.1);
      play(
        pilotOf(wrong),
        scenario({
          start: { heightM: 60, rollDeg: 5, pitchDeg: 7, controls: c.controls },
          seconds: 30,
        }),
        [end],
      );
      const { lostS, flying } = end.answer();
      expect(lostS !== undefined || !flying, `${axis}`).toBe(true);
    }
  });
});

describe('what a finding says is seen to happen', () => {
  it('a reversed aileron correction rolls the tug over; put right the same gust is flown through', () => {
    const tug = newestSetups().find((s) => s.name.includes('tug'))!;
    const pass = situationOf(tug, 'pass', { controls: { sb: 0, k1: 100 }, words: '' });
    const flown = (setup: Setup) => {
      const outcome = fly(setup, pass);
      if (!outcome.ok) throw new Error(outcome.reason);
      return outcome.flown;
    };
    expect(storyWords(flown(tug))).toMatch(
      /^rolls right, on its back after \d\.\d s, on the ground after .* it crashes$/,
    );
    const right = structuredClone(tug);
    right.unit.settings.axes.roll.reversed = !tug.unit.settings.axes.roll.reversed;
    expect(endedWell(flown(right))).toBe(true);
    expect(storyWords(flown(right))).toMatch(/still flying/);
  });
  it('a panic map has every attitude and speed, heights that grow with draws, and its worst can be flown', () => {
    const setup = newestSetups().find((s) => s.name.includes('floatplane'))!;
    const maps = [...panicMap(setup, proofOf(setup), 3)];
    const [first, last] = [maps.find((m) => m.cells.length === 35)!, maps.at(-1)!];
    expect(last.cells).toHaveLength(35);
    for (const cell of last.cells) {
      const before = first.cells.find(
        (c) => c.attitude === cell.attitude && c.speedMps === cell.speedMps,
      )!;
      expect(cell.mostM).toBeGreaterThanOrEqual(before.mostM);
      expect(cell.leastM).toBeLessThanOrEqual(before.leastM);
      expect(cell.lost).toBe(0);
    }
    const height = (id: string) =>
      last.cells.find((c) => c.attitude === id && c.speedMps === last.speeds[2])!.mostM;
    expect(height('inverted')).toBeGreaterThan(height('banked'));
    expect(height('banked')).toBeGreaterThanOrEqual(height('level'));
  });
});

describe('behind a propeller', () => {
  it.each([0, 5, 14, 30])('at %d m/s the stream carries away what the thrust is', (speed) => {
    for (const share of [0.1, 0.5, 1]) {
      const by = streamMps(share, speed, 1);
      // Thrust on a square metre of disc: the air through it, half as much faster, times what it gains.
      expect(1.225 * (speed + by / 2) * by).toBeCloseTo(300 * share, 6);
    }
    expect(streamMps(0, speed, 1)).toBe(0);
  });
  it('the elevator does more with power on, most of all when slow', () => {
    const turned = (kind: (typeof FLYING_KINDS)[number], power: number, speed: number) => {
      const setup = makeSetup(kind);
      const { vehicle } = pilotOf(setup);
      const at = setup.airframe.surfaces.findIndex((s) => s.role === 'elevator');
      const y = cruising(setup, vehicle, 60);
      y[U] = speed;
      const pitching = (deg: number) => {
        const controls = restingControls(setup);
        controls.motorPct.fill(power);
        controls.surfaceDeg[at] = deg;
        const [force, moment] = [new Float64Array(3), new Float64Array(3)];
        vehicle.forces(y, controls, force, moment);
        return moment[1]!;
      };
      return Math.abs(pitching(10) - pitching(-10));
    };
    const gain = (speed: number) =>
      turned('conventional', 100, speed) / turned('conventional', 0, speed);
    expect(gain(14)).toBeGreaterThan(1.1);
    expect(gain(7)).toBeGreaterThan(gain(14));
  });
});

describe('wind', () => {
  it('carries the model over the ground; its speed through the air stays its own', () => {
    const setup = makeSetup();
    const seen = { airspeedMps: 0, speedMps: 0, eastM: 0 };
    play(
      pilotOf(setup),
      scenario({
        start: { heightM: 60, controls: handsFor(setup, 'off')! },
        wind: { eastMps: 6 },
        seconds: 5,
      }),
      [
        {
          see({ airspeedMps, speedMps, state }) {
            Object.assign(seen, { airspeedMps, speedMps, eastM: state[1] });
          },
          answer: () => undefined,
        },
      ],
    );
    const { cruiseMps } = setup.airframe.measures;
    expect(seen.airspeedMps).toBeCloseTo(cruiseMps, 0);
    expect(seen.speedMps).toBeCloseTo(Math.hypot(cruiseMps, 6), 0);
    expect(seen.eastM).toBeCloseTo(30, 0);
  });
});

describe('what the hands did before', () => {
  it('is remembered: a latch set before the flight acts in it', () => {
    const setup = makeSetup();
    setup.program.logic.push({
      id: 'latched',
      label: 'Latched',
      op: 'latch',
      set: { kind: 'switch', control: 'sh', position: 1 },
      reset: { kind: 'switch', control: 'sf', position: 1 },
    });
    const read = parseSetup(setup);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const pilot = pilotOf(read.value);
    const latched = (before: Scenario['start']['before']) => {
      let is = 0;
      play(pilot, scenario({ start: { heightM: 60, before }, seconds: 0.2 }), [
        {
          see: ({ frame }) => void (is = frame.logic[pilot.chain.layout.logic.get('latched')!]!),
          answer: () => undefined,
        },
      ]);
      return is;
    };
    expect(latched([])).toBe(0);
    expect(
      latched([
        { control: 'sh', value: 100 },
        { control: 'sh', value: -100 },
      ]),
    ).toBe(1);
  });
});

describe('a hole in panic', () => {
  it('states the proof covers come back from inverted; those it names never sooner than without panic', () => {
    const setup = newestSetups().find((s) => s.name.includes('V-tail'))!;
    const proof = proofOf(setup);
    const pilot = pilotOf(setup);
    const inverted = ATTITUDES.find((a) => a.id === 'inverted')!;
    const states = panicStates(setup, proof);
    const level = (made: Scenario) => {
      const watch = recovering();
      play(pilot, made, [watch]);
      return watch.answer().levelS ?? Infinity;
    };
    let [covered, named] = [0, 0];
    for (const state of states) {
      const made = panicScenario(setup, state, inverted, setup.airframe.measures.cruiseMps);
      const [pressed, without] = [level(made), level({ ...made, hands: [] })];
      if (!state.righted) {
        named += 1;
        expect(pressed).toBeGreaterThanOrEqual(without - 0.1);
      } else {
        covered += 1;
        expect(pressed).toBeLessThan(5);
      }
    }
    expect(covered).toBeGreaterThan(0);
    expect(named).toBeGreaterThan(0);
  });
});

describe('measures that make no aeroplane', () => {
  const reason = (change: Partial<Setup['airframe']['measures']>) => {
    const setup = makeSetup();
    const ready = readyToFly({
      ...setup,
      airframe: { ...setup.airframe, measures: { ...setup.airframe.measures, ...change } },
    });
    return ready.ok ? 'flies' : ready.reason;
  };
  it.each([
    [{ cruiseMps: 3 }, /^no wing carries 1600 g on 32 dm² at 3 m\/s: measure/],
    [{ massG: 5, cruiseMps: 100 }, /needs no wing: measure its mass and usual speed/],
    [{ glideRatio: 60, spanMm: 900, massG: 600 }, /glides 60 to 1: measure its glide ratio again/],
    [{}, /^flies$/],
  ])('%j', (change, words) => expect(reason(change)).toMatch(words));
  it('a car and a boat do not fly', () => {
    const ready = readyToFly(makeSetup('car', 'steering-menu', 'surface-six'));
    expect(ready).toEqual({ ok: false, reason: 'it does not fly' });
  });
  const withAileron = (place: { rightMm: number; spanMm: number }) => {
    const setup = makeSetup();
    const surfaces = setup.airframe.surfaces.map((s) =>
      s.role === 'aileron' && s.side === 'right'
        ? { ...s, place: { ...placeOf(setup.airframe, s), ...place } }
        : s,
    );
    return readyToFly({ ...setup, airframe: { ...setup.airframe, surfaces } });
  };
  it('a part of the wing that is past its tip is said', () => {
    const { spanMm } = makeSetup().airframe.measures;
    expect(withAileron({ rightMm: spanMm, spanMm: 200 })).toMatchObject({
      ok: false,
      reason: expect.stringMatching(/right aileron is drawn there is no wing.*: measure its place/),
    });
  });
  it('one that is shorter than a strip still turns the model, by less', () => {
    const right = (spanMm: number) => {
      const ready = withAileron({ rightMm: 500, spanMm });
      if (!ready.ok) throw new Error(ready.reason);
      const at = ready.pilot.setup.airframe.surfaces.findIndex(
        (s) => s.role === 'aileron' && s.side === 'right',
      );
      return ready.pilot.vehicle.strips.reduce((sum, s) => sum + (s.surface === at ? s.tau : 0), 0);
    };
    expect(right(20)).toBeGreaterThan(0);
    expect(right(20)).toBeLessThan(right(300));
  });
  it('whatever is measured, a number comes out or a reason', () => {
    const random = randomOf(3);
    const setup = makeSetup();
    for (let i = 0; i < 60; i++) {
      const pick = (low: number, high: number) => low * (high / low) ** random();
      const measures = {
        ...setup.airframe.measures,
        spanMm: Math.round(pick(300, 6000)),
        lengthMm: Math.round(pick(300, 3000)),
        chordMm: Math.round(pick(60, 800)),
        massG: Math.round(pick(50, 30_000)),
        cruiseMps: pick(4, 60),
        glideRatio: pick(2, 40),
      };
      const odd = { ...setup, airframe: { ...setup.airframe, measures } };
      const ready = readyToFly(odd, drawOf(random));
      if (!ready.ok) {
        expect(ready.reason).toMatch(/measure/);
        continue;
      }
      const last = track(ready.pilot, scenario({ start: { heightM: 60 }, seconds: 3 })).at(-1)!;
      expect(Number.isFinite(last.heightM + last.airspeedMps)).toBe(true);
    }
  });
});

describe('a scenario from a file', () => {
  const controls = ['sa', 'stick-aileron'];
  it.each([
    [{ start: { heightM: 40 }, seconds: 5 }, []],
    [{ start: { heightM: 40 }, seconds: 0 }, ['/seconds']],
    [{ start: { heightM: -4 }, seconds: 5 }, ['/start/heightM']],
    [{ start: { heightM: 40, rudder: 3 }, seconds: 5 }, ['/start/rudder']],
    [
      {
        start: { heightM: 40, controls: { sz: 1 } },
        hands: [{ atS: 1, controls: { sb: 0 } }],
        seconds: 5,
      },
      ['/start/controls/sz', '/hands/0/controls/sb'],
    ],
    ['nothing', ['']],
    [
      { start: { heightM: 40, before: [{ control: 'sz', value: 0 }] }, seconds: 5 },
      ['/start/before/0/sz'],
    ],
  ])('%j', (raw, paths) => {
    const read = readScenario(raw, controls);
    expect(read.ok ? [] : read.problems.map((p) => p.path)).toEqual(paths);
  });
  it('only what flies has situations', () => {
    expect(kindOf(makeSetup().airframe).moves).toBe('air');
  });
});
