import { carriedChannels } from '../chain';
import { isOrder, roleOf, type Line, type Setup } from '../setup';
import { coneOf } from '../verify';
import type { Part } from './part';

/** Nothing for a model that has none, so that what was seen of it before there was such a thing still counts. */
const measuredSteering = ({ steering }: Setup['airframe']): readonly unknown[] =>
  steering ? [steering] : [];

/** Everything a value on the channel monitor depends on. */
export function partsOfReading(setup: Setup, channel: number): Part[] {
  const { program, transmitter, installation } = setup;
  const cone = coneOf(setup, [channel]);
  const controls = cone.controls.map((at) => transmitter.controls[at]!.id);
  const { revisions } = installation;
  return [
    {
      key: `lines:${channel}`,
      title: `the lines of channel ${channel}`,
      value: program.lines.filter((l) => l.channel === channel).map(bareLine),
    },
    {
      key: `logic:${channel}`,
      title: `the logic behind channel ${channel}`,
      value: cone.logic.map((i) => program.logic[i]),
    },
    {
      key: `inputs:${channel}`,
      title: `rates and expo on channel ${channel}`,
      value: program.inputs.filter((i) => controls.includes(i.control)),
    },
    {
      key: `output:${channel}`,
      title: `reverse, ends or subtrim of channel ${channel}`,
      value: program.outputs.find((o) => o.channel === channel),
    },
    {
      key: 'scale',
      title: 'the transmitter’s scale or firmware',
      value: [transmitter.pulse, installation.transmitterFirmware, revisions.transmitterFirmware],
    },
  ];
}

/** Everything that is entered and that no value on the channel monitor shows. */
export function partsOfEntry({ program, transmitter, installation }: Setup): Part[] {
  return [
    {
      key: 'unshown',
      title: 'failsafe presets, call-outs, timers or waits of the program',
      value: [
        program.failsafe,
        program.callouts,
        program.timers,
        program.logic,
        program.outputs.map((o) => [o.channel, o.slowS ?? 0]),
      ],
    },
    {
      key: 'scale',
      title: 'the transmitter’s scale or firmware',
      value: [
        transmitter.pulse,
        installation.transmitterFirmware,
        installation.revisions.transmitterFirmware,
      ],
    },
  ];
}

/** A line by what it does: nothing refers to it by its id, and why it is there changes nothing. */
export const bareLine = ({ id: _, note: __, ...line }: Line) => line;

/** What some channels are made of: their lines, and the rates and expo of the inputs these read. */
function makeupOf({ program }: Setup, channels: readonly number[]): unknown[] {
  const lines = program.lines.filter((l) => channels.includes(l.channel));
  const read = new Set(lines.flatMap((l) => (l.follows.kind === 'input' ? [l.follows.id] : [])));
  return [lines.map(bareLine), program.inputs.filter((i) => read.has(i.id))];
}

const orderInputs = ({ unit }: Setup) => unit.settings.inputs.filter((i) => isOrder(i.carries));

/** The program of every channel the unit takes orders from. */
export function ordersOf(setup: Setup): unknown {
  const { program } = setup;
  const channels = orderInputs(setup).map((i) => i.channel);
  return [
    program.lines.filter((l) => channels.includes(l.channel)).map(bareLine),
    coneOf(setup, channels).logic.map((i) => program.logic[i]),
    program.outputs.filter((o) => channels.includes(o.channel)),
  ];
}

/** What a test of panic or failsafe with the model in hand depends on. */
export function partsOfTest(setup: Setup, test: 'panic' | 'failsafe'): Part[] {
  const { program, unit, installation, transmitter } = setup;
  const { settings, traits } = unit;
  const { revisions } = installation;
  const shared: Part[] = [
    {
      key: 'orders',
      title: 'the program of mode, gain or panic',
      value: ordersOf(setup),
    },
    {
      key: 'unit-modes',
      title: 'the modes set in the unit',
      value: [settings.slots, traits.modeSelect, orderInputs(setup)],
    },
    {
      key: 'unit-work',
      title: 'the unit (reset, firmware, moved)',
      value: [
        revisions.unitReset,
        revisions.unitFirmware,
        installation.unitFirmware,
        revisions.unitMoved,
        installation.mounting,
        settings.orientation,
      ],
    },
    {
      key: 'model-work',
      title: 'the model (servo, linkage, crash)',
      value: [revisions.servoReplaced, revisions.linkageChanged, revisions.crash],
    },
    {
      key: 'radio',
      title: 'the radio (module, firmware, link)',
      value: [
        revisions.radioModule,
        revisions.transmitterFirmware,
        installation.transmitterFirmware,
        carriedChannels({ transmitter }),
        transmitter.pulse,
      ],
    },
  ];
  if (test === 'panic')
    return [
      ...shared,
      {
        key: 'recovery',
        title: 'recovery and angle limits in the unit',
        value: [settings.recovery, settings.angleLimitsDeg, traits.panic],
      },
    ];
  return [
    ...shared,
    {
      key: 'failsafe',
      title: 'the failsafe',
      value: [program.failsafe, settings.failsafe, traits.failsafe],
    },
    throttlePart(setup),
  ];
}

/** The way from throttle stick to motor, with the cut on it. */
function throttlePart({ program, airframe, transmitter }: Setup): Part {
  const throttles = program.outputs.filter((o) => roleOf(o.carries) === 'motor');
  return {
    key: 'throttle',
    title: 'the throttle',
    value: [
      throttles,
      program.lines.filter((l) => throttles.some((o) => o.channel === l.channel)).map(bareLine),
      airframe.motors.map((m) => [m.stopUs, m.fullUs]),
      transmitter.throttleReversedInside,
    ],
  };
}

const unitWork = ({ installation }: Setup): Part => ({
  key: 'unit-memory',
  title: 'the unit (reset, firmware)',
  value: [
    installation.revisions.unitReset,
    installation.revisions.unitFirmware,
    installation.unitFirmware,
    installation.unitHardware,
  ],
});

/** What a six-face calibration depends on: the unit itself, and that it forgot nothing since. */
export const partsOfCalibration = (setup: Setup): Part[] => [
  unitWork(setup),
  { key: 'crash', title: 'the unit (crash)', value: setup.installation.revisions.crash },
];

/** What a look at how the unit is fixed depends on. */
export function partsOfMounting(setup: Setup): Part[] {
  const { installation, unit } = setup;
  const { mounting, skewDeg, positionMm, revisions } = installation;
  return [
    unitWork(setup),
    {
      key: 'mounting',
      title: 'how the unit sits in the model',
      value: [mounting, skewDeg, positionMm, revisions.unitMoved, revisions.crash],
    },
    {
      key: 'orientation',
      title: 'the orientation set in the unit',
      value: unit.settings.orientation,
    },
  ];
}

/** What the unit's idea of stick centre and travel depends on. */
export function partsOfCapture(setup: Setup): Part[] {
  const { program, unit, installation, transmitter } = setup;
  const sticks = unit.settings.inputs.filter(
    (i) => roleOf(i.carries) === 'steering' || roleOf(i.carries) === 'motor',
  );
  const channels = sticks.map((i) => i.channel);
  return [
    unitWork(setup),
    {
      key: 'sticks',
      title: 'reversal, ends, subtrim or mixing of a stick channel',
      value: [
        program.outputs.filter((o) => channels.includes(o.channel)),
        ...makeupOf(setup, channels),
      ],
    },
    {
      key: 'taught',
      title: 'what the unit was taught',
      value: [installation.travelCapture ?? null, sticks],
    },
    {
      key: 'trims',
      title: 'the trims (moved in flight)',
      value: installation.revisions.trimsMoved ?? 0,
    },
    {
      key: 'scale',
      title: 'the transmitter’s scale or firmware',
      value: [
        transmitter.pulse,
        transmitter.throttleReversedInside,
        installation.transmitterFirmware,
        installation.revisions.transmitterFirmware,
        installation.revisions.radioModule,
      ],
    },
  ];
}

/** What a captured level depends on. */
export function partsOfLevel(setup: Setup): Part[] {
  const { installation, airframe, unit } = setup;
  const { wheelbaseMm, standingPitchDeg, flyingPitchDeg } = airframe.measures;
  return [
    ...partsOfMounting(setup),
    {
      key: 'attitude',
      title: 'the attitude it stands or flies at',
      value: [wheelbaseMm, standingPitchDeg, flyingPitchDeg],
    },
    {
      key: 'level',
      title: 'the captured level or its offset',
      value: [installation.levelCapture ?? null, unit.settings.levelOffsetDeg],
    },
  ];
}

/** What knowing the unit and the transmitter depends on. */
export function partsOfIdentity(setup: Setup): Part[] {
  const { unitHardware, unitFirmware, transmitterFirmware, secondHand, revisions } =
    setup.installation;
  return [
    {
      key: 'versions',
      title: 'the versions of unit or transmitter',
      value: [
        setup.unit.name,
        unitHardware,
        unitFirmware,
        setup.transmitter.name,
        transmitterFirmware,
        revisions.unitFirmware,
        revisions.transmitterFirmware,
      ],
    },
    { key: 'past', title: 'what is known of its past', value: secondHand },
    { key: 'module', title: 'the radio module', value: revisions.radioModule },
  ];
}

/** What a tried throttle cut depends on. */
export const partsOfSafety = (setup: Setup): Part[] => [
  throttlePart(setup),
  {
    key: 'power',
    title: 'the motor, its controller or the model (crash)',
    value: [
      setup.airframe.motors,
      setup.installation.plugs.filter((p) =>
        p.drives.some((d) => setup.airframe.motors.some((m) => m.id === d)),
      ),
      setup.installation.revisions.crash,
    ],
  },
];

/** What entries made in the unit depend on: that they are still what is wanted, and not forgotten. */
export const partsOfUnit = (setup: Setup): Part[] => [unitWork(setup)];

/** What a preflight check depends on: all that moves, and everything that happened to it. */
export function partsOfFlight(setup: Setup): Part[] {
  const { unit, airframe, installation, transmitter } = setup;
  // What is switched off does nothing.
  const { aside: _, ...program } = setup.program;
  return [
    {
      key: 'program',
      title: 'the transmitter’s program',
      value: { ...program, lines: program.lines.map(bareLine) },
    },
    { key: 'unit', title: 'the unit', value: [unit.settings, unit.traits] },
    {
      key: 'airframe',
      title: 'the model',
      value: [
        airframe.kind,
        airframe.surfaces,
        airframe.servos,
        airframe.motors,
        ...measuredSteering(airframe),
      ],
    },
    { key: 'installation', title: 'how it is fitted, or work on it', value: installation },
    { key: 'transmitter', title: 'the transmitter', value: transmitter },
  ];
}

const bodyWork = ({ installation }: Setup): Part => ({
  key: 'body-work',
  title: 'a servo, a linkage or the model (work recorded)',
  value: [
    installation.revisions.servoReplaced,
    installation.revisions.linkageChanged,
    installation.revisions.crash,
  ],
});

/** What the throws of the plain model, and where its leads go, depend on. */
export function partsOfPlainModel(setup: Setup): Part[] {
  const { airframe, installation, unit, program, transmitter } = setup;
  const moving = program.outputs.filter(
    (o) => !isOrder(o.carries) && roleOf(o.carries) !== 'motor',
  );
  return [
    bodyWork(setup),
    {
      key: 'build',
      title: 'surfaces, servos or linkages',
      value: [airframe.kind, airframe.surfaces, airframe.servos, ...measuredSteering(airframe)],
    },
    {
      key: 'plugs',
      title: 'what is plugged where',
      value: [installation.plugs, installation.gainLead],
    },
    {
      key: 'outputs',
      title: 'what the unit puts out',
      value: [unit.settings.outputs, unit.settings.wingType, unit.settings.inputs],
    },
    {
      key: 'travel',
      title: 'reverse, ends, subtrim, rates or mixing of a stick channel',
      value: [
        moving,
        ...makeupOf(
          setup,
          moving.map((o) => o.channel),
        ),
      ],
    },
    {
      key: 'scale',
      title: 'the transmitter’s scale',
      value: [transmitter.pulse, transmitter.throttleReversedInside],
    },
  ];
}

/** What a gain found in the air depends on: how strongly it corrects, and on what. */
export function partsOfTuning(setup: Setup): Part[] {
  const { airframe, unit } = setup;
  const { massG, spanMm, chordMm, cruiseMps, approachMps } = airframe.measures;
  return [
    unitWork(setup),
    bodyWork(setup),
    {
      key: 'gain',
      title: 'the gain, in the unit or in the transmitter',
      value: [unit.settings.axes, unit.settings.sensitivity, unit.traits.gainLaw, ordersOf(setup)],
    },
    {
      key: 'surfaces',
      title: 'a surface, its linkage or its servo',
      value: [airframe.surfaces, airframe.servos, ...measuredSteering(airframe)],
    },
    {
      key: 'measures',
      title: 'mass, size or speed of the model',
      value: [massG, spanMm, chordMm, cruiseMps, approachMps],
    },
    {
      key: 'seat',
      title: 'how the unit sits in the model',
      value: [setup.installation.mounting, setup.installation.revisions.unitMoved],
    },
  ];
}
