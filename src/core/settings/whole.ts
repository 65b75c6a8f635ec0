import { MODE_WORDS } from '../chain';
import type { Mode, Setup } from '../setup';
import { choiceRow, flagRow, inSettings, numberRow } from './lens';
import { howTurned, meansOf } from './means';
import type { Setting } from './setting';

/*
 * Settings of the unit as a whole.
 */

export const wingType: Setting = {
  id: 'wing-type',
  rows({ unit }) {
    const { mixer, axes, ports } = unit.traits;
    const steers = ports.some((p) => p.labelledFor === 'steering');
    if (mixer === 'transmitter' || axes.length < 2 || steers) return [];
    return [
      choiceRow(
        {
          id: 'wing-type',
          about: '',
          name: 'wing type',
          how: howTurned(unit, 'the wing'),
          ...inSettings('wingType'),
        },
        unit.settings.wingType,
        [
          ['normal', 'normal'],
          ['delta', 'delta'],
          ['v-tail', 'V-tail'],
        ] as [typeof unit.settings.wingType, string][],
      ),
    ];
  },
};

/** "arrow to the nose, label up" */
export function mountingWords(mounting: string): string {
  const [arrow, face] = mounting.split('-');
  const side = (word: string) => (word === 'up' || word === 'down' ? word : `to the ${word}`);
  return `arrow ${side(arrow!)}, label ${side(face!)}`;
}

export const orientation: Setting = {
  id: 'orientation',
  rows({ unit }) {
    const { orientations } = unit.traits;
    if (orientations.length < 2) return [];
    return [
      choiceRow(
        {
          id: 'orientation',
          about: '',
          name: 'orientation',
          how:
            meansOf(unit) === 'menu'
              ? undefined
              : 'set by the way it is fixed: there is nothing to enter',
          ...inSettings('orientation'),
        },
        unit.settings.orientation,
        orientations.map((m) => [m, mountingWords(m)] as const),
      ),
    ];
  },
};

export const sensitivity: Setting = {
  id: 'sensitivity',
  rows: ({ unit: { traits, settings } }) =>
    traits.extras.includes('sensitivity-class')
      ? [
          {
            ...choiceRow(
              {
                id: 'sensitivity',
                about: '',
                name: 'sensitivity',
                path: inSettings('sensitivity').path,
                write: (to, value) => void (to.sensitivity = Number(value) as 1 | 2 | 4),
              },
              String(settings.sensitivity),
              [
                ['1', '×1, jets and aerobatic models'],
                ['2', '×2, most models'],
                ['4', '×4, slow flyers'],
              ],
            ),
            words: `×${settings.sensitivity}`,
          },
        ]
      : [],
};

export const frame: Setting = {
  id: 'frame',
  rows: ({ unit: { traits, settings } }) =>
    traits.extras.includes('frame-rate')
      ? [
          numberRow(
            { id: 'frame', about: '', name: 'servo frame', ...inSettings('servoFrameMs') },
            settings.servoFrameMs,
            ' ms',
          ),
        ]
      : [],
};

/** Kept, printed and compared; what it does in the air nobody has written down. */
const UNSEEN = 'the rig cannot show what it does: try it in small steps';

export const response: Setting = {
  id: 'response',
  rows({ unit: { traits, settings } }) {
    if (!traits.extras.includes('response')) return [];
    const { character, stop } = settings.response ?? { character: 3, stop: 3 };
    const row = (field: 'character' | 'stop', name: string, value: number) =>
      numberRow(
        {
          id: `response ${field}`,
          about: 'Response',
          name,
          how: field === 'stop' ? UNSEEN : undefined,
          path: inSettings('response', field).path,
          write: (to, v) =>
            void (to.response = { character, stop, ...to.response, [field]: v as number }),
        },
        value,
        '',
      );
    return [
      row('character', 'soft to hard', character),
      row('stop', 'how hard it stops after a stick movement', stop),
    ];
  },
};

export const speedGain: Setting = {
  id: 'speed-gain',
  rows({ unit: { traits, settings } }) {
    if (!traits.extras.includes('speed-gain')) return [];
    const now = settings.speedGain ?? { fromMps: 20, lessPct: 0 };
    const row = (field: keyof typeof now, name: string, unit: string) =>
      numberRow(
        {
          id: `speed-gain ${field}`,
          about: 'Gain and speed',
          name,
          how: field === 'lessPct' ? UNSEEN : undefined,
          path: inSettings('speedGain', field).path,
          write: (to, v) => void (to.speedGain = { ...now, ...to.speedGain, [field]: v as number }),
        },
        now[field],
        unit,
      );
    return [
      row('fromMps', 'falls with speed from', ' m/s'),
      row('lessPct', 'less at twice that speed by', ' %'),
    ];
  },
};

export const banks: Setting = {
  id: 'banks',
  rows({ unit: { traits, settings } }) {
    if (traits.stabilizedOutputs !== 'two-banks') return [];
    const all = [...new Set(traits.ports.flatMap((p) => (p.bank ? [p.bank] : [])))].toSorted();
    const on = settings.banks ?? all;
    return all.map((bank) =>
      flagRow(
        {
          id: `banks ${bank}`,
          about: `Bank ${bank}`,
          name: 'outputs',
          path: '/unit/settings/banks',
          write(to, value) {
            const others = (to.banks ?? all).filter((b) => b !== bank);
            to.banks = (value ? [...others, bank] : others).toSorted();
          },
        },
        on.includes(bank),
        'steadied',
        'passed through',
      ),
    );
  },
};

const levels = ({ unit }: Setup) =>
  unit.traits.modes.includes('level') || unit.traits.modes.includes('home');

export const levelling: Setting = {
  id: 'levelling',
  rows: (setup) =>
    levels(setup) && setup.unit.traits.extras.includes('roll-through')
      ? [
          choiceRow(
            { id: 'levelling', about: '', name: 'levelling', ...inSettings('levelKind') },
            setup.unit.settings.levelKind ?? 'limits',
            [
              ['limits', 'limits the angle'],
              ['rolls-through', 'rolls through at full stick'],
            ],
          ),
        ]
      : [],
};

export const limits: Setting = {
  id: 'limits',
  rows(setup) {
    const { traits, settings } = setup.unit;
    if (!levels(setup) && !traits.modes.includes('trainer')) return [];
    const row = (field: keyof typeof settings.angleLimitsDeg, name: string) =>
      numberRow(
        {
          id: `limits ${field}`,
          about: 'Angle limits',
          name,
          ...inSettings('angleLimitsDeg', field),
        },
        settings.angleLimitsDeg[field],
        '°',
      );
    return [row('roll', 'roll'), row('pitchUp', 'nose up'), row('pitchDown', 'nose down')];
  },
};

export const levelOffset: Setting = {
  id: 'level-offset',
  rows(setup) {
    if (!levels(setup)) return [];
    const { levelOffsetDeg } = setup.unit.settings;
    const row = (axis: 'roll' | 'pitch', name: string) =>
      numberRow(
        {
          id: `level-offset ${axis}`,
          about: 'Level',
          name,
          how:
            meansOf(setup.unit) === 'menu'
              ? undefined
              : 'set by the attitude it is taught level in',
          ...inSettings('levelOffsetDeg', axis),
        },
        levelOffsetDeg[axis],
        '°',
        0.5,
      );
    return [
      row('roll', 'offset in roll, right wing down'),
      row('pitch', 'offset in pitch, nose up'),
    ];
  },
};

export const pitchWithPower: Setting = {
  id: 'pitch-with-power',
  rows({ unit: { traits, settings } }) {
    if (!traits.extras.includes('pitch-with-throttle')) return [];
    const own = settings.pitchWithThrottle;
    const row = (field: keyof NonNullable<typeof own>, name: string, unit: string) =>
      numberRow(
        {
          id: `pitch-with-power ${field}`,
          about: 'Pitch with power',
          name,
          path: inSettings('pitchWithThrottle', field).path,
          write: (to, v) =>
            void (to.pitchWithThrottle = {
              ...PITCH_WITH_POWER,
              ...to.pitchWithThrottle,
              [field]: v as number,
            }),
        },
        own![field],
        unit,
        unit === '°' ? 0.5 : 1,
      );
    return [
      flagRow(
        {
          id: 'pitch-with-power',
          about: 'Pitch with power',
          name: 'is',
          path: '/unit/settings/pitchWithThrottle',
          write(to, value) {
            if (value) to.pitchWithThrottle ??= { ...PITCH_WITH_POWER };
            else delete to.pitchWithThrottle;
          },
        },
        own !== undefined,
        'on',
        'off',
      ),
      ...(own
        ? [
            row('aboveThrottlePct', 'nose rises above throttle', ' %'),
            row('fullThrottlePitchDeg', 'at full throttle, nose up', '°'),
            row('belowThrottlePct', 'nose falls below throttle', ' %'),
            row('idlePitchDeg', 'at idle, nose up', '°'),
          ]
        : []),
    ];
  },
};

/** Figures to begin with. Common practice, no source. */
const PITCH_WITH_POWER = {
  aboveThrottlePct: 51,
  fullThrottlePitchDeg: 15,
  belowThrottlePct: 30,
  idlePitchDeg: -2,
};

const modeOptions = (modes: readonly Mode[]) => modes.map((m) => [m, MODE_WORDS[m]] as const);

export const modes: Setting = {
  id: 'modes',
  rows: ({ unit: { traits, settings } }) =>
    traits.slotsSettable && traits.modeSelect.by !== 'fixed'
      ? settings.slots.map((mode, slot) =>
          choiceRow(
            {
              id: `modes ${slot}`,
              about: `Position ${slot + 1}`,
              name: 'mode',
              ...inSettings('slots', slot),
            },
            mode,
            modeOptions(traits.modes),
          ),
        )
      : [],
};

export const recovery: Setting = {
  id: 'recovery',
  rows({ unit: { traits, settings } }) {
    const own = settings.recovery;
    const heard = settings.inputs.some((i) => i.carries === 'recovery');
    if (!own || !heard || traits.panic === 'none' || traits.panic === 'mode-band') return [];
    const write = (field: keyof typeof own) => ({
      path: inSettings('recovery', field).path,
      write: (to: typeof settings, v: unknown) =>
        void (to.recovery = { ...own, ...to.recovery, [field]: v } as typeof own),
    });
    const row = (field: keyof typeof own, name: string, unit: string) =>
      numberRow(
        { id: `recovery ${field}`, about: 'Recovery', name, ...write(field) },
        own[field] as number,
        unit,
      );
    return [
      choiceRow(
        { id: 'recovery mode', about: 'Recovery', name: 'mode', ...write('mode') },
        own.mode,
        modeOptions(traits.modes),
      ),
      row('rollLimitDeg', 'bank at most', '°'),
      row('pitchLimitDeg', 'pitch at most', '°'),
      row('delayMs', 'after', ' ms'),
      row('thresholdUs', 'above', ' µs'),
    ];
  },
};

export const failsafe: Setting = {
  id: 'failsafe',
  rows({ unit: { traits, settings } }) {
    if (!traits.failsafe.some((f) => f === 'unit-mode' || f === 'autopilot')) return [];
    const own = settings.failsafe;
    const fresh = {
      mode: traits.modes.includes('level') ? ('level' as const) : traits.modes[0]!,
      pitchDeg: 3,
      rollDeg: 0,
      cutThrottle: true,
    };
    const write = (field: keyof typeof fresh) => ({
      path: inSettings('failsafe', field).path,
      write: (to: typeof settings, v: unknown) =>
        void (to.failsafe = { ...fresh, ...to.failsafe, [field]: v } as typeof fresh),
    });
    const about = 'Failsafe of the unit';
    return [
      flagRow(
        {
          id: 'failsafe',
          about,
          name: 'is',
          path: '/unit/settings/failsafe',
          write(to, value) {
            if (value) to.failsafe ??= { ...fresh };
            else delete to.failsafe;
          },
        },
        own !== undefined,
        'on',
        'off',
      ),
      ...(own
        ? [
            choiceRow(
              { id: 'failsafe mode', about, name: 'mode', ...write('mode') },
              own.mode,
              modeOptions(traits.modes),
            ),
            numberRow(
              { id: 'failsafe pitch', about, name: 'nose up', ...write('pitchDeg') },
              own.pitchDeg,
              '°',
              0.5,
            ),
            numberRow(
              { id: 'failsafe roll', about, name: 'bank to the right', ...write('rollDeg') },
              own.rollDeg,
              '°',
            ),
            flagRow(
              { id: 'failsafe throttle', about, name: 'throttle', ...write('cutThrottle') },
              own.cutThrottle,
              'off',
              'left alone',
            ),
          ]
        : []),
    ];
  },
};

/** Whether any axis has hold at all: what some settings are about. */
export const canHold = ({ unit }: Setup): boolean =>
  unit.traits.modes.includes('hold') || unit.traits.modes.includes('hover');
