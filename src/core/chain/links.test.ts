import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../catalogue';
import { composeSetup } from '../plan';
import type { Condition, Logic, Setup } from '../setup';
import {
  compileChain,
  shapeAt,
  edgeMm,
  expo,
  fadeOf,
  gainOf,
  hornDeg,
  pitchWithThrottleDeg,
  shapeOutput,
} from './index';

const base = (): Setup =>
  composeSetup(
    'T',
    buildAirframe(usualAnswers('conventional')),
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );

describe('expo', () => {
  it('leaves ends and centre alone, softens between', () => {
    expect([expo(0, 30), expo(100, 30), expo(-100, 30)]).toEqual([0, 100, -100]);
    expect(expo(50, 30)).toBeCloseTo(38.75);
  });
  it('is odd and never leaves the range for 0…100 %', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -100, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        (x, e) => {
          expect(expo(-x, e)).toBeCloseTo(-expo(x, e), 9);
          expect(Math.abs(expo(x, e))).toBeLessThanOrEqual(100 + 1e-9);
        },
      ),
    );
  });
});

describe('curve', () => {
  const points = [
    { inPct: -100, outPct: 0 },
    { inPct: 0, outPct: 20 },
    { inPct: 100, outPct: 100 },
  ];
  it.each([
    [-150, 0],
    [-100, 0],
    [-50, 10],
    [0, 20],
    [50, 60],
    [100, 100],
    [150, 100],
  ])('%d → %d', (x, y) => {
    expect(shapeAt(points, x)).toBeCloseTo(y);
  });
});

describe('output', () => {
  const output = {
    channel: 1,
    carries: 'aileron',
    reversed: false,
    subtrimPct: 0,
    minPct: -80,
    maxPct: 120,
  } as const;
  it('scales each side by its endpoint', () => {
    expect([shapeOutput(output, 50), shapeOutput(output, -50)]).toEqual([60, -40]);
  });
  it('turns round before the endpoints', () => {
    expect(shapeOutput({ ...output, reversed: true }, 50)).toBe(-40);
  });
  it('loses travel to subtrim on one side', () => {
    const o = { ...output, minPct: -100, maxPct: 100, subtrimPct: 10 };
    expect([shapeOutput(o, 100), shapeOutput(o, -100)]).toEqual([100, -90]);
  });
});

/** Gain laws and fade, job figures. Common practice, no source. */
describe('gain laws', () => {
  it.each([
    ['zero-to-full', -0.5, 0],
    ['zero-to-full', 0.5, 0.5],
    ['magnitude', -0.5, 0.5],
    ['full-range', -1, 0],
    ['full-range', -0.08, 0.46],
    ['full-range', 1, 1],
    ['sign-selects-set', -0.3, 0.3],
    ['fixed', -1, 1],
  ] as const)('%s at %d gives %d', (law, value, gain) => {
    expect(gainOf(law, value)).toBeCloseTo(gain);
  });
});

describe('stick fade', () => {
  it.each([
    [100, 100, 0],
    [200, 50, 0],
    [60, 100, 0.4],
    [100, 70, 0.3],
    [0, 100, 1],
  ])('fade %d %% at stick %d %% leaves %d', (fade, stick, left) => {
    expect(fadeOf(fade, stick)).toBeCloseTo(left);
    expect(fadeOf(fade, -stick)).toBeCloseTo(left);
  });
});

it('pitch with power rises above one threshold and falls below another', () => {
  const curve = {
    aboveThrottlePct: 51,
    fullThrottlePitchDeg: 15,
    belowThrottlePct: 30,
    idlePitchDeg: -2,
  };
  expect([100, 75.5, 40, 15, 0].map((t) => pitchWithThrottleDeg(curve, t))).toEqual([
    15, 7.5, 0, -1, -2,
  ]);
});

describe('linkage', () => {
  const linkage = {
    armMm: 10,
    hornMm: 16,
    rodMm: 120,
    armOffsetDeg: 0,
    hornOffsetDeg: 0,
    sense: 'same',
  } as const;
  it('is the arm over the horn near centre', () => {
    expect(hornDeg(linkage, 0)).toBeCloseTo(0, 9);
    expect(hornDeg(linkage, 0.1) / 0.1).toBeCloseTo(10 / 16, 3);
  });
  it('keeps the rod length, checked point by point', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 20, noNaN: true }),
        fc.double({ min: 8, max: 30, noNaN: true }),
        fc.double({ min: 60, max: 400, noNaN: true }),
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.double({ min: -45, max: 45, noNaN: true }),
        (armMm, hornMm, rodMm, armOffsetDeg, servoDeg) => {
          const l = { ...linkage, armMm, hornMm, rodMm, armOffsetDeg };
          const beta = hornDeg(l, servoDeg);
          if (Number.isNaN(beta)) return;
          const rad = Math.PI / 180;
          const arm = [
            armMm * Math.sin((armOffsetDeg + servoDeg) * rad),
            armMm * Math.cos((armOffsetDeg + servoDeg) * rad),
          ];
          const pivot = [
            armMm * Math.sin(armOffsetDeg * rad) + rodMm,
            armMm * Math.cos(armOffsetDeg * rad) - hornMm,
          ];
          const horn = [
            pivot[0]! + hornMm * Math.sin(beta * rad),
            pivot[1]! + hornMm * Math.cos(beta * rad),
          ];
          expect(Math.hypot(horn[0]! - arm[0]!, horn[1]! - arm[1]!)).toBeCloseTo(rodMm, 6);
        },
      ),
    );
  });
  it('says when the rod cannot reach', () => {
    expect(hornDeg({ ...linkage, armMm: 60, hornMm: 8 }, 60)).toBeNaN();
  });
  it('turns degrees into millimetres at the edge', () => {
    expect(edgeMm(50, 60)).toBeCloseTo(50);
  });
});

/** Runs a program with one logic entry on switches over time and reports it at each step. */
function play(logic: Logic, steps: { sa: number; dt: number }[]): number[] {
  const setup = base();
  setup.program.logic = [logic];
  const chain = compileChain(setup);
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  return steps.map(({ sa, dt }) => {
    const stimulus = chain.restStimulus();
    stimulus.controls[chain.layout.controls.get('sa')!] = sa;
    stimulus.dtS = dt;
    chain.step(stimulus, memory, frame);
    return frame.logic[0]!;
  });
}
const near: Condition = { kind: 'switch', control: 'sa', position: 2 };
const far: Condition = { kind: 'switch', control: 'sa', position: 0 };

describe('logic with memory', () => {
  it('a latch keeps, and reset wins', () => {
    const latch: Logic = { id: 'x', label: 'x', op: 'latch', set: near, reset: far };
    expect(
      play(
        latch,
        [100, 0, -100, 0].map((sa) => ({ sa, dt: 0.1 })),
      ),
    ).toEqual([1, 1, 0, 0]);
  });
  it('an edge is true for one step', () => {
    const edge: Logic = { id: 'x', label: 'x', op: 'edge', of: near };
    expect(
      play(
        edge,
        [100, 100, 0, 100].map((sa) => ({ sa, dt: 0.1 })),
      ),
    ).toEqual([1, 0, 0, 1]);
  });
  it('a delay waits on and off, and a brush does not trigger it', () => {
    const delay: Logic = { id: 'x', label: 'x', op: 'delay', of: near, onS: 1, offS: 0.5 };
    const at = [100, 0, 100, 100, 100, 0, 0];
    expect(
      play(
        delay,
        at.map((sa) => ({ sa, dt: 0.5 })),
      ),
    ).toEqual([0, 0, 0, 1, 1, 0, 0]);
  });
  it('counts toggles inside a window only', () => {
    const toggles: Logic = { id: 'x', label: 'x', op: 'toggles', of: near, count: 3, withinS: 3 };
    const flick = [100, 0, 100, 0, 100];
    expect(
      play(
        toggles,
        flick.map((sa) => ({ sa, dt: 0.5 })),
      ),
    ).toEqual([0, 0, 0, 0, 1]);
    expect(
      play(
        toggles,
        flick.map((sa) => ({ sa, dt: 2 })),
      ),
    ).toEqual([0, 0, 0, 0, 0]);
  });
});

describe('lines', () => {
  it('add, scale and take over in order, under conditions', () => {
    const setup = base();
    const line = { channel: 9, follows: { kind: 'fixed' as const }, shiftPct: 0 };
    setup.program.lines = [
      { ...line, id: 'a', sharePct: 40, effect: 'adds' },
      { ...line, id: 'b', sharePct: 50, effect: 'scales' },
      { ...line, id: 'c', sharePct: -100, effect: 'takes-over', when: near },
    ];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const stimulus = chain.restStimulus();
    chain.step(stimulus, chain.newMemory(), frame);
    expect(frame.channelsPct[8]).toBeCloseTo(20);
    stimulus.controls[chain.layout.controls.get('sa')!] = 100;
    chain.step(stimulus, chain.newMemory(), frame);
    expect(frame.channelsPct[8]).toBe(-100);
  });
});

describe('link', () => {
  it('carries no more channels than its variant, and loses to the failsafe of each channel', () => {
    const setup = base();
    setup.transmitter.linkVariants = [{ id: 'full', label: 'five', channels: 5 }];
    setup.program.failsafe = [
      { channel: 1, kind: 'hold' },
      { channel: 2, kind: 'preset', valuePct: 30 },
      { channel: 4, kind: 'no-pulses' },
    ];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    const stimulus = chain.restStimulus();
    stimulus.controls[0] = 50;
    chain.step(stimulus, memory, frame);
    const held = frame.receivedUs[0];
    expect(frame.receivedUs[5]).toBeNaN();
    stimulus.linkUp = false;
    stimulus.controls[0] = -100;
    chain.step(stimulus, memory, frame);
    expect(frame.receivedUs[0]).toBe(held);
    expect(frame.receivedUs[1]).toBeCloseTo(1500 + 0.3 * 512);
    expect(frame.receivedUs[3]).toBeNaN();
  });
});

describe('unit', () => {
  it('limits gain per output', () => {
    const setup = base();
    setup.unit.settings.slots = ['rate', 'rate', 'rate'];
    const deflection = (limit: number) => {
      setup.unit.settings.outputs.find((o) => o.carries === 'elevator')!.maxGainPct = limit;
      const chain = compileChain(setup);
      const frame = chain.newFrame();
      const stimulus = { ...chain.restStimulus(), pitchRateDegPerS: 40 };
      stimulus.controls[chain.layout.controls.get('k1')!] = 100;
      chain.step(stimulus, chain.newMemory(), frame);
      return frame.servoDeg[2]!;
    };
    expect(deflection(70) / deflection(100)).toBeCloseTo(0.7);
  });
  it('does nothing before the throttle has passed the arming point', () => {
    const setup = composeSetup(
      'T',
      buildAirframe(usualAnswers('conventional')),
      UNITS['fixed-order-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
    setup.unit.settings.slots = ['rate', 'rate', 'rate'];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    const stimulus = { ...chain.restStimulus(), rollRateDegPerS: 90 };
    stimulus.controls[chain.layout.controls.get('k1')!] = 100;
    chain.step(stimulus, memory, frame);
    expect(frame.correctionPct[0]).toBeCloseTo(0);
    stimulus.controls[2] = 0;
    stimulus.controls[chain.layout.controls.get('sg')!] = 100;
    chain.step(stimulus, memory, frame);
    stimulus.controls[2] = -100;
    chain.step(stimulus, memory, frame);
    expect(frame.correctionPct[0]).toBeLessThan(-10);
  });
  it('keeps an attitude in hold and lets it go with the stick', () => {
    const setup = base();
    setup.unit.settings.slots = ['hold', 'hold', 'hold'];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    const turning = { ...chain.restStimulus(), rollRateDegPerS: 20, dtS: 0.5 };
    chain.step(turning, memory, frame);
    chain.step({ ...turning, rollRateDegPerS: 0 }, memory, frame);
    expect(memory.holdErrorDeg[0]).toBeCloseTo(10);
    expect(frame.correctionPct[0]).toBeLessThan(-10);
    turning.controls[0] = 40;
    chain.step(turning, memory, frame);
    expect(memory.holdErrorDeg[0]).toBe(0);
  });
});
