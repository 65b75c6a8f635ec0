import { isOrder, roleOf, type Setup } from '../../../../setup';
import type { Dependency } from '../../part';
import {
  measuredSteering,
  bareLine,
  makeupOf,
  ordersOf,
  throttlePart,
  unitWork,
  bodyWork,
} from '../../shared';

/** What the throws of the plain model, and where its leads go, depend on. */
export function partsOfPlainModel(setup: Setup): Dependency[] {
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
      title: 'what the unit outputs',
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

/** Parts of the plain model that only the ends of the sticks feel. */
const AT_THE_ENDS = new Set(['travel', 'scale']);

/**
 * What a step of the plain model depends on: leads, cut and centres are not felt at the ends of the sticks, so
 * that setting those takes nothing of it away.
 */
export function partsOfPlainStep(setup: Setup, item: string): Dependency[] {
  const all = partsOfPlainModel(setup);
  if (!BEFORE_THE_ENDS.has(item)) return all;
  const without = all.filter((p) => !AT_THE_ENDS.has(p.key));
  const { program } = setup;
  const shifted = [
    ...program.outputs.flatMap((o) => (o.subtrimPct === 0 ? [] : [[o.carries, o.subtrimPct]])),
    ...program.lines.flatMap((l) =>
      l.purpose === 'stick' && l.shiftPct !== 0 ? [[l.channel, l.shiftPct]] : [],
    ),
  ];
  return item === 'centres' && shifted.length > 0
    ? [...without, { key: 'shifted', title: 'subtrim of a stick channel', value: shifted }]
    : without;
}
const BEFORE_THE_ENDS: ReadonlySet<string> = new Set(['plugs', 'cut', 'centres']);

/** What a tried throttle cut depends on. */
export const partsOfSafety = (setup: Setup): Dependency[] => [
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

/** What a gain found in the air depends on: how strongly it corrects, and on what. */
export function partsOfTuning(setup: Setup): Dependency[] {
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

/** What a preflight check depends on: all that moves, and everything that happened to it. */
export function partsOfFlight(setup: Setup): Dependency[] {
  const { unit, airframe, installation } = setup;
  // What is switched off does nothing; what menus are called is a name.
  const { aside: _, ...program } = setup.program;
  const { menu: _menu, ...transmitter } = setup.transmitter;
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
