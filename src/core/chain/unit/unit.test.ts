import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../../tests/kit/setups';
import { MOUNTINGS, type Setup } from '../../setup';
import { compileChain, type Frame, type Stimulus } from '../index';

/** Runs a Setup over moments that share one memory; each may move controls and the model. */
function run(
  setup: Setup,
  ...moments: (Partial<Stimulus> & { hands?: Record<string, number> })[]
): Frame {
  const chain = compileChain(setup);
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  const controls = chain.restStimulus().controls;
  for (const { hands = {}, ...moment } of moments) {
    for (const [id, value] of Object.entries(hands))
      controls[chain.layout.controls.get(id)!] = value;
    chain.step({ ...chain.restStimulus(), ...moment, controls }, memory, frame);
  }
  return frame;
}

const GAIN_UP = { k1: 100 };
const rolling = { rollRateDegPerS: 60 };

function withModes(...slots: Setup['unit']['settings']['slots']): Setup {
  const setup = makeSetup();
  setup.unit.settings.slots = slots;
  return setup;
}

describe('mounting', () => {
  const upright = withModes('rate', 'rate', 'rate');
  const model = { rollRateDegPerS: 50, pitchRateDegPerS: -30, yawRateDegPerS: 20, hands: GAIN_UP };
  const right = [...run(upright, model).correctionPct];
  it.each(MOUNTINGS)('%s, told so, corrects like any other', (mounting) => {
    const setup = structuredClone(upright);
    setup.installation.mounting = mounting;
    setup.unit.settings.orientation = mounting;
    run(setup, model).correctionPct.forEach((value, i) => expect(value).toBeCloseTo(right[i]!));
  });
  it('turned half round and not told: two axes are wrong together, never one', () => {
    for (const [mounting, signs] of [
      ['tail-up', [-1, -1, 1]],
      ['nose-down', [1, -1, -1]],
      ['tail-down', [-1, 1, -1]],
    ] as const) {
      const setup = structuredClone(upright);
      setup.installation.mounting = mounting;
      run(setup, model).correctionPct.forEach((value, i) =>
        expect(value).toBeCloseTo(signs[i]! * right[i]!),
      );
    }
  });
  it('turned a quarter: movement on one axis is answered on another', () => {
    const setup = structuredClone(upright);
    setup.installation.mounting = 'right-up';
    const [roll, pitch] = run(setup, { ...rolling, hands: GAIN_UP }).correctionPct;
    expect(Math.abs(roll!)).toBeLessThan(1e-9);
    expect(Math.abs(pitch!)).toBeGreaterThan(10);
  });
  it('believes the bank and pitch the model has, and takes off the level offset', () => {
    const setup = withModes('level', 'level', 'level');
    setup.unit.settings.levelOffsetDeg = { roll: 0, pitch: 5 };
    const frame = run(setup, { rollDeg: -35, pitchDeg: 20 });
    expect(frame.believedRollDeg).toBeCloseTo(-35);
    expect(frame.believedPitchDeg).toBeCloseTo(15);
  });
});

describe('choosing modes', () => {
  it('by the sign of the gain channel, off in the middle', () => {
    const setup = makeSetup('conventional', 'satellite-gyro');
    const law = setup.program.lines.find((l) => l.purpose === 'gain')!;
    Object.assign(law, { sharePct: 100, shiftPct: 0 });
    const mode = (k1: number) => run(setup, { hands: { k1 } }).mode;
    expect([mode(-60), mode(0), mode(60)]).toEqual(['rate', 'off', 'hold']);
  });
  it('by two switches together', () => {
    const setup = makeSetup('conventional', 'autopilot');
    const [first, second] = ['mode', 'mode2'].map((carries) => {
      const { channel } = setup.program.outputs.find((o) => o.carries === carries)!;
      const { follows } = setup.program.lines.find((l) => l.channel === channel)!;
      return follows.kind === 'control' ? follows.id : '';
    });
    const at = (a: number, b: number) => run(setup, { hands: { [first!]: a, [second!]: b } }).mode;
    expect([-100, 0, 100].map((a) => at(a, -100))).toEqual(['off', 'rate', 'level']);
    expect([-100, 0, 100].map((a) => at(a, 100))).toEqual(['hold', 'trainer', 'home']);
  });
  it('waits for a position fix before levelling, where the unit does', () => {
    const setup = makeSetup('conventional', 'autopilot');
    setup.unit.settings.slots = Array(6).fill('level');
    expect(run(setup, { positionFix: false }).mode).toBe('rate');
    expect(run(setup, { positionFix: true }).mode).toBe('level');
  });
});

describe('gain lead missing', () => {
  const at = (missing: Setup['unit']['traits']['gainLeadMissing']) => {
    const setup = withModes('rate', 'rate', 'rate');
    setup.unit.traits.gainLeadMissing = missing;
    setup.installation.gainLead = false;
    return run(setup, { hands: GAIN_UP }).gainPct[0];
  };
  it.each([
    ['zero', 0],
    ['full', 100],
    ['keeps-last', 0],
  ] as const)('%s gives %d', (missing, gain) => {
    expect(at(missing)).toBe(gain);
  });
  it('a unit that keeps the last value keeps it when the channel goes silent', () => {
    const setup = withModes('rate', 'rate', 'rate');
    const { channel } = setup.program.outputs.find((o) => o.carries === 'gain')!;
    setup.program.failsafe = [{ channel, kind: 'no-pulses' }];
    const frame = run(setup, { hands: { k1: 20 } }, { hands: { k1: 20 }, linkUp: false });
    expect(frame.gainPct[0]).toBeCloseTo(100 * ((0.2 * 512) / 1000 + 0.5));
  });
});

describe('recovery on a channel', () => {
  const wizard = () => {
    const setup = makeSetup('conventional', 'wizard-receiver');
    const { channel } = setup.program.outputs.find((o) => o.carries === 'gain')!;
    setup.unit.settings.inputs.push({ carries: 'recovery', channel: 9 });
    setup.program.lines.push({
      id: 'panic',
      channel: 9,
      follows: { kind: 'control', id: 'sm' },
      sharePct: 100,
      shiftPct: 0,
      effect: 'adds',
    });
    setup.program.outputs.push({
      channel: 9,
      carries: 'recovery',
      reversed: false,
      subtrimPct: 0,
      minPct: -100,
      maxPct: 100,
    });
    setup.unit.settings.recovery = {
      mode: 'level',
      rollLimitDeg: 15,
      pitchLimitDeg: 15,
      delayMs: 300,
      thresholdUs: 1700,
    };
    expect(channel).not.toBe(9);
    return setup;
  };
  it('acts after its delay and lets go at once', () => {
    const held = { hands: { sm: 100 }, dtS: 0.2 };
    expect(run(wizard(), held).recovering).toBe(false);
    expect(run(wizard(), held, held).recovering).toBe(true);
    expect(run(wizard(), held, held).mode).toBe('level');
    expect(run(wizard(), held, held, { hands: { sm: -100 }, dtS: 0.2 }).recovering).toBe(false);
  });
  it('allows a panicked stick its own small bank only', () => {
    const full = { hands: { sm: 100, k1: 100, 'stick-aileron': 100 }, dtS: 0.5 };
    const level = run(wizard(), { ...full, rollDeg: 15 });
    expect(level.portsUs[0]).toBeCloseTo(1500, -1);
    expect(run(wizard(), { ...full, rollDeg: 40 }).portsUs[0]).toBeLessThan(1400);
  });
});

describe('the unit’s own failsafe', () => {
  it('levels to its angles and cuts the throttle when the link is lost', () => {
    const setup = makeSetup();
    setup.unit.settings.failsafe = { mode: 'level', pitchDeg: 3, rollDeg: 0, cutThrottle: true };
    setup.program.failsafe = setup.program.failsafe.map(({ channel }) => ({
      channel,
      kind: 'hold' as const,
    }));
    const flying = { hands: { ...GAIN_UP, sg: 100, 'stick-throttle': 60 } };
    expect(run(setup, flying).motorPct[0]).toBeCloseTo(80);
    const lost = run(setup, flying, { ...flying, linkUp: false, rollDeg: 50 });
    expect(lost.mode).toBe('level');
    // The unit sends its own 1000 µs; this motor was taught to stop at 988.
    expect(lost.motorPct[0]).toBeLessThan(2);
    expect(lost.correctionPct[0]).toBeLessThan(-20);
  });
});

describe('reversals, by the truth table', () => {
  const turning = { hands: { ...GAIN_UP, 'stick-elevator': 30 }, pitchRateDegPerS: 20 };
  const read = (change: (s: Setup) => void) => {
    const setup = withModes('rate', 'rate', 'rate');
    setup.program.inputs.forEach((i) => (i.rates = [{ sharePct: 100, expoPct: 0 }]));
    setup.unit.settings.axes.pitch.fadePct = 0;
    change(setup);
    const stick = run(setup, { hands: turning.hands }).surfaceDeg[2]!;
    return {
      stick: Math.sign(stick),
      correction: Math.sign(run(setup, turning).surfaceDeg[2]! - stick),
    };
  };
  it.each<[string, (s: Setup) => void, number, number]>([
    ['nothing', () => undefined, 1, 1],
    [
      'transmitter',
      (s) => {
        s.program.outputs[1]!.reversed = true;
      },
      -1,
      1,
    ],
    [
      'unit',
      (s) => {
        s.unit.settings.axes.pitch.reversed = true;
      },
      1,
      -1,
    ],
    [
      'servo',
      (s) => {
        s.airframe.servos[2]!.rotation = 'reversed';
      },
      -1,
      -1,
    ],
    [
      'port',
      (s) => {
        s.unit.settings.outputs[1]!.reversed = true;
      },
      -1,
      -1,
    ],
  ])('%s', (_, change, stick, correction) => {
    expect(read(change)).toEqual({ stick, correction });
  });
});
