import { describe, expect, it } from 'vitest';
import { G_MPS2, loadFactor, turnRadiusM, turnRateDegPerS } from '../../src/core/level';
import { buildAirframe, TRANSMITTERS, usualAnswers } from '../../src/core/catalogue';
import {
  ATTITUDES,
  footprintOf,
  panicScenario,
  panicStates,
  play,
  readyToFly,
  recovering,
  STEPS,
  type Observer,
} from '../../src/core/motion';
import { composeSetup } from '../../src/core/plan';
import { measured } from '../../src/core/setup';
import { newestSetups } from '../kit/lake-hollow';
import { proofOf } from '../../src/core/verify';
import { makeSetup } from '../kit/setups';
import { footprint, fromInverted, glideAt, glideWithPitch } from '../kit/closed-forms';

const KNOT_MPS = 1852 / 3600;
const FOOT_M = 0.3048;

describe('turns, against FAA-H-8083-25, Pilot’s Handbook of Aeronautical Knowledge', () => {
  it('120 kn at 30° bank: 2 215 ft, 5.25°/s', () => {
    // The handbook's rounded constants give 2 215 ft; with g = 9.80665 it is 2 209 ft.
    expect(turnRadiusM(120 * KNOT_MPS, 30) / FOOT_M / 2215).toBeCloseTo(1, 2);
    expect(turnRateDegPerS(120 * KNOT_MPS, 30)).toBeCloseTo(5.25, 1);
  });
  it.each([
    [30, 1.155],
    [45, 1.414],
    [60, 2.0],
  ])('load factor at %s°: %s', (bank, n) => expect(loadFactor(bank)).toBeCloseTo(n, 3));
  it('wings level is no turn', () => expect(turnRadiusM(12, 0)).toBe(Infinity));
});

describe('glide footprint', () => {
  const model = { heightM: 50, glideRatio: 10, speedMps: 10, windMps: 0, bankDeg: 0 };
  it('in still air is height times glide ratio, in the time the sink takes', () => {
    const f = footprint(model);
    expect(f.downwindM).toBeCloseTo(500);
    expect(f.upwindM).toBeCloseTo(500);
    expect(f.timeS).toBeCloseTo(50 / f.sinkMps);
    expect(Math.hypot(f.sinkMps, f.sinkMps * 10)).toBeCloseTo(10);
  });
  it('is carried by the wind for as long as it flies', () => {
    const f = footprint({ ...model, windMps: 5 });
    expect(f.downwindM - 500).toBeCloseTo(5 * f.timeS);
    expect(500 - f.upwindM).toBeCloseTo(5 * f.timeS);
    expect(footprint({ ...model, windMps: 30 }).upwindM).toBe(0);
  });
  it('circling comes down sooner and stays nearer', () => {
    const straight = footprint(model);
    const circle = footprint({ ...model, bankDeg: 30 });
    expect(circle.sinkMps).toBeGreaterThan(straight.sinkMps * 1.2);
    expect(circle.downwindM).toBeCloseTo(2 * circle.radiusM);
    expect(circle.downwindM).toBeLessThan(100);
  });
  it.each([
    [3, 50],
    [3, 20],
    [12, 60],
    [25, 30],
  ])('glide ratio %d at %d° of bank balances all forces', (ratio, bankDeg) => {
    const { sinkMps, forwardMps, radiusM } = glideAt(ratio, 10, bankDeg);
    const bank = (bankDeg * Math.PI) / 180;
    const speed = Math.hypot(sinkMps, forwardMps);
    // Weight 1: lift and drag at this speed, as they were straight.
    const k = Math.cos(Math.atan(1 / ratio)) / (10 * 10);
    const lift = k * speed * speed;
    const drag = lift / ratio;
    expect(lift * Math.cos(bank)).toBeCloseTo(forwardMps / speed, 9);
    expect(drag).toBeCloseTo(sinkMps / speed, 9);
    expect((forwardMps * forwardMps) / radiusM / G_MPS2).toBeCloseTo(lift * Math.sin(bank), 9);
  });
  it('with the nose held up it flies slower, held down faster', () => {
    const at = (deg: number) => glideWithPitch(10, 10, deg, 6);
    expect(at(3).speedMps).toBeLessThan(at(0).speedMps);
    expect(at(-6).speedMps).toBeGreaterThan(at(0).speedMps);
    expect(at(-6).glideRatio).toBeLessThan(10.01);
    const high = footprint({ ...model, pitch: { deg: 3, aspect: 6 } });
    expect(high.timeS).not.toBeCloseTo(footprint(model).timeS, 1);
  });
});

describe('from inverted to level', () => {
  it.each([
    [14, 180, 0, 12.3],
    [14, 180, 0.3, 28.7],
  ])('%d m/s, %d°/s, after %d s: %d m', (speedMps, rollRateDegPerS, delayS, heightM) => {
    expect(fromInverted({ rollRateDegPerS, speedMps, delayS }).heightM).toBeCloseTo(heightM, 1);
  });
  it('is what small steps of the point mass come to', () => {
    const [rate, delay] = [240, 0.25];
    const r = fromInverted({ rollRateDegPerS: rate, speedMps: 15, delayS: delay });
    let [height, down] = [0, 0];
    const dt = 1e-5;
    for (let t = 0; t < delay + 180 / rate; t += dt) {
      const rolled = Math.max(0, t - delay) * rate;
      down += G_MPS2 * (1 + Math.cos((rolled * Math.PI) / 180)) * dt;
      height += down * dt;
    }
    expect(r.rollingM).toBeCloseTo(height, 2);
    expect(r.heightM).toBeCloseTo(r.rollingM + r.pullOutM);
  });
  it('costs more with a delay and less with a quick roll', () => {
    const at = (rollRateDegPerS: number, delayS: number) =>
      fromInverted({ rollRateDegPerS, speedMps: 15, delayS }).heightM;
    expect(at(180, 0.5)).toBeGreaterThan(at(180, 0));
    expect(at(360, 0)).toBeLessThan(at(180, 0));
  });
});

describe('what is flown, against them', () => {
  const shipped = newestSetups()
    .map((setup) => ({
      name: setup.name,
      setup,
      states: panicStates(setup, proofOf(setup)).filter((s) => s.righted),
    }))
    .filter(({ states }) => states.length > 0);
  it('there are shipped models with panic', () => expect(shipped.length).toBeGreaterThan(2));
  it.each(shipped)(
    '$name: from inverted it loses as much height as the point mass does, within a factor of four',
    ({ setup, states }) => {
      const { cruiseMps } = setup.airframe.measures;
      const ready = readyToFly(setup);
      if (!ready.ok) throw new Error(ready.reason);
      const inverted = ATTITUDES.find((a) => a.id === 'inverted')!;
      const back = states.map((state) => {
        const watch = recovering();
        let quickest = 0;
        let before = 178;
        const rolling: Observer<undefined> = {
          see({ attitude: { rollDeg } }) {
            const by = Math.abs(rollDeg - before);
            // From one side of upside down to the other is no roll.
            if (by < 90) quickest = Math.max(quickest, by / STEPS.bodyS);
            before = rollDeg;
          },
          answer: () => undefined,
        };
        play(ready.pilot, panicScenario(setup, state, inverted, cruiseMps), [watch, rolling]);
        const { levelS, heightLostM } = watch.answer();
        const point = fromInverted({ rollRateDegPerS: quickest, speedMps: cruiseMps, delayS: 0.1 });
        expect(levelS).toBeDefined();
        return heightLostM / point.heightM;
      });
      for (const ratio of back) {
        expect(ratio).toBeGreaterThan(1 / 4);
        expect(ratio).toBeLessThan(4);
      }
    },
  );
  it('lost in still air a glider comes down as far as its glide reaches, no further', () => {
    const plain = makeSetup('t-tail');
    const setup = composeSetup(
      'Glider',
      measured(buildAirframe({ ...usualAnswers('t-tail'), motors: 0 })),
      plain.unit,
      TRANSMITTERS['line-sixteen']!,
    );
    const { glideRatio, cruiseMps } = setup.airframe.measures;
    const lostIn = { heightM: 50, windMps: 0 };
    const all = [...footprintOf(setup, lostIn, 20)].at(-1)!.filter((l) => !l.flying);
    const reach = footprint({ ...lostIn, glideRatio, speedMps: cruiseMps, bankDeg: 0 });
    const far = all.map((l) => Math.hypot(l.downwindM, l.acrossM));
    expect(all.length).toBeGreaterThan(10);
    // Drag is known to a fifth, and it may fly slower or faster than its best glide.
    expect(Math.max(...far)).toBeLessThan(1.4 * reach.downwindM);
  });
});
