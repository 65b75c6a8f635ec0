import type { ChannelFunction, Condition, Line, Setup } from '@/core/setup';
import { addLine, addLogic, at, channelOf, outputOf } from './add-entries';
import { wished } from './order-faults';
import { GANG_MUTATIONS } from './gang-faults';
import { GESTURE_MUTATIONS } from './gesture-faults';
import { MIX_FAULTS } from './mix-faults';
import { makeSetup } from './setups';
import { USUAL_STEERING } from '@/core/catalogue';
import { applyPatch } from '@/core/patch';
import { setSteeringEnds, writeWishes } from '@/core/plan';

/** A way to be wrong: the requirement it breaks, in words, a clean Setup, and what spoils it. */
export interface Mutation {
  requirement: string;
  words: string;
  start: () => Setup;
  spoil: (setup: Setup) => void;
  /** Some things are not wrong enough to stop anybody. */
  severity?: 'caution';
}

const both = (...of: Condition[]): Condition => ({ kind: 'all', of });
const m = (
  requirement: string,
  words: string,
  spoil: (s: Setup) => void,
  start: () => Setup = () => wished(),
  severity?: 'caution',
): Mutation => ({ requirement, words, start, spoil, ...(severity ? { severity } : {}) });

const panicky =
  (way: 'replace' | 'offsets' | 'channel' = 'replace', holdS = 0.2) =>
  () =>
    wished({ panic: { way, control: 'sm', holdS, gainPct: 60 } });
const gliding = () => wished({ failsafe: { school: 'glide', pitchDeg: 3, rollDeg: 0 } });
const helped = () =>
  wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } });

/** What raises the motor, whatever holds it down: used by three requirements about it. */
const RAISES: [string, (s: Setup) => void][] = [
  [
    'two switches together',
    (s) => addLine(s, 'throttle', { when: both(at('sb', 2), at('sc', 0)) }),
  ],
  [
    'two seconds after a switch',
    (s) =>
      addLine(s, 'throttle', {
        when: addLogic(s, { op: 'delay', of: at('sd', 2), onS: 2, offS: 0 }),
      }),
  ],
  [
    'a slider in a line',
    (s) => addLine(s, 'throttle', { follows: { kind: 'control', id: 'l2' }, sharePct: 60 }),
  ],
  [
    'a latch nobody lets go',
    (s) =>
      addLine(s, 'throttle', {
        when: addLogic(s, { op: 'latch', set: at('se', 2), reset: both(at('se', 0), at('sf', 0)) }),
      }),
  ],
  [
    'a knob past a threshold',
    (s) =>
      addLine(s, 'throttle', {
        when: addLogic(s, { op: 'greater', follows: { kind: 'control', id: 'k2' }, valuePct: 63 }),
      }),
  ],
  [
    'a curve with a spike between middle and end of a knob',
    (s) => {
      s.program.shapes.push({
        id: 'spike',
        label: 'Spike',
        points: [
          { inPct: -100, outPct: 0 },
          { inPct: 40, outPct: 0 },
          { inPct: 45, outPct: 90 },
          { inPct: 50, outPct: 0 },
          { inPct: 100, outPct: 0 },
        ],
      });
      addLine(s, 'throttle', { follows: { kind: 'control', id: 'k2' }, shape: 'spike' });
    },
  ],
  [
    'a variable on a trim lever',
    (s) => {
      s.program.variables.push({
        id: 'idle',
        label: 'Idle',
        valuePct: 0,
        adjust: { control: 'trim-rudder', rangePct: 40 },
      });
      addLine(s, 'throttle', { follows: { kind: 'variable', id: 'idle' } });
    },
  ],
  [
    'three flicks of a switch',
    (s) => {
      const flicked = addLogic(s, { op: 'toggles', of: at('sf', 2), count: 3, withinS: 2 });
      addLine(s, 'throttle', {
        when: addLogic(s, { op: 'latch', set: flicked, reset: at('sf', 1) }),
      });
    },
  ],
  [
    'another channel past a threshold',
    (s) =>
      addLine(s, 'throttle', {
        when: addLogic(s, {
          op: 'greater',
          follows: { kind: 'channel', channel: channelOf(s, 'rudder') },
          valuePct: 30,
        }),
      }),
  ],
];

const MOTOR: Mutation[] = [
  ...RAISES.flatMap(([words, spoil]) => [
    m('motor-cut', words, spoil),
    m('motor-low', words, spoil),
  ]),
  m('motor-low', 'throttle channel reversed', (s) => (outputOf(s, 'throttle').reversed = true)),
  m('motor-low', 'subtrim 15', (s) => (outputOf(s, 'throttle').subtrimPct = 15)),
  m('motor-low', 'controller taught another stop', (s) => (s.airframe.motors[0]!.stopUs = 900)),
  m('motor-cut', 'the cut lets go after two seconds', (s) => {
    const cut = s.program.lines.find((l) => l.purpose === 'throttle-cut')!;
    cut.when = { kind: 'not', of: addLogic(s, { op: 'delay', of: cut.when!, onS: 2, offS: 0 }) };
    cut.when = both(at('sg', 0), cut.when);
  }),
  m('motor-rest', 'no cut at all', (s) => {
    s.program.lines = s.program.lines.filter((l) => l.purpose !== 'throttle-cut');
  }),
  m('motor-rest', 'cut off where the switch rests', (s) => {
    s.transmitter.controls.find((c) => c.id === 'sg')!.rest = 100;
  }),
  m('motor-rest', 'cut too high', (s) => {
    s.program.lines.find((l) => l.purpose === 'throttle-cut')!.sharePct = -60;
  }),
  m('motor-rest', 'cut before the stick', (s) => {
    const cut = s.program.lines.findIndex((l) => l.purpose === 'throttle-cut');
    s.program.lines.unshift(...s.program.lines.splice(cut, 1));
  }),
  m('motor-rest', 'cut on the wrong channel', (s) => {
    s.program.lines.find((l) => l.purpose === 'throttle-cut')!.channel = 12;
  }),
  m('motor-rest', 'cut waits for another switch', (s) => {
    const cut = s.program.lines.find((l) => l.purpose === 'throttle-cut')!;
    cut.when = both(cut.when!, at('sb', 2));
  }),
  m('motor-rest', 'cut adds instead of taking over', (s) => {
    const cut = s.program.lines.find((l) => l.purpose === 'throttle-cut')!;
    cut.effect = 'adds';
    cut.sharePct = -30;
  }),
  m('motor-rest', 'a slider adds after the cut', (s) =>
    addLine(s, 'throttle', { follows: { kind: 'control', id: 'l1' }, sharePct: 50, shiftPct: 50 }),
  ),
  ...(
    [
      ['throttle held', (s) => lost(s, 'throttle', 'hold')],
      ['nothing said of the throttle', (s) => lost(s, 'throttle', undefined)],
      ['throttle preset at half', (s) => lost(s, 'throttle', 0)],
      ['throttle preset a little up', (s) => lost(s, 'throttle', -85)],
      ['throttle preset at full', (s) => lost(s, 'throttle', 100)],
      [
        'throttle port reversed',
        (s) => {
          s.unit.settings.outputs.find((o) => o.carries === 'throttle')!.reversed = true;
        },
      ],
      [
        'controller taught upside down',
        (s) => Object.assign(s.airframe.motors[0]!, { stopUs: 2012, fullUs: 988 }),
      ],
      [
        'preset on the wrong channel',
        (s) => {
          const own = s.program.failsafe.find((f) => f.channel === channelOf(s, 'throttle'))!;
          own.channel = 14;
        },
      ],
    ] as [string, (s: Setup) => void][]
  ).map(([words, spoil]) =>
    m('motor-lost', words, spoil, () =>
      wished({ failsafe: { school: 'motor-off', pitchDeg: 0, rollDeg: 0 } }),
    ),
  ),
];

function lost(s: Setup, carries: ChannelFunction, value: number | 'hold' | undefined): void {
  const channel = channelOf(s, carries);
  s.program.failsafe = s.program.failsafe.filter((f) => f.channel !== channel);
  if (value === 'hold') s.program.failsafe.push({ channel, kind: 'hold' });
  else if (value !== undefined)
    s.program.failsafe.push({ channel, kind: 'preset', valuePct: value });
}

const throttleLine = (s: Setup) =>
  s.program.lines.find((l) => l.channel === channelOf(s, 'throttle') && l.purpose === 'stick')!;
const shaped = (s: Setup, on: Line, points: [number, number][]) => {
  s.program.shapes.push({
    id: 'drawn',
    label: 'Drawn',
    points: points.map(([inPct, outPct]) => ({ inPct, outPct })),
  });
  on.shape = 'drawn';
};
const car = () => makeSetup('car', 'steering-receiver', 'surface-four');
const THROTTLE: Mutation[] = (
  [
    [
      'falls again at the top',
      (s) =>
        shaped(s, throttleLine(s), [
          [-100, -100],
          [60, 80],
          [100, 20],
        ]),
    ],
    [
      'a dent half way',
      (s) =>
        shaped(s, throttleLine(s), [
          [-100, -100],
          [0, 20],
          [10, -30],
          [100, 100],
        ]),
    ],
    [
      'folded in one switch position',
      (s) =>
        addLine(s, 'throttle', {
          follows: { kind: 'control', id: 'stick-throttle' },
          sharePct: -150,
          shiftPct: -60,
          when: both(at('sd', 2), at('sg', 1)),
        }),
    ],
    [
      'a fifth of the motor',
      (s) => Object.assign(throttleLine(s), { sharePct: 20, shiftPct: -80 }),
    ],
    [
      'a constant in place of the stick',
      (s) => Object.assign(throttleLine(s), { follows: { kind: 'fixed' }, sharePct: -100 }),
    ],
    [
      'less above a threshold',
      (s) =>
        addLine(s, 'throttle', {
          sharePct: -50,
          when: addLogic(s, {
            op: 'greater',
            follows: { kind: 'control', id: 'stick-throttle' },
            valuePct: 70,
          }),
        }),
    ],
    [
      'the more the longer the less',
      (s) =>
        addLine(s, 'throttle', {
          follows: { kind: 'control', id: 'stick-throttle' },
          sharePct: -150,
          when: addLogic(s, { op: 'delay', of: at('sd', 2), onS: 2, offS: 0 }),
        }),
    ],
    [
      'motor in no plug',
      (s) => {
        const [motor] = s.airframe.motors;
        s.installation.plugs = s.installation.plugs.filter((p) => !p.drives.includes(motor!.id));
      },
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => m('throttle', words, spoil));
const TRIGGER: Mutation[] = [
  m('throttle', 'trigger reversed', (s) => (outputOf(s, 'throttle').reversed = true), car),
  m(
    'throttle',
    'both sides of the trigger drive',
    (s) =>
      shaped(s, throttleLine(s), [
        [-100, 60],
        [0, 0],
        [100, 100],
      ]),
    car,
  ),
];

const LEVEL: Mutation[] = (
  [
    ['offset of −15° in pitch', (s) => (s.unit.settings.levelOffsetDeg.pitch = -15)],
    ['offset of 15° in pitch', (s) => (s.unit.settings.levelOffsetDeg.pitch = 15)],
    ['offset of 10° in roll', (s) => (s.unit.settings.levelOffsetDeg.roll = 10)],
    ['offset of −7° in roll', (s) => (s.unit.settings.levelOffsetDeg.roll = -7)],
    ['captured standing on its tail', (s) => (s.installation.levelCapture = { pitchDeg: 14 })],
    [
      'captured nose down',
      (s) => (s.installation.levelCapture = { pitchDeg: s.airframe.measures.flyingPitchDeg - 9 }),
    ],
    [
      'a good capture and an old offset',
      (s) => {
        s.installation.levelCapture = { pitchDeg: s.airframe.measures.flyingPitchDeg };
        s.unit.settings.levelOffsetDeg.pitch = 8;
      },
    ],
    ['upside down, not told', (s) => (s.installation.mounting = 'nose-down')],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => m('level', words, spoil));

const elevatorLine = (s: Setup) =>
  s.program.lines.find((l) => l.channel === channelOf(s, 'elevator'))!;

const STICKS: Mutation[] = [
  m('sticks', 'no line on the elevator channel', (s) => {
    s.program.lines = s.program.lines.filter((l) => l.channel !== channelOf(s, 'elevator'));
  }),
  m('sticks', 'servo in no plug', (s) => {
    s.installation.plugs = s.installation.plugs.filter((p) => !p.drives.includes('rudder'));
  }),
  m('sticks', 'ends of nothing', (s) =>
    Object.assign(outputOf(s, 'elevator'), { minPct: 0, maxPct: 0 }),
  ),
  m('sticks', 'one end of nothing', (s) => (outputOf(s, 'aileron').maxPct = 0)),
  m('sticks', 'reversed in another switch position', (s) =>
    addLine(s, 'elevator', {
      follows: { kind: 'input', id: 'elevator' },
      sharePct: -200,
      when: at('sd', 2),
    }),
  ),
  m('sticks', 'reversed by a knob that scales it', (s) =>
    addLine(s, 'rudder', { follows: { kind: 'control', id: 'k2' }, effect: 'scales' }),
  ),
  m('sticks', 'switched off by two switches', (s) =>
    addLine(s, 'aileron', {
      sharePct: 0,
      effect: 'takes-over',
      when: both(at('sd', 0), at('se', 2)),
    }),
  ),
  m('sticks', 'gone after a second', (s) =>
    addLine(s, 'rudder', {
      sharePct: 0,
      effect: 'takes-over',
      when: addLogic(s, { op: 'delay', of: at('sf', 2), onS: 1, offS: 0 }),
    }),
  ),
  m('sticks', 'turned back by a curve', (s) => {
    s.program.shapes.push({
      id: 'bent',
      label: 'Bent',
      points: [
        { inPct: -100, outPct: -100 },
        { inPct: 30, outPct: 60 },
        { inPct: 70, outPct: 10 },
        { inPct: 100, outPct: 100 },
      ],
    });
    elevatorLine(s).shape = 'bent';
  }),
  m('sticks', 'channel not told to the unit', (s) => {
    s.unit.settings.inputs = s.unit.settings.inputs.filter((i) => i.carries !== 'rudder');
  }),
  m('sticks-alone', 'rudder on the elevator channel', (s) =>
    addLine(s, 'elevator', { follows: { kind: 'input', id: 'rudder' }, sharePct: 40 }),
  ),
  m(
    'sticks-alone',
    'rudder line on a V-tail’s elevator channel',
    (s) => addLine(s, 'aileron', { follows: { kind: 'input', id: 'rudder' }, sharePct: 50 }),
    () => makeSetup('v-tail'),
  ),
  m('sticks-alone', 'delta set on a plain model', (s) => (s.unit.settings.wingType = 'delta')),
  m('sticks-alone', 'V-tail set on a plain model', (s) => (s.unit.settings.wingType = 'v-tail')),
  m('sticks-alone', 'throttle on the rudder', (s) =>
    addLine(s, 'rudder', { follows: { kind: 'control', id: 'stick-throttle' }, sharePct: 30 }),
  ),
  m('sticks-alone', 'aileron on the rudder in one position', (s) =>
    addLine(s, 'rudder', {
      follows: { kind: 'input', id: 'aileron' },
      sharePct: 50,
      when: both(at('sd', 2), at('se', 1)),
    }),
  ),
  m('sticks-alone', 'servos changed over', (s) => {
    const [, a, b] = s.installation.plugs;
    [a!.drives, b!.drives] = [b!.drives, a!.drives];
  }),
  m('sticks-alone', 'elevator follows the aileron channel', (s) =>
    addLine(s, 'elevator', {
      follows: { kind: 'channel', channel: channelOf(s, 'aileron') },
      sharePct: 30,
    }),
  ),
  m('sticks-alone', 'a stick past a threshold kicks the elevator', (s) =>
    addLine(s, 'elevator', {
      sharePct: 30,
      when: addLogic(s, {
        op: 'greater',
        follows: { kind: 'control', id: 'stick-rudder' },
        valuePct: 60,
      }),
    }),
  ),
];

const flapped = () => wished({}, 'menu-receiver', 'line-sixteen', { flaps: true, gear: true });

const DEVICES: Mutation[] = [
  m(
    'devices',
    'no line for the flaps',
    (s) => {
      s.program.lines = s.program.lines.filter((l) => l.channel !== channelOf(s, 'flap'));
    },
    flapped,
  ),
  m(
    'devices',
    'gear in no plug',
    (s) => {
      s.installation.plugs = s.installation.plugs.filter((p) => !p.drives.includes('gear'));
    },
    flapped,
  ),
  m(
    'devices',
    'gear ends of nothing',
    (s) => Object.assign(outputOf(s, 'gear'), { minPct: 0, maxPct: 0 }),
    flapped,
  ),
  m(
    'devices',
    'flap line weighs nothing',
    (s) => {
      s.program.lines.find((l) => l.channel === channelOf(s, 'flap'))!.sharePct = 0;
    },
    flapped,
  ),
  m(
    'devices',
    'gear held by a later line',
    (s) => addLine(s, 'gear', { effect: 'takes-over' }),
    flapped,
  ),
  m(
    'devices',
    'flap channel beyond the link',
    (s) => {
      const flap = outputOf(s, 'flap');
      for (const l of s.program.lines) if (l.channel === flap.channel) l.channel = 12;
      s.unit.settings.inputs.find((i) => i.carries === 'flap')!.channel = 12;
      flap.channel = 12;
      s.transmitter.link = 'short';
    },
    flapped,
  ),
  m(
    'devices',
    'flap follows a variable nobody moves',
    (s) => {
      s.program.variables.push({ id: 'f', label: 'F', valuePct: 20 });
      s.program.lines.find((l) => l.channel === channelOf(s, 'flap'))!.follows = {
        kind: 'variable',
        id: 'f',
      };
    },
    flapped,
  ),
  m(
    'devices',
    'gear not told to the unit',
    (s) => {
      s.unit.settings.inputs = s.unit.settings.inputs.filter(
        (i) => !['gear', 'flap'].includes(i.carries),
      );
    },
    flapped,
  ),
];

const rod = (s: Setup, id: string) => s.airframe.surfaces.find((x) => x.id === id)!.linkage;
const LINKAGES: Mutation[] = (
  [
    [
      'horn shorter than the arm',
      (s) => {
        Object.assign(rod(s, 'rudder'), { armMm: 20, hornMm: 15 });
        Object.assign(outputOf(s, 'rudder'), { minPct: -150, maxPct: 150 });
        addLine(s, 'rudder', { follows: { kind: 'input', id: 'rudder' }, sharePct: 20 });
      },
    ],
    [
      'ends far out',
      (s) => {
        Object.assign(rod(s, 'elevator'), { armMm: 20, hornMm: 15 });
        Object.assign(outputOf(s, 'elevator'), { minPct: -140, maxPct: 140 });
      },
    ],
    [
      'subtrim and ends',
      (s) => {
        Object.assign(rod(s, 'rudder'), { armMm: 20, hornMm: 15 });
        Object.assign(outputOf(s, 'rudder'), { minPct: -130, maxPct: 130, subtrimPct: 40 });
      },
    ],
    [
      'arm far off square',
      (s) => {
        Object.assign(rod(s, 'rudder'), { armOffsetDeg: 50 });
        Object.assign(outputOf(s, 'rudder'), { minPct: -130, maxPct: 130 });
      },
    ],
    [
      'arm far off square the other way',
      (s) => {
        Object.assign(rod(s, 'elevator'), { armOffsetDeg: -50 });
        Object.assign(outputOf(s, 'elevator'), { minPct: -130, maxPct: 130 });
      },
    ],
    [
      'a servo that turns further',
      (s) => {
        for (const v of s.airframe.servos) Object.assign(v, { degAt500Us: 75, limitDeg: 110 });
        Object.assign(outputOf(s, 'elevator'), { minPct: -140, maxPct: 140 });
      },
    ],
    [
      'a mix that adds to full stick',
      (s) => {
        Object.assign(rod(s, 'aileron-left'), { armMm: 20, hornMm: 15 });
        Object.assign(outputOf(s, 'aileron'), { minPct: -140, maxPct: 140 });
        addLine(s, 'aileron', { follows: { kind: 'input', id: 'aileron' }, sharePct: 50 });
      },
    ],
    [
      'in one switch position only',
      (s) => {
        Object.assign(rod(s, 'rudder'), { armMm: 20, hornMm: 15 });
        Object.assign(outputOf(s, 'rudder'), { minPct: -150, maxPct: 150 });
        addLine(s, 'rudder', {
          follows: { kind: 'input', id: 'rudder' },
          sharePct: 50,
          when: at('sd', 2),
        });
      },
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => m('linkages', words, spoil));

/** A car whose steering is measured, its ends at the stops. */
function measuredCar(): Setup {
  const setup = makeSetup('car', 'steering-receiver', 'surface-four');
  setup.airframe.steering = { ...USUAL_STEERING };
  return applyPatch(setup, setSteeringEnds(setup)) as Setup;
}
const steer = (s: Setup) => s.airframe.steering!;

const PAST_STOP = (
  [
    ['left stop nearer', (s) => (steer(s).lockLeftDeg = 20)],
    ['right stop nearer', (s) => (steer(s).lockRightDeg = 20)],
    ['a longer servo arm', (s) => (steer(s).armMm = 22)],
    ['shorter knuckles', (s) => (steer(s).knuckleMm = 14)],
    [
      'ends as they come',
      (s) => Object.assign(outputOf(s, 'steering'), { minPct: -140, maxPct: 140 }),
    ],
    ['a servo that turns further', (s) => (s.airframe.servos[0]!.degAt500Us = 60)],
    ['a rack in place of the crank', (s) => Object.assign(steer(s), { by: 'rack', armMm: 22 })],
    [
      'a mix of the trigger that helps steering',
      (s) => {
        outputOf(s, 'steering').maxPct = 150;
        outputOf(s, 'steering').minPct = -150;
        addLine(s, 'steering', {
          follows: { kind: 'control', id: 'trigger' },
          sharePct: 40,
          purpose: 'mix',
        });
      },
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => m('steering-stop', words, spoil, measuredCar));

const port = (s: Setup, carries: ChannelFunction) =>
  s.unit.settings.outputs.find((o) => o.carries === carries)!;
const CORRECTIONS: Mutation[] = (
  [
    ['roll reversed in the unit', (s) => (s.unit.settings.axes.roll.reversed = true)],
    ['pitch reversed in the unit', (s) => (s.unit.settings.axes.pitch.reversed = true)],
    ['one port corrects backwards', (s) => (port(s, 'elevator').correctionReversed = true)],
    [
      'no gain in any position',
      (s) => {
        s.program.lines = s.program.lines.filter((l) => l.purpose !== 'gain');
        addLine(s, 'gain', { sharePct: -100, purpose: 'gain' });
      },
    ],
    [
      'ailerons not steadied',
      (s) => {
        for (const o of s.unit.settings.outputs)
          if (o.carries.startsWith('aileron')) o.stabilized = false;
      },
    ],
    ['maximum gain 1 %', (s) => (port(s, 'elevator').maxGainPct = 1)],
    ['maximum gain 0', (s) => (port(s, 'aileron').maxGainPct = 0)],
    ['mounted a quarter turned', (s) => (s.installation.mounting = 'left-up')],
    ['mounted tail first', (s) => (s.installation.mounting = 'tail-up')],
    [
      'axis gains of nothing',
      (s) => {
        for (const axis of ['roll', 'pitch', 'yaw'] as const)
          s.unit.settings.axes[axis].gainPct = 0;
      },
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) =>
  m(
    'corrections',
    words,
    spoil,
    () => wished(),
    // An axis whose outputs pass the sticks on may be so on purpose.
    words === 'ailerons not steadied' ? 'caution' : undefined,
  ),
);
const ONE_SIDE = m(
  'corrections',
  'one aileron of two not steadied',
  (s) => (port(s, 'aileron2').stabilized = false),
  () => wished({}, 'menu-receiver', 'line-sixteen', { ailerons: 'two-outputs' }),
);

const modeLine = (s: Setup) => s.program.lines.find((l) => l.purpose === 'mode')!;
const MODES: Mutation[] = [
  ...(
    [
      [
        'mode line turned round',
        (s) =>
          Object.assign(modeLine(s), {
            sharePct: -modeLine(s).sharePct,
            shiftPct: -modeLine(s).shiftPct,
          }),
      ],
      [
        'off gone by another switch',
        (s) => addLine(s, 'mode', { effect: 'takes-over', sharePct: 0, when: at('sd', 2) }),
      ],
      [
        'off gone by two switches',
        (s) => addLine(s, 'mode', { effect: 'takes-over', when: both(at('sd', 2), at('se', 0)) }),
      ],
      [
        'off gone by a slider',
        (s) => addLine(s, 'mode', { follows: { kind: 'control', id: 'l2' } }),
      ],
      [
        'off gone after three seconds',
        (s) =>
          addLine(s, 'mode', {
            effect: 'takes-over',
            when: addLogic(s, { op: 'delay', of: at('se', 2), onS: 3, offS: 0 }),
          }),
      ],
      [
        'a variable on a lever overrides it',
        (s) => {
          s.program.variables.push({
            id: 'v',
            label: 'V',
            valuePct: 0,
            adjust: { control: 'trim-rudder', rangePct: 100 },
          });
          addLine(s, 'mode', { follows: { kind: 'variable', id: 'v' } });
        },
      ],
      [
        'a latch keeps it on',
        (s) =>
          addLine(s, 'mode', {
            effect: 'takes-over',
            sharePct: 0,
            when: addLogic(s, { op: 'latch', set: at('sf', 2), reset: at('sf', 1) }),
          }),
      ],
      ['slots changed in the unit', (s) => (s.unit.settings.slots = ['level', 'rate', 'off'])],
      [
        'unit listens to another channel',
        (s) => (s.unit.settings.inputs.find((i) => i.carries === 'mode')!.channel = 11),
      ],
    ] as [string, (s: Setup) => void][]
  ).map(([words, spoil]) => m('modes', words, spoil)),
  ...(
    [
      ['a value on the edge', -66],
      ['a value near the lower edge', -32.4],
      ['a value near the upper edge', 32],
      ['a value a hair inside', 31.9],
      ['a value a hair outside', 33.2],
      ['another a hair below', -33.1],
      ['another a hair above', -31.8],
      ['just beyond the upper edge', 34],
    ] as const
  ).map(([words, value]) =>
    m('mode-margins', words, (s) => {
      addLine(s, 'mode', {
        sharePct: value === -66 ? -33 : value,
        when: at('sa', 1),
        effect: 'takes-over',
        purpose: 'mode',
      });
    }),
  ),
];

const REST: Mutation[] = (
  [
    ['levelling at rest', (s) => (s.unit.settings.slots = ['level', 'rate', 'off'])],
    ['panic rests pressed', (s) => (s.transmitter.controls.find((c) => c.id === 'sm')!.rest = 100)],
    [
      'levelling half a second after power-up',
      (s) =>
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, { op: 'delay', of: at('sa', 0), onS: 0.5, offS: 0 }),
        }),
    ],
    [
      'the mode switch rests near',
      (s) => (s.transmitter.controls.find((c) => c.id === 'sa')!.rest = 100),
    ],
    [
      'a knob at rest adds up to levelling',
      (s) => addLine(s, 'mode', { sharePct: 0, shiftPct: 200 }),
    ],
    [
      'two delays one after another',
      (s) => {
        const first = addLogic(s, { op: 'delay', of: at('sa', 0), onS: 0.5, offS: 0 });
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, { op: 'delay', of: first, onS: 0.5, offS: 0 }),
        });
      },
    ],
    [
      'a line for every switch at rest',
      (s) => addLine(s, 'mode', { effect: 'takes-over', when: both(at('sd', 0), at('se', 0)) }),
    ],
    ['mode channel reversed', (s) => (outputOf(s, 'mode').reversed = true)],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => ({
  ...m('rest', words, spoil, panicky()),
  ...(words.startsWith('panic') ? {} : { severity: 'caution' as const }),
}));

const gainLine = (s: Setup) => s.program.lines.find((l) => l.purpose === 'gain')!;
const GAIN: Mutation[] = (
  [
    [
      'both ends full, by a curve',
      (s) => {
        s.program.shapes.push({
          id: 'v',
          label: 'V',
          points: [
            { inPct: -100, outPct: 100 },
            { inPct: 0, outPct: -100 },
            { inPct: 100, outPct: 100 },
          ],
        });
        gainLine(s).shape = 'v';
      },
      'stop',
    ],
    [
      'half the way dead',
      (s) => {
        s.program.shapes.push({
          id: 'h',
          label: 'H',
          points: [
            { inPct: -100, outPct: -100 },
            { inPct: 0, outPct: -100 },
            { inPct: 100, outPct: 100 },
          ],
        });
        gainLine(s).shape = 'h';
      },
      'caution',
    ],
    [
      'rises and falls',
      (s) => {
        s.program.shapes.push({
          id: 'w',
          label: 'W',
          points: [
            { inPct: -100, outPct: -100 },
            { inPct: 20, outPct: 80 },
            { inPct: 60, outPct: -20 },
            { inPct: 100, outPct: 100 },
          ],
        });
        gainLine(s).shape = 'w';
      },
      'caution',
    ],
    ['a third of the gain', (s) => Object.assign(gainLine(s), { sharePct: 30 }), 'caution'],
    [
      'never down to nothing',
      (s) => Object.assign(gainLine(s), { sharePct: 30, shiftPct: 70 }),
      'caution',
    ],
    [
      'dead in one position of a switch',
      (s) => addLine(s, 'gain', { sharePct: 100, effect: 'adds', when: at('sd', 2) }),
      'caution',
    ],
    ['ends cut short', (s) => Object.assign(outputOf(s, 'gain'), { maxPct: 0 }), 'caution'],
    [
      'a narrow spike of a curve',
      (s) => {
        s.program.shapes.push({
          id: 'n',
          label: 'N',
          points: [
            { inPct: -100, outPct: -100 },
            { inPct: 41, outPct: 41 },
            { inPct: 44, outPct: -100 },
            { inPct: 47, outPct: 47 },
            { inPct: 100, outPct: 100 },
          ],
        });
        gainLine(s).shape = 'n';
      },
      'caution',
    ],
    [
      'folded by a second line',
      (s) =>
        addLine(s, 'gain', {
          follows: { kind: 'control', id: 'k1' },
          sharePct: -200,
          when: addLogic(s, {
            op: 'greater',
            follows: { kind: 'control', id: 'k1' },
            valuePct: 10,
          }),
        }),
      'caution',
    ],
  ] as [string, (s: Setup) => void, 'stop' | 'caution'][]
).map(([words, spoil, severity]) =>
  m('gain', words, spoil, () => wished(), severity === 'caution' ? 'caution' : undefined),
);

const panicLine = (s: Setup) =>
  s.program.lines.find((l) => l.purpose === 'panic' && l.channel === channelOf(s, 'mode'))!;
const PANIC: Mutation[] = [
  ...(
    [
      ['leads to off', (s) => (panicLine(s).sharePct = -100)],
      [
        'ailerons not steadied',
        (s) => {
          for (const o of s.unit.settings.outputs)
            if (o.carries.startsWith('aileron')) o.stabilized = false;
        },
      ],
      ['maximum gain 1 %', (s) => (port(s, 'aileron').maxGainPct = 1)],
      [
        'held 3.5 s',
        (s) => {
          for (const l of s.program.logic)
            if (l.id === 'panic-held' && l.op === 'delay') l.onS = 3.5;
        },
      ],
      [
        'overridden by a slider',
        (s) =>
          addLine(s, 'mode', {
            effect: 'takes-over',
            sharePct: 0,
            when: addLogic(s, {
              op: 'greater',
              follows: { kind: 'control', id: 'l2' },
              valuePct: 71,
            }),
          }),
      ],
      [
        'overridden by a variable on a lever',
        (s) => {
          s.program.variables.push({
            id: 'v',
            label: 'V',
            valuePct: 0,
            adjust: { control: 'trim-rudder', rangePct: 100 },
          });
          addLine(s, 'mode', { follows: { kind: 'variable', id: 'v' }, sharePct: -100 });
        },
      ],
      [
        'before the mode line',
        (s) => {
          const at = s.program.lines.indexOf(panicLine(s));
          s.program.lines.unshift(...s.program.lines.splice(at, 1));
        },
      ],
      [
        'gain of nothing',
        (s) => {
          s.program.lines = s.program.lines.filter((l) => l.id !== 'panic-gain');
        },
      ],
      [
        'gain of one in a hundred',
        (s) => {
          s.program.lines.find((l) => l.id === 'panic-gain')!.sharePct = -97;
        },
      ],
      [
        'let go by another switch',
        (s) => {
          panicLine(s).when = both(panicLine(s).when!, { kind: 'not', of: at('sd', 2) });
        },
      ],
      [
        'lets go by itself',
        (s) => {
          const still = addLogic(s, { op: 'delay', of: at('sm', 1), onS: 1.2, offS: 0 });
          panicLine(s).when = both(panicLine(s).when!, { kind: 'not', of: still });
        },
      ],
      [
        'spike of a curve',
        (s) => {
          s.program.shapes.push({
            id: 'spike',
            label: 'Spike',
            points: [
              { inPct: -100, outPct: 0 },
              { inPct: 60, outPct: 0 },
              { inPct: 65, outPct: -100 },
              { inPct: 70, outPct: 0 },
              { inPct: 100, outPct: 0 },
            ],
          });
          addLine(s, 'mode', {
            follows: { kind: 'control', id: 'k2' },
            shape: 'spike',
            sharePct: 200,
          });
        },
      ],
    ] as [string, (s: Setup) => void][]
  ).map(([words, spoil]) => m('panic', words, spoil, panicky())),
  m(
    'panic',
    'unit waits three seconds',
    (s) => (s.unit.settings.recovery!.delayMs = 3000),
    panicky('channel', 0),
  ),
  m(
    'panic',
    'recovery chooses damping',
    (s) => (s.unit.settings.recovery!.mode = 'rate'),
    panicky('channel', 0),
  ),
  m(
    'panic',
    'recovery channel too short',
    (s) => (outputOf(s, 'recovery').maxPct = 20),
    panicky('channel', 0),
  ),
];

const LOST: Mutation[] = (
  [
    ['mode held', (s) => lost(s, 'mode', 'hold')],
    ['mode preset to off', (s) => lost(s, 'mode', -100)],
    ['nothing said of the mode', (s) => lost(s, 'mode', undefined)],
    ['unit damps', (s) => (s.unit.settings.failsafe!.mode = 'rate')],
    ['unit goes off', (s) => (s.unit.settings.failsafe!.mode = 'off')],
    ['gain held at nothing', (s) => lost(s, 'gain', 'hold')],
    ['gain preset to nothing', (s) => lost(s, 'gain', -100)],
    [
      'ailerons not steadied, elevator corrects backwards',
      (s) => (port(s, 'elevator').correctionReversed = true),
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) =>
  m(
    'link-lost',
    words,
    (s) => {
      if (/^mode|nothing said/.test(words)) delete s.unit.settings.failsafe;
      spoil(s);
    },
    gliding,
  ),
);

const launch = (s: Setup) =>
  s.program.lines.filter((l) => l.purpose === 'launch' && l.effect === 'adds');
const latch = (s: Setup) => s.program.logic.find((l) => l.op === 'latch')!;
const LAUNCH: Mutation[] = (
  [
    ['sign turned round', (s) => launch(s).forEach((l) => (l.sharePct = -l.sharePct))],
    ['servo reversed afterwards', (s) => (s.airframe.servos[2]!.rotation = 'reversed')],
    ['elevator channel reversed afterwards', (s) => (outputOf(s, 'elevator').reversed = true)],
    ['never let go', (s) => Object.assign(latch(s), { reset: at('sf', 2) })],
    [
      'only the aileron lets go',
      (s) => {
        Object.assign(latch(s), {
          reset: { kind: 'not', of: { kind: 'logic', id: 'launch-aileron-still' } },
        });
      },
    ],
    [
      'let go at a stick past its end',
      (s) => {
        for (const l of s.program.logic) if (l.op === 'near') l.withinPct = 100;
      },
    ],
    ['on a plain switch', (s) => launch(s).forEach((l) => (l.when = at('sh', 1)))],
    ['on the wrong channel', (s) => launch(s).forEach((l) => (l.channel = channelOf(s, 'rudder')))],
    [
      'rod on the other side',
      (s) => {
        const own = rod(s, 'elevator');
        own.sense = own.sense === 'same' ? 'opposite' : 'same';
      },
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => m('launch', words, spoil, helped));

const OFF: Mutation[] = (
  [
    [
      'off overridden by a switch',
      (s) => addLine(s, 'mode', { effect: 'takes-over', sharePct: 0, when: at('sd', 2) }),
    ],
    [
      'no off in the unit, gain never nothing',
      (s) => {
        s.unit.settings.slots = ['rate', 'rate', 'level'];
        Object.assign(gainLine(s), { sharePct: 30, shiftPct: 70 });
      },
    ],
    [
      'a slider lifts the mode',
      (s) => addLine(s, 'mode', { follows: { kind: 'control', id: 'l2' } }),
    ],
    [
      'a latch keeps it on',
      (s) =>
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, { op: 'latch', set: at('sf', 2), reset: at('sf', 1) }),
        }),
    ],
    [
      'on after a second',
      (s) =>
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, { op: 'delay', of: at('se', 2), onS: 1, offS: 0 }),
        }),
    ],
    [
      'a knob past a threshold',
      (s) =>
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, {
            op: 'greater',
            follows: { kind: 'control', id: 'k2' },
            valuePct: 12,
          }),
        }),
    ],
    [
      'a variable on a lever',
      (s) => {
        s.program.variables.push({
          id: 'v',
          label: 'V',
          valuePct: 0,
          adjust: { control: 'trim-rudder', rangePct: 100 },
        });
        addLine(s, 'mode', { follows: { kind: 'variable', id: 'v' } });
      },
    ],
    [
      'three flicks',
      (s) => {
        const flicked = addLogic(s, { op: 'toggles', of: at('sf', 2), count: 3, withinS: 2 });
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, { op: 'latch', set: flicked, reset: at('sf', 1) }),
        });
      },
    ],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) =>
  m(
    'master-off',
    words,
    (s) => {
      // Without a gain that can be turned down the mode alone is left.
      Object.assign(gainLine(s), { sharePct: 20, shiftPct: 80 });
      delete s.intents.program.modes;
      spoil(s);
    },
    () => wished(),
    'caution',
  ),
);

const spokenTo = () => wished({ voice: { modes: true } });
const calls = (s: Setup) => s.program.callouts;
const VOICE: Mutation[] = (
  [
    [
      'two changed over',
      (s) => ([calls(s)[0]!.say, calls(s)[1]!.say] = [calls(s)[1]!.say, calls(s)[0]!.say]),
    ],
    ['slots changed in the unit', (s) => (s.unit.settings.slots = ['level', 'rate', 'off'])],
    ['mode channel reversed', (s) => (outputOf(s, 'mode').reversed = true)],
    [
      'off overridden by another switch',
      (s) => addLine(s, 'mode', { effect: 'takes-over', when: at('sd', 2) }),
    ],
    [
      'off overridden by a slider',
      (s) => addLine(s, 'mode', { follows: { kind: 'control', id: 'l2' } }),
    ],
    [
      'a second one for the wrong place',
      (s) => calls(s).push({ id: 'extra', when: at('sa', 0), say: 'level' }),
    ],
    [
      'level after two seconds',
      (s) =>
        addLine(s, 'mode', {
          effect: 'takes-over',
          when: addLogic(s, { op: 'delay', of: at('se', 2), onS: 2, offS: 0 }),
        }),
    ],
    ['spoken by another switch', (s) => (calls(s)[2]!.when = at('sb', 2))],
  ] as [string, (s: Setup) => void][]
).map(([words, spoil]) => m('voice', words, spoil, spokenTo));

const turned = (...carries: ChannelFunction[]): Mutation =>
  m(
    'gesture',
    `${carries.join(' and ')} reversed`,
    (s) => carries.forEach((c) => (outputOf(s, c).reversed = !outputOf(s, c).reversed)),
    () => wished(),
    'caution',
  );
const GESTURE: Mutation[] = [
  turned('aileron'),
  turned('elevator'),
  turned('rudder'),
  turned('throttle'),
  turned('aileron', 'elevator'),
  turned('elevator', 'rudder'),
  turned('aileron', 'rudder'),
  turned('aileron', 'elevator', 'rudder'),
];

/** Faults that one claim alone finds, where none of those above is one. */
const ONE_CLAIM: Mutation[] = [
  m(
    'motor-lost',
    'flies home without being asked to',
    (s) => (s.intents.program.failsafe!.school = 'glide'),
    () => wished({ failsafe: { school: 'home', pitchDeg: 0, rollDeg: 0 } }, 'autopilot'),
  ),
  m('linkages', 'the correction goes further than the stick', (s) => {
    Object.assign(rod(s, 'elevator'), { armMm: 20, hornMm: 15 });
    Object.assign(outputOf(s, 'elevator'), { minPct: -30, maxPct: 30 });
  }),
  m(
    'steering-stop',
    'ends half way',
    (s) => Object.assign(outputOf(s, 'steering'), { minPct: -50, maxPct: 50 }),
    measuredCar,
    'caution',
  ),
  m('steering-stop', 'an arm too short', (s) => (steer(s).armMm = 6), measuredCar, 'caution'),
  m(
    'corrections',
    'a flap on a stabilized output for the ailerons',
    (s) => Object.assign(port(s, 'flap'), { carries: 'aileron', stabilized: true }),
    flapped,
  ),
  m('corrections', 'the motor on a stabilized output', (s) =>
    Object.assign(port(s, 'throttle'), { carries: 'aileron', stabilized: true }),
  ),
  m(
    'mode-margins',
    'a recovery channel at its threshold',
    (s) => Object.assign(outputOf(s, 'recovery'), { maxPct: 41 }),
    panicky('channel', 0),
    'caution',
  ),
  m(
    'mode-margins',
    'a gain near the middle of its channel',
    (s) => Object.assign(gainLine(s), { sharePct: 0, shiftPct: 6.4, follows: { kind: 'fixed' } }),
    () => wished({ gain: { by: 'knob', control: 'k1' } }, 'satellite-gyro'),
    'caution',
  ),
  m(
    'gain',
    'a switch takes the fixed gain away',
    (s) => addLine(s, 'gain', { effect: 'takes-over', sharePct: -100, when: at('sd', 2) }),
    () => wished({ gain: { by: 'fixed', pct: 45 } }),
  ),
  m(
    'gain',
    'nothing of the gain with levelling',
    (s) => addLine(s, 'gain', { effect: 'takes-over', sharePct: -100, when: at('sa', 2) }),
    () => wished({ gain: { by: 'knob', control: 'k1' } }),
  ),
  m(
    'gain',
    'two values changed over',
    (s) => {
      const [a, , b] = s.program.lines.filter((l) => l.purpose === 'gain');
      [a!.sharePct, b!.sharePct] = [b!.sharePct, a!.sharePct];
    },
    () => wished({ gain: { by: 'values', control: 'sb', pct: [0, 30, 60] } }),
    'caution',
  ),
  m(
    'gain',
    'the lock before the gain',
    (s) => {
      const i = s.program.lines.findIndex((l) => l.owner === 'lock');
      s.program.lines.unshift(...s.program.lines.splice(i, 1));
    },
    () => wished({ lock: { until: 'chassis' } }),
  ),
  m(
    'panic',
    'acts after a quarter of a minute',
    (s) => {
      panicLine(s).when = addLogic(s, { op: 'delay', of: at('sm', 1), onS: 15, offS: 0 });
    },
    panicky(),
  ),
  m(
    'panic',
    'lets go after a quarter of a minute',
    (s) => {
      const still = addLogic(s, { op: 'delay', of: at('sm', 1), onS: 15, offS: 0 });
      panicLine(s).when = both(panicLine(s).when!, { kind: 'not', of: still });
    },
    panicky(),
  ),
  m(
    'panic',
    'its gain comes after a quarter of a minute',
    (s) => {
      const late = addLogic(s, { op: 'delay', of: at('sm', 1), onS: 15, offS: 0 });
      const gain = s.program.lines.find((l) => l.id === 'panic-gain')!;
      gain.when = late;
    },
    panicky(),
  ),
  m(
    'panic',
    'the press turns the unit off for good',
    (s) => {
      const set = addLogic(s, { op: 'latch', set: at('sm', 1), reset: at('sf', 2) });
      const i = s.program.lines.indexOf(panicLine(s));
      addLine(s, 'mode', { effect: 'takes-over', sharePct: -100, when: set });
      s.program.lines.splice(i, 0, s.program.lines.pop()!);
    },
    panicky(),
  ),
  m(
    'link-lost',
    'nothing chosen, the mode held',
    (s) => {
      delete s.intents.program.failsafe;
      delete s.unit.settings.failsafe;
      lost(s, 'mode', 'hold');
    },
    () => wished(),
    'caution',
  ),
  m(
    'link-lost',
    'a brake without a controller that brakes',
    (s) => delete s.airframe.motors[0]!.reverse,
    () => {
      const setup = car();
      const written = writeWishes(setup, {
        ...setup.intents.program,
        failsafe: { school: 'brake', pitchDeg: 0, rollDeg: 0 },
      });
      if (!written.ok) throw new Error(written.reasons.join());
      return written.setup;
    },
    'caution',
  ),
  m(
    'launch',
    'nothing left of it',
    (s) => {
      s.program.lines = s.program.lines.filter((l) => l.owner !== 'launch');
    },
    helped,
  ),
  m(
    'launch',
    'its switch never gets there',
    (s) => {
      for (const l of s.program.lines)
        if (l.purpose === 'launch') l.when = both(at('sh', 1), at('sh', 0));
    },
    helped,
    'caution',
  ),
  m(
    'launch',
    'only the elevator lets go',
    (s) => {
      Object.assign(latch(s), {
        reset: { kind: 'not', of: { kind: 'logic', id: 'launch-elevator-still' } },
      });
    },
    helped,
  ),
  m('voice', 'no call-out left', (s) => (s.program.callouts = []), spokenTo, 'caution'),
  m('voice', 'one place says nothing', (s) => calls(s).splice(1, 1), spokenTo, 'caution'),
];

export const MUTATIONS: readonly Mutation[] = [
  ...ONE_CLAIM,
  ...MOTOR,
  ...THROTTLE,
  ...TRIGGER,
  ...LEVEL,
  ...STICKS,
  ...DEVICES,
  ...MIX_FAULTS,
  ...LINKAGES,
  ...GANG_MUTATIONS,
  ...GESTURE_MUTATIONS,
  ...PAST_STOP,
  ...CORRECTIONS,
  ONE_SIDE,
  ...MODES,
  ...REST,
  ...GAIN,
  ...PANIC,
  ...LOST,
  ...LAUNCH,
  ...OFF,
  ...VOICE,
  ...GESTURE,
];
