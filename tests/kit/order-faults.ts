import { addLatches } from './large';
import {
  UNITS,
  TRANSMITTERS,
  buildAirframe,
  usualAnswers,
  type AirframeAnswers,
} from '@/core/catalogue';
import { composeSetup, writeWishes } from '@/core/plan';
import type { Line, ProgramWishes, Setup } from '@/core/setup';
import { kept } from './kept';
import { makeSetup } from './setups';

/** A clean Setup with its program written from wishes. */
export const wished = kept(
  (
    change: Partial<ProgramWishes> = {},
    unit: string = 'menu-receiver',
    transmitter: string = 'line-sixteen',
    answers: Partial<AirframeAnswers> = {},
  ): Setup => {
    const setup = composeSetup(
      'Test model',
      buildAirframe({ ...usualAnswers('conventional'), ...answers }),
      UNITS[unit]!,
      TRANSMITTERS[transmitter]!,
    );
    const next = writeWishes(setup, { ...setup.intents.program, ...change });
    if (!next.ok) throw new Error(next.reasons.join('; '));
    return next.setup;
  },
);

const panic = (way: 'replace' | 'offsets' | 'channel', more = {}): Partial<ProgramWishes> => ({
  panic: { way, control: 'sm', holdS: 0.3, gainPct: 60, ...more },
});
const launch: Partial<ProgramWishes> = {
  launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 },
};
const lineOf = (s: Setup, id: string): Line => {
  const found = s.program.lines.find((l) => l.id === id);
  if (!found) throw new Error(`${id} is not among ${s.program.lines.map((l) => l.id).join()}`);
  return found;
};
const drop = (s: Setup, id: string) => {
  lineOf(s, id);
  s.program.lines = s.program.lines.filter((l) => l.id !== id);
};
const satellite = () => wished({ gain: { by: 'knob', control: 'k1' } }, 'satellite-gyro');

/** A unit whose outputs have this frame. */
function framed(servoFrameMs: number): Setup {
  const setup = structuredClone(wished());
  setup.unit.settings.servoFrameMs = servoFrameMs;
  return setup;
}

/** Rule, how it is wrong, a clean start, and what spoils it. */
export type Fault = [string, string, () => Setup, (s: Setup) => void];

export const ORDER_FAULTS: Fault[] = [
  [
    'M15',
    'elevator subtrim after the capture',
    satellite,
    (s) => void (s.program.outputs.find((o) => o.carries === 'elevator')!.subtrimPct = 6),
  ],
  [
    'M15',
    'aileron trim left over',
    makeSetup,
    (s) => void (s.transmitter.controls.find((c) => c.id === 'trim-aileron')!.rest = 40),
  ],
  [
    'M15',
    'rudder subtrim, never captured',
    makeSetup,
    (s) => void (s.program.outputs.find((o) => o.carries === 'rudder')!.subtrimPct = -5),
  ],
  [
    'M16',
    'upper end of the aileron shortened',
    satellite,
    (s) => void (s.program.outputs.find((o) => o.carries === 'aileron')!.maxPct = 80),
  ],
  [
    'M16',
    'elevator turned round',
    satellite,
    (s) => void (s.program.outputs.find((o) => o.carries === 'elevator')!.reversed = true),
  ],
  ['M16', 'another scale', satellite, (s) => void (s.transmitter.pulse.usAt100 = 400)],
  ['M18', 'arrow to the tail', makeSetup, (s) => void (s.installation.mounting = 'tail-up')],
  [
    'M18',
    'picture not compared',
    () => makeSetup('v-tail'),
    (s) => void (s.unit.settings.orientation = 'nose-down'),
  ],
  ['M18', 'on its side', () => satellite(), (s) => void (s.installation.mounting = 'nose-right')],
  [
    'M21',
    'captured standing on its tail',
    makeSetup,
    (s) => void (s.installation.levelCapture = { pitchDeg: 12 }),
  ],
  [
    'M21',
    'captured along the wing chord',
    () => makeSetup('t-tail'),
    (s) =>
      void (s.installation.levelCapture = {
        pitchDeg: s.airframe.measures.flyingPitchDeg - 4,
      }),
  ],
  [
    'M21',
    'the offset in roll of the last model',
    makeSetup,
    (s) => void (s.unit.settings.levelOffsetDeg.roll = 12),
  ],
  [
    'M21',
    'a pitch offset, and level never captured',
    makeSetup,
    (s) => void (s.unit.settings.levelOffsetDeg.pitch = -9),
  ],
  [
    'M21',
    'a good capture, then a level offset',
    () => {
      const s = makeSetup();
      s.installation.levelCapture = { pitchDeg: s.airframe.measures.flyingPitchDeg };
      return s;
    },
    (s) => void (s.unit.settings.levelOffsetDeg.pitch = 3),
  ],
  [
    'M32',
    'throttle stick weighted to a fifth',
    () => makeSetup('conventional', 'fixed-order-receiver'),
    (s) => {
      const { channel } = s.program.outputs.find((o) => o.carries === 'throttle')!;
      const line = s.program.lines.find((l) => l.channel === channel && l.purpose === 'stick')!;
      Object.assign(line, { sharePct: 20, shiftPct: -80 });
    },
  ],
  [
    'M32',
    'a constant where the stick should be',
    () => makeSetup('conventional', 'fixed-order-receiver'),
    (s) => {
      const { channel } = s.program.outputs.find((o) => o.carries === 'throttle')!;
      const line = s.program.lines.find((l) => l.channel === channel && l.purpose === 'stick')!;
      Object.assign(line, { follows: { kind: 'fixed' }, sharePct: -100 });
    },
  ],
  [
    'M32',
    'the unit listens to no throttle',
    () => makeSetup('conventional', 'fixed-order-receiver'),
    (s) => {
      s.unit.settings.inputs = s.unit.settings.inputs.filter((i) => i.carries !== 'throttle');
    },
  ],
  ['M20', 'yawed by eye', makeSetup, (s) => void (s.installation.skewDeg.yaw = 5)],
  ['M20', 'one corner on more tape', makeSetup, (s) => void (s.installation.skewDeg.roll = -4)],
  ['M20', 'far off', () => satellite(), (s) => void (s.installation.skewDeg.pitch = 15)],
  ...(['menu-receiver', 'satellite-gyro', 'autopilot'] as const).map((unit): Fault => [
    'M27',
    `bought used, ${unit}`,
    () => makeSetup('conventional', unit),
    (s) => void (s.installation.secondHand = true),
  ]),
  ['M1', 'order turned round', wished, (s) => void (lineOf(s, 'mode').sharePct = -100)],
  ['M1', 'level in the first slot', wished, (s) => void (s.unit.settings.slots[0] = 'level')],
  [
    'M1',
    'home at rest',
    () => makeSetup('conventional', 'autopilot'),
    (s) => void (s.unit.settings.slots[0] = 'home'),
  ],
  ['M2', 'mode line turned round', wished, (s) => void (lineOf(s, 'mode').sharePct = -100)],
  [
    'M2',
    'mode channel reversed',
    wished,
    (s) => void (s.program.outputs.find((o) => o.carries === 'mode')!.reversed = true),
  ],
  [
    'M2',
    'two slots changed places in the unit',
    wished,
    (s) => void (s.unit.settings.slots = ['off', 'level', 'rate']),
  ],
  ['M37', 'middle mode switched off', wished, (s) => void (s.unit.settings.slots[1] = 'off')],
  ['M37', 'last mode repeats', wished, (s) => void (s.unit.settings.slots[2] = 'rate')],
  [
    'M37',
    'upper endpoint short',
    wished,
    (s) => void (s.program.outputs.find((o) => o.carries === 'mode')!.maxPct = 10),
  ],
  [
    'M8',
    'knob straight into a 0 to 100 law',
    () => wished({}, 'switch-receiver'),
    (s) => Object.assign(lineOf(s, 'gain-knob'), { sharePct: 100, shiftPct: 0 }),
  ],
  [
    'M8',
    'knob straight into a magnitude law',
    () => wished({}, 'fixed-order-receiver'),
    (s) => Object.assign(lineOf(s, 'gain-knob'), { sharePct: 100, shiftPct: 0 }),
  ],
  [
    'M8',
    'too much weight runs into the end',
    wished,
    (s) => Object.assign(lineOf(s, 'gain-knob'), { sharePct: 200, shiftPct: 0 }),
  ],
  [
    'M9',
    'knob across the middle of a sign law',
    satellite,
    (s) =>
      Object.assign(
        s.program.lines.find((l) => l.purpose === 'gain')!,
        {
          sharePct: 100,
          shiftPct: 0,
        },
      ),
  ],
  [
    'M9',
    'offset forgotten',
    satellite,
    (s) => void (s.program.lines.find((l) => l.purpose === 'gain')!.shiftPct = 0),
  ],
  [
    'M9',
    'far set written across',
    () => wished({ gain: { by: 'sets', control: 'sa', knob: 'k1', pct: 50 } }, 'satellite-gyro'),
    (s) => Object.assign(lineOf(s, 'gain-3'), { sharePct: 90, shiftPct: 0 }),
  ],
  ['M10', 'knob down, nothing sent', () => wished(panic('replace')), (s) => drop(s, 'panic-gain')],
  [
    'M10',
    'knob down, recovery channel',
    () => wished(panic('channel')),
    (s) => drop(s, 'panic-gain'),
  ],
  [
    'M10',
    'gain of panic entered as off',
    () => wished(panic('offsets')),
    (s) => void (lineOf(s, 'panic-gain').sharePct = -100),
  ],
  [
    'M11',
    'one position without its amount',
    () => wished(panic('offsets')),
    (s) => drop(s, 'panic-mode-1'),
  ],
  [
    'M11',
    'one fixed mix for all',
    () => wished(panic('offsets')),
    (s) => {
      drop(s, 'panic-mode-1');
      const line = lineOf(s, 'panic-mode-2');
      line.when = { kind: 'logic', id: 'panic-held' };
    },
  ],
  [
    'M11',
    'replacing line before the mode line',
    () => wished(panic('replace')),
    (s) => {
      const line = lineOf(s, 'panic-mode');
      s.program.lines = [line, ...s.program.lines.filter((l) => l !== line)];
    },
  ],
  [
    'M12',
    'recovery limit opened',
    () => wished(panic('channel')),
    (s) => void (s.unit.settings.recovery!.rollLimitDeg = 60),
  ],
  [
    'M12',
    'panic by mode with wide limits',
    () => {
      const s = wished(panic('replace'));
      s.unit.settings.angleLimitsDeg.roll = 30;
      return s;
    },
    (s) => void (s.unit.settings.angleLimitsDeg.roll = 70),
  ],
  [
    'M12',
    'panic by mixes with wide limits',
    () => {
      const s = wished(panic('offsets'));
      s.unit.settings.angleLimitsDeg.roll = 30;
      return s;
    },
    (s) => void (s.unit.settings.angleLimitsDeg.roll = 45),
  ],
  [
    'M13',
    'throttle held',
    () => wished({}, 'switch-receiver'),
    (s) => {
      s.program.failsafe = s.program.failsafe.map((f) =>
        f.channel === 3 ? { channel: 3, kind: 'hold' as const } : f,
      );
    },
  ],
  [
    'M13',
    'throttle preset at half',
    () => wished({}, 'switch-receiver'),
    (s) =>
      Object.assign(
        s.program.failsafe.find((f) => f.channel === 3)!,
        { valuePct: 0 },
      ),
  ],
  [
    'M13',
    'mode held, no failsafe in the unit',
    wished,
    (s) => {
      delete s.unit.settings.failsafe;
      s.program.failsafe = s.program.failsafe.map((f) =>
        f.channel === 6 ? { channel: 6, kind: 'hold' as const } : f,
      );
    },
  ],
  [
    'M23',
    'gain on a knob',
    () => wished({ gain: { by: 'fixed', pct: 40 } }),
    (s) => {
      lineOf(s, 'gain-fixed').follows = { kind: 'control', id: 'k1' };
    },
  ],
  [
    'M23',
    'gain on a slider',
    () => wished({ gain: { by: 'fixed', pct: 40 } }),
    (s) => {
      lineOf(s, 'gain-fixed').follows = { kind: 'control', id: 'l1' };
    },
  ],
  [
    'M23',
    'one set on a knob',
    () => wished({ gain: { by: 'sets', control: 'sa', pct: 50 } }, 'satellite-gyro'),
    (s) => {
      lineOf(s, 'gain-1').follows = { kind: 'control', id: 'k2' };
    },
  ],
  [
    'M30',
    'elevator reversed',
    makeSetup,
    (s) => void (s.program.outputs.find((o) => o.carries === 'elevator')!.reversed = true),
  ],
  [
    'M30',
    'throttle reversed inside',
    () => makeSetup('conventional', 'fixed-order-receiver', 'line-eight'),
    (s) => {
      s.transmitter.throttleReversedInside = true;
      s.transmitter.defaultOrder = ['aileron', 'elevator', 'throttle', 'rudder'];
    },
  ],
  [
    'M30',
    'aileron line negative',
    () => satellite(),
    (s) =>
      void (s.program.lines.find((l) => l.channel === 1 && l.purpose === 'stick')!.sharePct = -100),
  ],
  [
    'M33',
    'hold in normal flight',
    () => wished({ modes: { switches: ['sa'], table: ['off', 'rate', 'hold'] } }),
    (s) => void (s.unit.settings.axes.yaw.holdAllowed = true),
  ],
  [
    'M33',
    'hold on a satellite',
    satellite,
    (s) => void (s.unit.settings.axes.yaw.holdAllowed = true),
  ],
  [
    'M33',
    'hover only, worth a note',
    () => makeSetup('conventional', 'wizard-receiver'),
    (s) => {
      s.unit.settings.slots = ['off', 'rate', 'hover'];
      s.unit.settings.axes.yaw.holdAllowed = true;
    },
  ],
  [
    'M36',
    'nothing written down',
    () => versioned(),
    (s) => void (s.installation.unitHardware = ' '),
  ],
  ['M36', 'firmware unknown', () => versioned(), (s) => void (s.installation.unitFirmware = '')],
  [
    'M36',
    'both unknown',
    () => versioned(),
    (s) => Object.assign(s.installation, { unitHardware: '', unitFirmware: '' }),
  ],
  [
    'M38',
    'sign turned round',
    () => wished(launch),
    (s) => void (lineOf(s, 'launch-elevator').sharePct *= -1),
  ],
  [
    'M38',
    'servo reversed afterwards',
    () => wished(launch),
    (s) => {
      s.airframe.servos.find((v) => v.carries === 'elevator')!.rotation = 'reversed';
    },
  ],
  [
    'M38',
    'rod moved to the other side of the arm',
    () => wished(launch),
    (s) => {
      s.airframe.surfaces.find((v) => v.role === 'elevator')!.linkage.sense = 'opposite';
    },
  ],
  [
    'M39',
    'launch at a touch',
    () => wished(launch),
    (s) => {
      s.program.logic = s.program.logic.map((l) =>
        l.id === 'launch-held' && l.op === 'delay' ? { ...l, onS: 0 } : l,
      );
      s.intents.program.launch!.holdS = 0;
    },
  ],
  [
    'M39',
    'panic at a touch',
    () => wished(panic('replace')),
    (s) => void (lineOf(s, 'panic-mode').when = { kind: 'switch', control: 'sm', position: 1 }),
  ],
  [
    'M39',
    'recovery without any delay',
    () => wished(panic('channel')),
    (s) => {
      s.unit.settings.recovery!.delayMs = 0;
      lineOf(s, 'panic-recovery').when = { kind: 'switch', control: 'sm', position: 1 };
    },
  ],
  [
    'M48',
    'low rate everywhere',
    wished,
    (s) => {
      for (const i of s.program.inputs) if (i.id !== 'throttle') i.rates[0]!.sharePct = 70;
    },
  ],
  [
    'M48',
    'low aileron rate on a switch',
    wished,
    (s) =>
      void s.program.inputs
        .find((i) => i.id === 'aileron')!
        .rates.unshift({
          when: { kind: 'switch', control: 'sb', position: 2 },
          sharePct: 50,
          expoPct: 0,
        }),
  ],
  [
    'M48',
    'low rates in the stabilized modes',
    () =>
      wished({
        rates: {
          by: 'mode',
          off: { pct: 50, expoPct: 30 },
          on: { pct: 100, expoPct: 20 },
        },
      }),
    (s) => {
      for (const i of s.program.inputs) if (i.rates.length > 1) i.rates.at(-1)!.sharePct = 60;
    },
  ],
  [
    'M49',
    'middle value off the middle',
    wished,
    (s) => Object.assign(lineOf(s, 'mode'), { sharePct: 100, shiftPct: 31 }),
  ],
  [
    'M49',
    'endpoint just inside a band',
    wished,
    (s) => void (s.program.outputs.find((o) => o.carries === 'mode')!.maxPct = 34),
  ],
  [
    'M49',
    'value between two bands of the unit',
    wished,
    (s) => {
      const select = s.unit.traits.modeSelect;
      if (select.by === 'bands') select.bands[1]!.toUs = 1495;
    },
  ],
  [
    'M50',
    'no off anywhere, gain fixed',
    () => wished({ gain: { by: 'fixed', pct: 50 } }),
    (s) => void (s.unit.settings.slots = ['rate', 'rate', 'level']),
  ],
  [
    'M50',
    'off needs two switches',
    () =>
      wished({
        gain: { by: 'fixed', pct: 50 },
        modes: { switches: ['sa', 'sh'], table: ['off', 'off', 'rate', 'level', 'level', 'level'] },
      }),
    (s) => {
      lineOf(s, 'mode-2').sharePct = 0;
    },
  ],
  [
    'M50',
    'knob no longer reaches none, no off mode',
    wished,
    (s) => {
      s.unit.settings.slots = ['rate', 'rate', 'level'];
      Object.assign(lineOf(s, 'gain-knob'), { sharePct: 50, shiftPct: 30 });
    },
  ],
  [
    'frame',
    'one analogue servo among digital ones',
    () => framed(11),
    (s) => void (s.airframe.servos[0]!.pulse = 'analog'),
  ],
  [
    'frame',
    'all servos analogue',
    () => framed(9),
    (s) => s.airframe.servos.forEach((servo) => (servo.pulse = 'analog')),
  ],
  [
    'frame',
    'frame shortened over a slow servo',
    () => {
      const setup = framed(20);
      setup.airframe.servos.at(-1)!.pulse = 'analog';
      return setup;
    },
    (s) => void (s.unit.settings.servoFrameMs = 14),
  ],
  ...([8, 9, 11] as const).map((latches): Fault => [
    'proof',
    `${latches} latches in one channel`,
    wished,
    (s) => addLatches(s, latches),
  ]),
];

function versioned(): Setup {
  const setup = wished();
  setup.installation.unitHardware = '2';
  setup.installation.unitFirmware = '1.4';
  return setup;
}
