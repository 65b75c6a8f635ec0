import { buildAirframe, TRANSMITTERS, UNITS, USUAL_STEERING, usualAnswers } from '@/core/catalogue';
import { composeSetup, writeWishes } from '@/core/plan';
import { MODES, type ProgramWishes, type Setup } from '@/core/setup';
import { sampleOf, type Sample } from './dependence';
import { twoOnElevator } from './gang-faults';
import { richSetup } from './rich';
import { makeSetup } from './setups';

function wished(setup: Setup, change: Partial<ProgramWishes>): Setup {
  const next = writeWishes(setup, { ...setup.intents.program, ...change });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  return next.setup;
}

/** A unit whose mixer takes sticks reversed than most. */
function mixing(setup: Setup): Setup {
  setup.unit.traits.mixSense = { roll: -1, pitch: -1, yaw: -1 };
  return setup;
}

/** A wheel under the tail, on the rudder's servo. */
const withTailWheel = (): Setup =>
  composeSetup(
    'Wheel',
    buildAirframe({ ...usualAnswers('conventional'), wheel: 'shared' }),
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );

/** Each output with sets and travel of its own, a receiver that holds, flaps that move slowly. */
function withSets(): Setup {
  const setup = composeSetup(
    'Sets',
    buildAirframe({ ...usualAnswers('conventional'), flaps: true }),
    UNITS['satellite-gyro']!,
    TRANSMITTERS['line-sixteen']!,
  );
  const { traits, settings } = setup.unit;
  traits.outputTravel = true;
  settings.response = { character: 3, stop: 4 };
  settings.speedGain = { fromMps: 18, lessPct: 40 };
  for (const output of settings.outputs) {
    output.sets = {
      below: { gainPct: 60, maxGainPct: 80, holdAllowed: true },
      above: { gainPct: 50, maxGainPct: 90, holdAllowed: false },
    };
    output.travel = { centrePct: 5, minPct: -90, maxPct: 95 };
  }
  setup.unit.leaflet = [{ setting: 'output-sets', word: 'priority' }];
  setup.transmitter.menu = [{ item: 'lines', word: 'Mixer' }];
  setup.unit.notes = [{ step: 'capture', note: 'Its picture shows the corner mirrored.' }];
  setup.installation.receiver = { lost: 'presets', tellsUnit: false };
  setup.transmitter.stickMode = 2;
  return wished(setup, {
    flaps: { ...setup.intents.program.flaps!, seconds: 2 },
    voice: { modes: true, gainMoved: true },
  });
}

/** Two banks, gains for each mode, levelling that rolls through; its gain lead pulled. */
function withBanks(): Setup {
  const setup = makeSetup('conventional', 'menu-receiver', 'switch-value-six');
  const { traits, settings } = setup.unit;
  traits.modes = [...MODES];
  traits.gainKept = 'axis-and-mode';
  traits.stabilizedOutputs = 'two-banks';
  traits.extras = [...traits.extras, 'roll-through'];
  traits.ports.forEach((p, i) => (p.bank = i < 4 ? 1 : 2));
  settings.banks = [1];
  Object.assign(traits.modeSelect, { withinUs: 9 });
  settings.levelKind = 'limits';
  for (const axis of ['roll', 'pitch', 'yaw'] as const)
    settings.axes[axis].gainByMode = {
      rate: 40,
      hold: 45,
      level: 70,
      trainer: 60,
      home: 70,
      hover: 30,
    };
  setup.transmitter.switchOnlyPositions = 3;
  setup.transmitter.switchOnlyLost = 'preset';
  setup.installation.gainLead = false;
  setup.installation.gainLeadLastPct = 20;
  return setup;
}

type LevelCapture = NonNullable<Setup['unit']['traits']['levelCapture']>;

/** A unit that is taught level in another way than its menu. */
function taught(levelCapture: LevelCapture): Setup {
  const setup = makeSetup('conventional', 'menu-receiver');
  setup.unit.traits.levelCapture = levelCapture;
  return setup;
}

/** A car whose steering is measured; its brake goes on and its steering centres when the signal is lost. */
function measuredCar(): Setup {
  const setup = makeSetup('car', 'steering-receiver', 'surface-four');
  setup.airframe.steering = { ...USUAL_STEERING };
  return wished(setup, {
    failsafe: { school: 'brake', steerPct: 0, pitchDeg: 0, rollDeg: 0 },
    lock: { until: 'chassis' },
    reverse: { brakePct: 30 },
  });
}

/** Lines with a note, and some that are switched off. */
function withAside(): Setup {
  const setup = makeSetup();
  const [first] = setup.program.lines;
  first!.note = 'The sticks as they were.';
  const line = {
    id: 'off-1',
    channel: 2,
    follows: { kind: 'channel' as const, channel: 1 },
    sharePct: 20,
    shiftPct: 5,
    shape: 'gone',
    when: { kind: 'switch' as const, control: 'sb', position: 1 },
    effect: 'adds' as const,
    purpose: 'mix' as const,
    note: 'Tried once.',
  };
  setup.program.aside = [
    { line, after: first!.id },
    {
      line: {
        ...line,
        id: 'off-2',
        follows: { kind: 'control', id: 'k1' },
        when: { kind: 'logic', id: 'gone' },
      },
    },
    {
      line: {
        ...line,
        id: 'off-3',
        follows: { kind: 'input', id: 'aileron' },
        when: {
          kind: 'not',
          of: { kind: 'any', of: [{ kind: 'switch', control: 'sb', position: 1 }] },
        },
      },
    },
  ];
  return setup;
}

/** A few Setups that between them have every field of the schema that can have a value. */
export const evidenceSamples = (): Sample[] =>
  [
    withTailWheel(),
    richSetup(),
    makeSetup('conventional', 'button-stabilizer'),
    makeSetup('conventional', 'satellite-gyro'),
    makeSetup('conventional', 'gesture-stabilizer'),
    makeSetup('car', 'steering-receiver', 'surface-four'),
    measuredCar(),
    wished(makeSetup('flying-wing', 'menu-receiver'), {
      panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
      rates: {
        by: 'mode',
        off: { pct: 60, expoPct: 30 },
        on: { pct: 100, expoPct: 20 },
      },
      failsafe: { school: 'glide', pitchDeg: 3, rollDeg: 0 },
      voice: { modes: true },
      timer: { minutes: 6 },
    }),
    withSets(),
    withBanks(),
    withAside(),
    twoOnElevator(),
    taught({ by: 'button', presses: 3 }),
    taught({ by: 'flick', times: 2, withinS: 3 }),
    taught({
      by: 'corner',
      mode: 'level',
      holds: [
        { stick: 'elevator', at: -100 },
        { stick: 'aileron', at: 100 },
      ],
      seconds: 3,
    }),
    wished(mixing(makeSetup('v-tail', 'switch-receiver', 'switch-value-six')), {}),
  ].map(sampleOf);
