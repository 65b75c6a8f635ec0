import { modeWords } from '../chain';
import type { Axis, Setup } from '../setup';
import { flagRow, numberRow, onAxis } from './lens';
import { AXIS_NAMES, axesOf, dialWords, howTurned, meansOf } from './means';
import type { Row, Setting } from './setting';
import { canHold } from './modes';

/*
 * Settings of each axis.
 */

type Given = Omit<Row, 'setting'>;

const forEachAxis = (setup: Setup, rows: (axis: Axis) => Given[]): Given[] =>
  axesOf(setup).flatMap(rows);

/** A new unit corrects one way or the other: by what it was copied from, or by what stands for normal. */
const isAsShipped = ({ unit: { shipped, settings } }: Setup, axis: Axis): boolean =>
  settings.axes[axis].reversed === (shipped?.axes[axis].reversed ?? false);

export const direction: Setting = {
  id: 'direction',
  rows(setup) {
    const { correctionDirection: by } = setup.unit.traits;
    if (by === 'learned' || by === 'none') return [];
    return forEachAxis(setup, (axis) => [
      flagRow(
        {
          id: `direction ${axis}`,
          about: AXIS_NAMES[axis],
          name: 'correction',
          how:
            by === 'dial-side'
              ? dialWords(setup.unit, axis)
              : meansOf(setup.unit) === 'menu'
                ? undefined
                : howTurned(setup, AXIS_NAMES[axis].toLowerCase(), isAsShipped(setup, axis)),
          ...onAxis(axis, 'reversed'),
        },
        setup.unit.settings.axes[axis].reversed,
        'reversed',
        'normal',
      ),
    ]);
  },
};

/** The axes have gains of their own, in a menu or on dials. */
const hasAxisGains = ({ unit: { traits } }: Setup) =>
  traits.gainKept !== 'output-and-set' && (traits.axisGains || traits.dials !== 'none');

export const gain: Setting = {
  id: 'gain',
  rows: (setup) =>
    hasAxisGains(setup)
      ? forEachAxis(setup, (axis) => [
          numberRow(
            {
              id: `gain ${axis}`,
              about: AXIS_NAMES[axis],
              name: 'gain',
              how: dialWords(setup.unit, axis),
              ...onAxis(axis, 'gainPct'),
            },
            setup.unit.settings.axes[axis].gainPct,
            ' %',
          ),
        ])
      : [],
};

export const secondGain: Setting = {
  id: 'second-gain',
  rows: (setup) =>
    hasAxisGains(setup) && setup.unit.traits.gainLaw === 'sign-selects-set'
      ? forEachAxis(setup, (axis) => [
          numberRow(
            {
              id: `second-gain ${axis}`,
              about: AXIS_NAMES[axis],
              name: 'gain below centre',
              ...onAxis(axis, 'secondGainPct'),
            },
            setup.unit.settings.axes[axis].secondGainPct,
            ' %',
          ),
        ])
      : [],
};

export const modeGain: Setting = {
  id: 'mode-gain',
  rows(setup) {
    const { traits, settings } = setup.unit;
    if (traits.gainKept !== 'axis-and-mode') return [];
    const corrects = traits.modes.filter((m) => m !== 'off');
    return forEachAxis(setup, (axis) =>
      corrects.map((mode) => {
        const own = settings.axes[axis];
        return numberRow(
          {
            id: `mode-gain ${axis} ${mode}`,
            about: AXIS_NAMES[axis],
            name: `gain in ${modeWords(setup.unit, mode)}`,
            path: `/unit/settings/axes/${axis}/gainByMode/${mode}`,
            write(to, value) {
              const axes = to.axes[axis];
              to.axes[axis] = {
                ...axes,
                gainByMode: { ...axes.gainByMode, [mode]: value as number },
              };
            },
          },
          own.gainByMode?.[mode] ?? own.gainPct,
          ' %',
        );
      }),
    );
  },
};

export const fade: Setting = {
  id: 'fade',
  rows: (setup) =>
    setup.unit.traits.stickFade === 'adjustable'
      ? forEachAxis(setup, (axis) => [
          numberRow(
            {
              id: `fade ${axis}`,
              about: AXIS_NAMES[axis],
              name: 'stick fade',
              ...onAxis(axis, 'fadePct'),
            },
            setup.unit.settings.axes[axis].fadePct,
            ' %',
          ),
        ])
      : [],
};

export const hold: Setting = {
  id: 'hold',
  rows: (setup) =>
    canHold(setup)
      ? forEachAxis(setup, (axis) => [
          flagRow(
            {
              id: `hold ${axis}`,
              about: AXIS_NAMES[axis],
              name: 'hold',
              ...onAxis(axis, 'holdAllowed'),
            },
            setup.unit.settings.axes[axis].holdAllowed,
            'on',
            'off',
          ),
        ])
      : [],
};
