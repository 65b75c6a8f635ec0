import { describe, expect, it } from 'vitest';
import { FACES, faceWords } from '@/core/calibration';
import { captureScript, levelCaptureOf } from '@/core/capture';
import { TESTS } from '@/core/logbook';
import { mountingAdvice } from '@/core/mounting';
import { choose, planFor } from '@/core/plan';
import { stepsOf } from '@/core/procedure';
import { settingRows } from '@/core/settings';
import type { Setup } from '@/core/setup';
import { sheetFor } from '@/core/sheets';
import { prove, verify } from '@/core/verify';
import * as shapes from './all';
import { Model, type Shape } from './kit';

type Name = keyof typeof shapes;

/** A shape with one more choice, proved: nothing stops it. */
function withChoice(setup: Setup, choice: Parameters<typeof choose>[1]): Model {
  const made = choose(setup, choice, 'all');
  if (!made.ok) throw new Error(made.reasons.join(' '));
  expect(prove(made.setup).complete).toBe(true);
  expect(verify(made.setup).filter((f) => f.severity === 'stop')).toEqual([]);
  return new Model(made.setup);
}

/** What one demand asks its shape. */
class Asked {
  readonly setup: Setup;
  readonly model: Model;
  constructor(shape: Shape) {
    this.setup = shape.make();
    this.model = new Model(this.setup);
  }
  /** What a line of the unit's settings says, and how it is entered. */
  row(id: string): string {
    const row = settingRows(this.setup).find((r) => r.id === id);
    return row ? [row.words, row.how].filter(Boolean).join('; ') : 'no such line';
  }
  /** Everything to do and to see of some tests, as it is read. */
  reads(...tests: (keyof typeof TESTS)[]): string {
    return tests
      .flatMap((t) => TESTS[t].script(this.setup))
      .map((s) => `${s.does} ${s.sees.join('; ')}`)
      .join('\n');
  }
  get order(): string {
    return this.setup.program.outputs.map((o) => `${o.channel} ${o.carries}`).join(', ');
  }
  get wires(): string {
    return this.reads('plain-model');
  }
  /** The steps in the order of work. */
  before(first: string, second: string): void {
    const ids = stepsOf(this.setup).map((s) => s.id as string);
    expect(ids).toContain(first);
    expect(ids).toContain(second);
    expect(ids.indexOf(first)).toBeLessThan(ids.indexOf(second));
  }
  mode(moment: Record<string, number>): string {
    return this.model.fresh().hands(moment).mode;
  }
  get failsafe(): string {
    return this.setup.program.failsafe
      .map((f) => `${f.channel} ${f.kind}${f.kind === 'preset' ? ` ${f.valuePct}` : ''}`)
      .join(', ');
  }
}

const DEMANDS: Partial<Record<Name, Record<string, (asked: Asked) => void>>> = {
  homecomer: {
    'ailerons, elevator, throttle, rudder, mode on 5': (a) =>
      expect(a.order).toBe('1 aileron, 2 elevator, 3 throttle, 4 rudder, 5 mode'),
    'the order of the switch turned round': ({ setup }) => {
      const turned = withChoice(setup, {
        wish: 'modes',
        value: { switches: ['sa'], table: ['home', 'off', 'level'] },
      });
      expect([-100, 0, 100].map((sa) => turned.fresh().hands({ sa }).mode)).toEqual([
        'home',
        'off',
        'level',
      ]);
    },
    'the mode channel alone is preset': (a) => expect(a.failsafe).toMatch(/^5 preset/),
    'amount and direction from one dial for each axis, nothing in its middle': (a) => {
      for (const axis of ['roll', 'pitch', 'yaw'])
        expect(a.row(`gain ${axis}`)).toMatch(/to the right of its centre$/);
      const { unit } = a.setup;
      const axes = { ...unit.settings.axes, roll: { ...unit.settings.axes.roll, reversed: true } };
      const other = { ...a.setup, unit: { ...unit, settings: { ...unit.settings, axes } } };
      expect(settingRows(other).find((r) => r.id === 'gain roll')!.how).toMatch(
        /to the left of its centre$/,
      );
    },
    'half rates from a switch of their own': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'rates',
        value: {
          by: 'switch',
          control: 'se',
          at: [
            { pct: 50, expoPct: 0 },
            { pct: 100, expoPct: 0 },
            { pct: 100, expoPct: 0 },
          ],
        },
      });
      const full = (se: number) => model.fresh().hands({ se, 'stick-aileron': 100 });
      expect([-100, 100].map((se) => full(se).sent('aileron'))).toEqual([50, 100]);
    },
    'trims taught by holding a button': (a) =>
      expect(captureScript(a.setup)[0]!.does).toContain('start it with the button'),
    'level captured by a corner of two sticks, in level': (a) =>
      expect(levelCaptureOf(a.setup).words).toMatch(/^in self-levelling, hold .* for 3 s$/),
    'a unit that steers home is not asked for surfaces at centre': (a) => {
      expect(a.reads('failsafe')).toContain('the unit steers by itself');
      expect(a.reads('failsafe')).not.toContain('at centre');
    },
    'the motor is the autopilot’s once the signal is lost': (a) =>
      expect(a.reads('failsafe')).toContain('the unit controls the motor'),
    'it waits for its position fix before the first flight': (a) =>
      expect(a.reads('preflight')).toContain('until the unit has its position fix'),
  },
  smallSwitches: {
    'on and off from a two-position switch on 5': (a) => {
      expect(a.order).toContain('5 mode');
      const [control] = a.setup.intents.program.modes!.switches;
      expect(a.setup.transmitter.controls.find((c) => c.id === control)!.kind).toBe('switch-2');
    },
    'each axis has its own small switch, and only what is reversed is moved': (a) => {
      for (const axis of ['roll', 'pitch', 'yaw'])
        expect(a.row(`direction ${axis}`)).toBe(`normal; with the small switch for ${axis}`);
    },
    'square to the centre line, and anywhere to its side': ({ setup }) => {
      setup.intents.seat = { place: 'anywhere', tilt: 'any' };
      expect(mountingAdvice(setup).join(' ')).not.toMatch(/on its centre line/);
      expect(mountingAdvice(setup).join(' ')).toMatch(/square/i);
    },
  },
  singleAxis: {
    'one channel in, two servos out, and a gain lead': (a) => {
      expect(a.wires).toContain('Gyro out 1: Rudder servo');
      expect(a.wires).toContain('Gyro out 2: Second rudder servo');
      expect(a.wires).toContain('Gain lead: from receiver channel 5');
    },
    'a slider first': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'gain',
        value: { by: 'knob', control: 'l1', middleOff: true },
      });
      expect([-60, 0, 60].map((l1) => model.fresh().hands({ l1 }).mode)).toEqual([
        'rate',
        'off',
        'hold',
      ]);
    },
    'own maximum for each side, hold allowed or not for each side': (a) => {
      expect(a.row('output-sets g1 below maxGainPct')).toBe('80 %');
      expect(a.row('output-sets g1 above maxGainPct')).toBe('60 %');
      expect(a.row('output-sets g1 below holdAllowed')).toBe('off');
      expect(a.row('output-sets g1 above holdAllowed')).toBe('on');
    },
    'each output reversed by itself': (a) => {
      expect(a.row('port-reversal g1')).toBe('normal');
      expect(a.row('port-reversal g2')).toBe('normal');
    },
    'the second output has its own centre and ends': (a) => {
      expect(a.row('output-travel g2 centrePct')).toBe('4 %');
      expect(a.row('output-travel g2 minPct')).toBe('−90 %');
      expect(a.row('output-travel g2 maxPct')).toBe('90 %');
    },
    '×4 sensitivity and a frame time of its own': (a) => {
      expect(a.row('sensitivity')).toBe('×4');
      expect(a.row('frame')).toBe('11 ms');
    },
    'with the lead out the last value stays, and there is no off': ({ setup }) => {
      setup.installation.gainLead = false;
      const says = () =>
        verify(structuredClone(setup))
          .filter((f) => f.severity !== 'note' && f.rule !== 'M33')
          .map((f) => `${f.severity} ${f.says}`);
      expect(says()[0]).toMatch(/^stop .*enter the value it had when the lead came out/);
      setup.installation.gainLeadLastPct = -40;
      expect(says()).toEqual([
        'stop The unit keeps the last gain it saw. Its modes are on the same lead: nothing in your hands switches it off.',
      ]);
      setup.installation.gainLeadLastPct = 0;
      expect(says()[0]).toBe(
        'caution The unit keeps the last gain it saw. That is off, whatever you do.',
      );
    },
  },
  numberedModes: {
    'throttle, aileron, elevator, rudder, gear, flap, then a switch': (a) => {
      expect(a.order).toBe('1 throttle, 2 aileron, 3 elevator, 4 rudder, 5 gear, 6 flap, 7 mode');
      expect(a.setup.transmitter.switchOnly).toEqual([7]);
    },
    'both ailerons on a Y-lead, the rudder with its wheel on one servo': (a) => {
      expect(a.wires).toContain('joined by a Y-lead');
      expect(a.reads('preflight')).toMatch(/rudder right; tail wheel/);
    },
    'the plain model first, then the unit’s directions': (a) =>
      a.before('plain-model', 'corrections'),
    'the picture of its orientation is compared': (a) =>
      expect(a.reads('mounting')).toContain('Compare the picture or the words the unit shows'),
    'no gain channel': (a) => expect(a.order).not.toContain('gain'),
    'two twitches at power-up': (a) =>
      expect(a.reads('unit')).toContain('the surfaces twitch 2 times'),
    'its switch-only channel can only hold, and is not preset': (a) =>
      expect(a.failsafe).toContain('7 hold'),
    'only level kept from the start': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'modes',
        value: {
          switches: setup.intents.program.modes!.switches,
          table: ['off', 'level', 'rate'],
        },
      });
      const [mode] = setup.intents.program.modes!.switches;
      expect(model.fresh().hands({ [mode!]: 0 }).mode).toBe('level');
    },
  },
  satellite: {
    'two aileron servos on outputs of their own': (a) => {
      expect(a.wires).toContain('Port 1: Left aileron servo');
      expect(a.wires).toContain('Port 2: Right aileron servo');
    },
    'hold allowed on aileron and elevator, not on the rudder': (a) => {
      expect(a.row('output-sets 1 above holdAllowed')).toBe('on');
      expect(a.row('output-sets 3 above holdAllowed')).toBe('on');
      expect(a.row('output-sets 4 above holdAllowed')).toBe('off');
    },
    'stick fade 100, 200 or under 100': (a) =>
      expect(['roll', 'pitch', 'yaw'].map((axis) => a.row(`fade ${axis}`))).toEqual([
        '100 %',
        '200 %',
        '80 %',
      ]),
    'mounting learned by lifting the tail, then turning right': (a) => {
      expect(a.row('orientation')).toMatch(/lift the tail .* swing the nose to the right/);
      expect(a.reads('mounting')).toMatch(/lift the tail/);
    },
    'ends, directions and mixes learned from full sticks': (a) =>
      expect(a.reads('capture')).toMatch(
        /move every stick through its full range.*\n.*every correction goes the way it should/,
      ),
    'response, and how hard it stops': (a) => {
      expect(a.row('response character')).toBe('4');
      expect(a.row('response stop')).toMatch(/^2;/);
    },
    'gain that follows speed': (a) => expect(a.row('speed-gain fromMps')).toMatch(/^22 m\/s/),
  },
  iceCar: {
    'left and right ends apart': ({ setup }) => {
      const steering = setup.program.outputs.find((o) => o.carries === 'steering')!;
      expect([steering.minPct, steering.maxPct]).toEqual([-84, 97]);
    },
    'the linkage reaches lock just as the control does': (a) =>
      expect(a.reads('steering')).toContain('reaches its stop just as your control does'),
    'taught left first, then right': (a) =>
      expect(a.reads('capture')).toMatch(/steer full left .*, then full right/),
    'slow return on one side, fast on the other, off in the middle': (a) =>
      expect(a.reads('capture')).toMatch(/slow return.*fast return.*in the middle the unit does/),
    'steering reversed where it must be': ({ setup }) => {
      const still = new Model(setup).hands({ wheel: 100 }).sent('steering');
      setup.program.outputs.find((o) => o.carries === 'steering')!.reversed = true;
      expect(Math.sign(new Model(setup).hands({ wheel: 100 }).sent('steering'))).toBe(
        -Math.sign(still),
      );
    },
    'the chassis is set up with the gyro off, before the first run': (a) => {
      a.before('chassis', 'preflight');
      expect(a.reads('chassis')).toContain('Gyro off');
    },
  },
  panicMix: {
    'from every position, and back again': (a) => {
      for (const before of ['off', 'rate damping', 'self-levelling'])
        expect(a.reads('panic')).toContain(`panic released: ${before} again`);
    },
  },
  selfMixingWing: {
    'no mix and no rudder in the transmitter': ({ setup }) => {
      expect(setup.program.outputs.map((o) => o.carries)).toEqual([
        'aileron',
        'elevator',
        'throttle',
        'mode',
      ]);
      for (const { channel } of setup.program.outputs)
        expect(
          setup.program.lines.filter((l) => l.channel === channel && l.purpose === 'stick').length,
        ).toBeLessThan(2);
    },
    'that channel alone is reversed': ({ setup }) =>
      expect(setup.program.outputs.filter((o) => o.reversed).map((o) => o.carries)).toEqual([
        'aileron',
      ]),
    'pins face the tail': (a) => {
      expect(a.setup.unit.traits.pinsAt).toBe('far-end');
      expect(
        FACES.map((f) => faceWords(f, 'far-end')).filter((w) => w.includes('pins')).length,
      ).toBe(1);
    },
  },
  secondAilerons: {
    'mode and gain on high channels, the order forced': (a) =>
      expect(a.order).toBe(
        '1 aileron, 2 elevator, 3 throttle, 4 rudder, 5 aileron2, 6 flap, 7 mode, 8 gain',
      ),
    'six faces before fitting': (a) => a.before('calibration', 'mounting'),
    'hover unused': (a) =>
      expect([-100, 0, 100].map((v) => a.mode({ sb: v }))).not.toContain('hover'),
    'level captured nose-up, with an offset in roll': (a) => {
      expect(a.row('level-offset pitch')).toBe('3°');
      expect(a.row('level-offset roll')).toBe('1.5°');
    },
    'the second bank is off, and nothing of it is entered': (a) => {
      expect(a.row('banks 2')).toBe('passed through');
      expect(a.row('output-maximum 6')).toBe('no such line');
      expect(a.row('output-maximum 1')).toBe('100 %');
    },
    'gain for damping and for levelling apart': (a) => {
      expect(a.row('mode-gain roll rate')).toBe('45 %');
      expect(a.row('mode-gain roll level')).toBe('80 %');
    },
  },
  recoveryChannel: {
    'a channel of its own, without delay, with small limits': (a) => {
      expect(a.order).toContain('7 recovery');
      expect(a.row('recovery delayMs')).toBe('0 ms');
      expect(a.row('recovery rollLimitDeg')).toBe('18°');
    },
    'the failsafe of the unit: mode, angles, throttle': (a) => {
      expect(a.row('failsafe mode')).toBe('self-levelling');
      expect(a.row('failsafe pitch')).toBe('2°');
      expect(a.row('failsafe throttle')).toBe('off');
    },
    'pitch with power falls below a threshold too': (a) =>
      expect(a.row('pitch-with-power belowThrottlePct')).toBe('28 %'),
    'its throttle is cut when the signal is lost': ({ model, setup }) => {
      const cut = setup.intents.program.cut!.control;
      model.fresh().hands({ 'stick-throttle': 60, [cut]: 100 });
      expect(model.motor).toBeGreaterThan(40);
      expect(model.world({ link: false }).motor).toBeLessThan(3);
    },
  },
  inline: {
    'neutral and level are captured by flicking the mode switch': (a) => {
      expect(levelCaptureOf(a.setup).words).toMatch(/flick the mode switch from end to end/);
      expect(a.reads('capture')).toContain('flick the mode switch');
    },
    'three dials, nothing in the middle, the side is the direction': (a) => {
      for (const axis of ['roll', 'pitch', 'yaw'])
        expect(a.row(`direction ${axis}`)).toMatch(/^normal; its dial .* right of its centre$/);
    },
    'one twitch confirms': (a) => expect(a.reads('unit')).toContain('the surfaces twitch once'),
    'run-up with the model held': (a) =>
      expect(a.reads('preflight')).toMatch(/held or tied.*full throttle for five seconds/),
    'leads for mode and gain': (a) => {
      expect(a.row('channels gain')).toBe('5');
      expect(a.row('channels mode')).toBe('6');
    },
  },
  lockedGain: {
    'off, fast, slow on a three-position switch': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'gain',
        value: { by: 'values', control: 'sc', pct: [0, 36, 52] },
      });
      for (const [sc, pct] of [
        [-100, 0],
        [0, 36],
        [100, 52],
      ] as const)
        expect(
          Math.abs(model.fresh().hands({ sc, 'stick-throttle': 20 }).gain() - pct),
        ).toBeLessThan(1.5);
    },
    'one of three off, instead of two': ({ setup }) => {
      const { gain } = setup.intents.program;
      if (gain?.by !== 'flap') throw new Error('not by flap');
      const model = withChoice(setup, { wish: 'gain', value: { ...gain, offPositions: [0] } });
      const at = (sc: number) => model.fresh().hands({ sb: 0, sc }).gain();
      expect(at(-100)).toBe(0);
      expect(at(0)).toBeGreaterThan(40);
    },
    'two gain values exchanged are found': ({ setup }) => {
      const values = setup.program.lines.filter((l) => l.owner === 'gain' && l.id !== 'gain-off');
      [values[0]!.sharePct, values[1]!.sharePct] = [values[1]!.sharePct, values[0]!.sharePct];
      expect(verify(setup).filter((f) => f.severity !== 'note')).not.toEqual([]);
    },
  },
  wizard: {
    'roll and pitch tuned on sliders, each on a channel': (a) => {
      expect(a.order).toMatch(/\d gain-roll, \d gain-pitch/);
    },
    'levelling that stops at a bank, or rolls through': (a) =>
      expect(a.row('levelling')).toBe('rolls through at full stick'),
    'fade from its default to full': (a) => expect(a.row('fade roll')).toBe('180 %'),
    'sticks captured, and again after trimming': (a) => {
      expect(a.reads('capture')).toContain('move every stick through its full range');
      expect(a.reads('tune')).toMatch(/if you moved the trims: .*capture the centres again/);
    },
    'throttle low before its menus': (a) => expect(a.reads('capture')).toContain('throttle low'),
  },
  handLaunch: {
    'after a second of holding, not before': (a) => {
      expect(a.model.fresh().hands({ sm: 100 }, 0.9).mode).not.toBe('level');
      expect(a.model.hands({ sm: 100 }, 0.2).mode).toBe('level');
    },
    'released by the elevator as well': (a) => {
      a.model.fresh().hands({ sm: 100 }, 1.2).hands({ sm: -100 }, 0.1);
      expect(a.model.hands({ 'stick-elevator': 20 }, 0.1).mode).not.toBe('level');
    },
    'the share of elevator in steps of 1 %': ({ setup }) => {
      const { launch } = setup.intents.program;
      const model = withChoice(setup, { wish: 'launch', value: { ...launch!, elevatorPct: 23 } });
      model.fresh().hands({ sm: 100 }, 1.2).hands({ sm: -100 }, 0.1);
      expect(Math.abs(Math.abs(model.sent('elevator')) - 23)).toBeLessThan(1);
    },
  },
  twoOfThree: {
    'the mode on the switch-only seventh': (a) => {
      expect(a.setup.transmitter.switchOnly).toEqual([7]);
      expect(a.order).toMatch(/7 mode$/);
    },
    '×4 and wider limits': (a) => {
      expect(a.row('sensitivity')).toBe('×4');
      expect(a.row('limits roll')).toBe('70°');
    },
    'levelling gains only in that mode': (a) => {
      expect(a.row('mode-gain roll level')).toBe('20 %');
      expect(a.row('mode-gain roll rate')).toBe('100 %');
    },
    'flaps do not ride a channel of two positions': ({ setup }) => {
      const plan = planFor({
        ...setup,
        intents: { ...setup.intents, pins: [{ carries: 'flap', channel: 7 }] },
      });
      expect(plan.impossible.join()).toContain('Channel 7 carries a switch only');
    },
  },
  secondHand: {
    'reset before anything is entered': (a) => {
      a.before('identify', 'unit');
      expect(a.reads('identify')).toContain('reset it to its factory settings');
    },
    'a programmed gain for each axis under the knob': (a) =>
      expect(['roll', 'pitch', 'yaw'].map((axis) => a.row(`gain ${axis}`))).toEqual([
        '46 %',
        '62 %',
        '54 %',
      ]),
  },
  jet: {
    'retracts and flaps on a bank that is passed through': (a) => {
      expect(a.row('banks 2')).toBe('passed through');
      expect(a.wires).toMatch(/carries flaps(?!, stabilized)/);
      expect(a.wires).toMatch(/carries gear(?!, stabilized)/);
    },
    'shorter aileron ends, then captured again': (a) => {
      expect(a.wires).toMatch(/left aileron: 16 mm \(23°\) up/);
      a.before('sticks', 'capture');
    },
    'a voice for each mode': (a) => {
      for (const mode of ['off', 'rate', 'level'])
        expect(a.setup.program.callouts.map((c) => c.say).join()).toContain(mode);
    },
  },
  eighthChannel: {
    'aileron, elevator, throttle, rudder, though plugs are labelled': (a) => {
      expect(a.order).toMatch(/^1 aileron, 2 elevator, 3 throttle, 4 rudder/);
      expect(a.wires).toContain('AIL: Left aileron servo');
    },
    'the gain knob has a channel and no plug': (a) => {
      const { outputs } = a.setup.unit.settings;
      expect(outputs.map((o) => o.carries)).not.toContain('gain');
      expect(a.order).toContain('gain');
    },
    'correction by small switches, the rudder stick reversed in the transmitter': (a) => {
      expect(a.row('direction yaw')).toBe('reversed; with the small switch for yaw');
      expect(a.setup.program.outputs.filter((o) => o.reversed).map((o) => o.carries)).toEqual([
        'rudder',
      ]);
    },
    'a link of seven channels is named where the gain is fixed on eight': ({ setup }) => {
      const narrow = setup.transmitter.linkVariants.find((v) => v.channels === 7)!;
      const plan = planFor({
        ...setup,
        transmitter: { ...setup.transmitter, link: narrow.id },
        intents: { ...setup.intents, pins: [{ carries: 'gain', channel: 8 }] },
      });
      expect(plan.impossible.join()).toContain(`The link “${narrow.label}” carries 7 channels`);
    },
    'ordinary rates of 70 % bring no caution': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'rates',
        value: {
          by: 'switch',
          control: 'sd',
          at: [
            { pct: 70, expoPct: 25 },
            { pct: 100, expoPct: 15 },
          ],
        },
      });
      expect(verify(model.setup).map((f) => f.rule)).not.toContain('M48');
    },
  },
  pairedSwitches: {
    'a fixed order, and two channels for the two switches': (a) =>
      expect(a.order).toBe('1 aileron, 2 elevator, 3 throttle, 4 rudder, 5 mode, 6 mode2'),
    'the correction reversed by a number of presses, none for what is normal': (a) => {
      expect(a.row('direction pitch')).toBe('reversed; 2 presses of its button');
      expect(a.row('direction roll')).toBe('normal; factory setting: do not press');
    },
    'arrow to the nose, either way up': (a) =>
      expect(a.row('orientation')).toContain('arrow to the nose, label down'),
    'about 5° nose-up': ({ setup }) => {
      setup.airframe.measures!.flyingPitchDeg = 5;
      const level = TESTS.level.script(setup).map((s) => s.sees.join());
      expect(level.join()).toContain('5° nose up');
    },
    'a second hardware version with other bands': ({ setup }) => {
      const { modeSelect } = setup.unit.traits;
      if (modeSelect.by !== 'two-channels') throw new Error('not by two channels');
      for (const band of modeSelect.bands) {
        if (band.toUs === 1340) band.toUs = 1250;
        if (band.fromUs === 1340) band.fromUs = 1250;
      }
      expect(verify(setup).filter((f) => f.severity === 'stop')).toEqual([]);
    },
    'the throttle is not reversed': ({ setup }) =>
      expect(setup.program.outputs.find((o) => o.carries === 'throttle')!.reversed).toBe(false),
  },
  template: {
    'the order changed': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'modes',
        value: { switches: ['sa'], table: ['rate', 'off', 'level'] },
      });
      expect([-100, 0, 100].map((sa) => model.fresh().hands({ sa }).mode)).toEqual([
        'rate',
        'off',
        'level',
      ]);
    },
    'what differs from a new unit is printed': ({ setup }) => {
      const sheet = JSON.stringify(sheetFor(setup).sections);
      expect(sheet).toContain('self-levelling');
    },
  },
  captureChannel: {
    'the size of the gain, with 50 in the middle of its knob': (a) =>
      expect(a.setup.unit.traits.gainLaw).not.toBe('fixed'),
    'a channel starts the captures: off and on its middle three times in 3 s': (a) =>
      expect(a.reads('capture')).toContain('three times within 3 s'),
    'a momentary for recovery later': ({ setup }) => {
      const model = withChoice(setup, {
        wish: 'panic',
        value: { way: 'replace', control: 'sh', holdS: 0.3, gainPct: 60 },
      });
      for (const sa of [-100, 0, 100]) {
        const before = model.fresh().hands({ sa, sh: -100 }).mode;
        expect(model.hands({ sh: 100 }, 0.5).mode).toBe('level');
        expect(model.hands({ sh: -100 }, 0.5).mode).toBe(before);
      }
    },
    'labelled plugs': (a) => expect(a.wires).toContain('E: Left panel servo'),
  },
  stickGestures: {
    'the wing type by a corner of its own, so many seconds, confirmed by twitches': (a) =>
      expect(a.row('wing-type')).toBe(
        'delta; hold the elevator stick away from you and the aileron stick left for 3 s; it answers with 3 twitches',
      ),
    'each direction by its own corner, and none for what is normal': (a) => {
      expect(a.row('direction pitch')).toBe('normal; factory setting: no stick gesture');
      const setup = structuredClone(a.setup);
      setup.unit.settings.axes.roll.reversed = true;
      expect(settingRows(setup).find((r) => r.id === 'direction roll')!.how).toBe(
        'hold the rudder stick right and the aileron stick right for 3 s; it answers with one twitch',
      );
    },
    'level by another corner': (a) =>
      expect(levelCaptureOf(a.setup).words).toBe(
        'hold the elevator stick back, the aileron stick right and the rudder stick left for 3 s',
      ),
    'a channel reversed on the way moves the corner': ({ setup: plain }) => {
      const setup = structuredClone(plain);
      const aileron = setup.program.outputs.find((o) => o.carries === 'aileron')!;
      aileron.reversed = true;
      expect(settingRows(setup).find((r) => r.id === 'wing-type')!.how).toContain(
        'the aileron stick right',
      );
    },
  },
};

describe.each(Object.entries(DEMANDS) as [Name, Record<string, (asked: Asked) => void>][])(
  '%s',
  (name, demands) => {
    it.each(Object.entries(demands))('%s', (_, holds) => holds(new Asked(shapes[name])));
  },
);
