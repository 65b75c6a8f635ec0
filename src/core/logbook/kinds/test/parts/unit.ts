import { roleOf, type Setup } from '../../../../setup';
import type { Dependency } from '../../part';
import { makeupOf, unitWork } from '../../shared';

/** What a six-face calibration depends on: the unit itself, and that it forgot nothing since. */
export const partsOfCalibration = (setup: Setup): Dependency[] => [
  unitWork(setup),
  { key: 'crash', title: 'the unit (crash)', value: setup.installation.revisions.crash },
];

/** What a look at how the unit is fixed depends on. */
export function partsOfMounting(setup: Setup): Dependency[] {
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
export function partsOfCapture(setup: Setup): Dependency[] {
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
      title: 'what the unit learned',
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
export function partsOfLevel(setup: Setup): Dependency[] {
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
export function partsOfIdentity(setup: Setup): Dependency[] {
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

/** What entries made in the unit depend on: that they are still what is wanted, and not forgotten. */
export const partsOfUnit = (setup: Setup): Dependency[] => [unitWork(setup)];
