import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { randomOf } from '../dice';
import { fly, readScenario, scenario, situationOf, takeOver } from './index';

describe('a flight taken over', () => {
  const setup = makeSetup();
  const pass = situationOf(setup, 'pass');
  const taken = (fromS: number, made = pass) => {
    const taking = takeOver(setup, made, fromS);
    if (!taking.ok) throw new Error(taking.reason);
    return taking.flight;
  };
  const end = (flown: ReturnType<typeof fly>) => {
    if (!flown.ok) throw new Error(flown.reason);
    return flown.flown.points.at(-1)!;
  };
  it('nobody moves anything: it flies on as it would have', () => {
    const flight = taken(3);
    expect(flight.fly(4, flight.hands, true)).toBe(true);
    expect(flight.scenario().hands).toEqual([]);
    const flown = fly(setup, { ...pass, seconds: 7 });
    expect(flight.at()).toEqual(end(flown));
  });
  it('whatever the hands and the signal do, played again it is the same flight to the bit', () => {
    const random = randomOf(11);
    const flight = taken(1.234);
    const hands = { ...flight.hands };
    const ids = Object.keys(hands);
    let goesOn = true;
    for (let i = 0; i < 200 && goesOn; i++) {
      if (i % 3 === 0) hands[ids[Math.floor(random() * ids.length)]!] = 160 * random() - 80;
      goesOn = flight.fly(0.01 + 0.04 * random(), hands, i % 50 < 40);
    }
    const made = flight.scenario();
    const read = readScenario(JSON.parse(JSON.stringify(made)), ids);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(made.hands.length).toBeGreaterThan(20);
    expect(made.signal.length).toBeGreaterThan(1);
    const again = fly(setup, read.value);
    if (!again.ok) throw new Error(again.reason);
    expect(again.flown.points.slice(0, flight.points().length)).toEqual(flight.points());
  });
  it('what the scenario would have done later is left to the hands', () => {
    const made = scenario({
      start: { heightM: 50 },
      hands: [
        { atS: 1, controls: { 'stick-elevator': -20 } },
        { atS: 4, controls: { 'stick-elevator': 100 } },
      ],
      seconds: 6,
    });
    const flight = taken(2, made);
    expect(flight.hands['stick-elevator']).toBe(-20);
    flight.fly(1, flight.hands, true);
    expect(flight.scenario().hands).toEqual([made.hands[0]]);
  });
  it('on the ground it is over, and stays over', () => {
    const flight = taken(0, scenario({ start: { heightM: 5, pitchDeg: -40 }, seconds: 3 }));
    expect(flight.fly(10, flight.hands, true)).toBe(false);
    const { timeS } = flight.at();
    expect(flight.fly(1, flight.hands, true)).toBe(false);
    expect(flight.at().timeS).toBe(timeS);
  });
});
