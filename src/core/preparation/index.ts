export { steeringScript } from './steering';
import { lightWords, movementOf, namedMode, throwsOf } from '../chain';
import { scriptOf, type ScriptStep, type Sentence } from '../script';
import { meansOf, settingGroups, type Means, type Row, type SettingId } from '../settings';
import { handWords, isDevice, kindOf, type Setup } from '../setup';
import { gainLeadOf, leadsOf, namedLead } from '../wiring';
import { IDENTIFY, PLAIN, SAFE, UNIT, whole, type End, type Entered } from './sentences';

/** Knowing what is on the bench before anything is set. */
export function identifyScript(setup: Setup): ScriptStep[] {
  const { installation, unit } = setup;
  const { unitHardware: hardware, unitFirmware: firmware, transmitterFirmware } = installation;
  return scriptOf('identify', [
    [
      'versions',
      IDENTIFY['read-versions'](),
      [
        IDENTIFY['unit-is']({ hardware, firmware }),
        IDENTIFY['transmitter-is']({ firmware: transmitterFirmware }),
        IDENTIFY['leaflet-fits'](),
      ],
    ],
    ...(installation.secondHand
      ? [['reset', IDENTIFY.reset(), [IDENTIFY['no-old-setting']()]] as const]
      : []),
    [
      'bound',
      IDENTIFY.bind(),
      [
        IDENTIFY['link-light'](),
        ...(unit.traits.captureGestures.includes('menu') ? [IDENTIFY['menu-shows']()] : []),
      ],
    ],
  ]);
}

/** Nothing can start by itself from here on. */
export function safeScript(setup: Setup): ScriptStep[] {
  if (setup.airframe.motors.length === 0) return [];
  const { moves, safe } = kindOf(setup.airframe);
  return scriptOf('safe', [
    ['off', SAFE['make-safe']({ how: { id: moves, label: safe } }), [SAFE['nothing-turns']()]],
  ]);
}

/** Every line of the unit's settings, entered and confirmed. */
export function unitScript(setup: Setup): ScriptStep[] {
  const presses = (setup.unit.traits.presses ?? []).map((p) => `${p.for}=${p.presses}`);
  const { dials, gestures, orientationLearned } = setup.unit.traits;
  const corners = gestures?.map(({ for: what, holds, seconds, twitches }) =>
    [what, ...holds.map((h) => `${h.stick}=${h.at}`), seconds, twitches ?? 0].join(' '),
  );
  const signs = signsOf(setup);
  return scriptOf('unit', [
    ...settingGroups(setup).map(
      ({ id, title, rows }) =>
        [
          id,
          UNIT.enter({
            what: { id, label: title },
            by: enteredBy(setup, rows),
            dials,
            presses,
            ...(corners && { corners }),
            ...(id === 'orientation' && orientationLearned ? { learned: orientationLearned } : {}),
          }),
          rows.map(standsAt),
        ] as const,
    ),
    ...(signs.length > 0
      ? [
          [
            'signs',
            new Set(setup.unit.settings.slots).size > 1
              ? UNIT['switch-on']()
              : UNIT['switch-on-once'](),
            signs,
          ] as const,
        ]
      : []),
    ...(setup.unit.traits.slotsSettable
      ? [['enabled', UNIT['go-through-modes'](), [UNIT['none-switched-off']()]] as const]
      : []),
  ]);
}

/** How lines that are entered together come to stand: dials and small switches set a few things only. */
function enteredBy({ unit }: Setup, rows: readonly Row[]): Entered {
  const by = meansOf(unit);
  if (rows.every((r) => r.isGiven)) return 'given';
  if (by === 'menu') return by;
  if (unit.traits.dials !== 'none' && rows.some((r) => r.setting === 'gain')) return 'dials';
  return rows.some((r) => !r.isGiven && SET_BY[by].has(r.setting)) ? by : 'leaflet';
}

const TURNED: ReadonlySet<SettingId> = new Set(['wing-type', 'direction']);
const SET_BY: Record<Exclude<Means, 'menu'>, ReadonlySet<SettingId>> = {
  switches: TURNED,
  button: TURNED,
  gestures: TURNED,
  dials: new Set(['direction']),
  taught: new Set(['channels']),
};

/** What it shows of itself as it is switched on, and in each of its modes. */
function signsOf({ unit, airframe }: Setup): Sentence[] {
  const { traits, settings } = unit;
  const { twitchesAtPowerUp: times, lights } = traits;
  const shown = lights.filter((l) => settings.slots.includes(l.mode) && l.colour !== 'none');
  return [
    ...(times > 0
      ? [UNIT.twitches({ times, ...(kindOf(airframe).onSurface ? { ground: true as const } : {}) })]
      : []),
    ...shown.map((l) =>
      UNIT.light({
        mode: namedMode(unit, l.mode),
        light: { id: `${l.colour} ${l.blinks}`, label: lightWords(unit, l) },
      }),
    ),
  ];
}

/** A setting with its value. */
const standsAt = ({ id, about, name, words, how, value }: Row): Sentence =>
  UNIT['stands-at']({
    row: {
      id: `${id} = ${JSON.stringify(value ?? null)}`,
      label: `${about ? `${name} ` : ''}${words}${how ? ` (${how})` : ''}`,
    },
  });

/** Whether a step of the plain model is measured at the ends of the sticks: done once nothing moves them any more. */
export const isThrow = ({ item }: { item: string }): boolean =>
  item === 'throws' || item === 'ends';

/** The model as it must be with the unit off, before anything is built on it. */
export function plainScript(setup: Setup): ScriptStep[] {
  const { surfaces } = setup.airframe;
  const gainLead = gainLeadOf(setup);
  const { onSurface: ground, edge, moves } = kindOf(setup.airframe);
  const hands = handWords(setup.transmitter);
  const devices = surfaces.filter((s) => isDevice(setup.airframe, s));
  const motor = setup.airframe.motors.length > 0;
  const cut = setup.intents.program.cut !== undefined;
  const ganged = surfaces.filter((s) => s.ganged);
  return scriptOf('plain-model', [
    [
      'plugs',
      PLAIN['follow-leads'](),
      [...leadsOf(setup).map(namedLead), ...(gainLead ? [gainLead] : [])].map((lead) =>
        PLAIN.lead({ lead }),
      ),
    ],
    ...(motor
      ? [
          [
            'cut',
            cut ? PLAIN['try-cut']() : PLAIN['switch-everything-on'](),
            [...(cut ? [PLAIN['cut-holds']()] : []), PLAIN['stays-still']({ afterCut: cut })],
          ] as const,
        ]
      : []),
    ...(ganged.length > 0
      ? [
          [
            'ganged',
            PLAIN['one-rod-on'](),
            ganged.map((s) => PLAIN['stays-at-hole']({ what: s })),
          ] as const,
        ]
      : []),
    [
      'centres',
      PLAIN.release({ hands: { id: hands.one, label: hands.all } }),
      [PLAIN['in-line']({ ground })],
    ],
    // What steers on wheels or water has a station of its own for these.
    ...(ground
      ? []
      : ([
          [
            'throws',
            PLAIN['measure-throws']({ edge: { id: moves, label: edge } }),
            throwsOf(setup).map(({ surface, low, high }) => throwOf(setup, surface, [low, high])),
          ],
          ['ends', PLAIN.listen(), [PLAIN['nothing-hums']()]],
        ] as const)),
    ...(devices.length > 0
      ? [
          [
            'flaps',
            PLAIN['move-devices'](),
            devices.map((s) => PLAIN['moves-alone']({ what: s })),
          ] as const,
        ]
      : []),
  ]);
}

function throwOf(
  { airframe }: Setup,
  id: string,
  ends: readonly { surfaceDeg: number; edgeMm: number }[],
): Sentence {
  const surface = airframe.surfaces.find((s) => s.id === id)!;
  return PLAIN.throws({
    what: surface,
    ends: ends.map(({ surfaceDeg, edgeMm }): End => ({
      mm: whole(edgeMm),
      deg: whole(surfaceDeg),
      goes: movementOf(surface, surfaceDeg),
    })),
  });
}
