import { isSteadied } from '../chain';
import {
  functionOf,
  type ChannelFunction,
  type GainSet,
  type Setup,
  type UnitSettings,
  type UnitTraits,
} from '../setup';
import { choiceRow, flagRow, numberRow, onOutput } from './lens';
import type { Row, Setting } from './setting';
import { canHold } from './modes';
import { SHIPPED_TRAVEL } from '../setup';

/*
 * Settings of each output, and which channel is taken for what.
 */

type Output = UnitSettings['outputs'][number];
type Given = Omit<Row, 'setting'>;

/** The outputs that are on the unit itself, each with its plug. */
function forEachOutput(
  { unit }: Setup,
  rows: (output: Output, at: number, about: string) => Given[],
): Given[] {
  return unit.settings.outputs.flatMap((output, at) => {
    const port = unit.traits.ports.find((p) => p.id === output.port);
    if (!port || port.on === 'receiver') return [];
    return rows(output, at, `${port.label}, ${functionOf(output.carries).words}`);
  });
}

const canSteady = ({ unit }: Setup, output: Output): boolean =>
  unit.traits.ports.find((p) => p.id === output.port)?.canStabilize === true;

export const channels: Setting = {
  id: 'channels',
  rows({ unit: { traits, settings }, transmitter }) {
    const fixed = traits.inputOrder.kind === 'fixed' ? traits.inputOrder.order : [];
    const most = Math.min(transmitter.channels, traits.inputChannels);
    const options = Array.from({ length: most }, (_, i) => [`${i + 1}`, `${i + 1}`] as const);
    const behind = traits.place === 'between' || traits.place === 'single-axis';
    return settings.inputs.flatMap(({ carries, channel }, at): Given[] => {
      if (fixed.includes(carries) || onReceiver(traits, settings, carries)) return [];
      return [
        choiceRow(
          {
            id: `channels ${carries}`,
            about: behind ? 'Leads from the receiver' : 'Channels',
            name: behind ? `${functionOf(carries).words}, from channel` : functionOf(carries).words,
            path: `/unit/settings/inputs/${at}/channel`,
            write(to, value) {
              const own = to.inputs.find((i) => i.carries === carries);
              if (own) own.channel = Number(value);
              else to.inputs.push({ carries, channel: Number(value) });
            },
          },
          String(channel),
          options,
        ),
      ];
    });
  },
};

/** What goes from the receiver in front straight to its servo is none of the unit's business. */
export const onReceiver = (
  traits: UnitTraits,
  settings: UnitSettings,
  carries: ChannelFunction,
): boolean =>
  settings.outputs.some(
    (o) => o.carries === carries && traits.ports.find((p) => p.id === o.port)?.on === 'receiver',
  );

export const outputs: Setting = {
  id: 'outputs',
  rows: (setup) =>
    forEachOutput(setup, (output, at) => {
      const port = setup.unit.traits.ports.find((p) => p.id === output.port)!;
      if (port.labelledFor === output.carries) return [];
      return [
        choiceRow(
          {
            id: `outputs ${output.port}`,
            about: 'Outputs',
            name: port.label,
            path: onOutput(at, output, 'carries').path,
            write(to, value) {
              onOutput(at, output, 'carries').write(to, value);
              // Where nobody can choose an output, whatever is plugged in is stabilized.
              const own = to.outputs.find((o) => o.port === output.port)!;
              if (setup.unit.traits.stabilizedOutputs !== 'chosen')
                own.stabilized = port.canStabilize;
            },
          },
          output.carries,
          [...new Set(setup.unit.settings.outputs.map((o) => o.carries))].map(
            (f) => [f, functionOf(f).words] as const,
          ),
        ),
      ];
    }),
};

export const steadied: Setting = {
  id: 'steadied',
  rows: (setup) =>
    setup.unit.traits.stabilizedOutputs === 'chosen'
      ? forEachOutput(setup, (output, at, about) =>
          canSteady(setup, output)
            ? [
                flagRow(
                  {
                    id: `steadied ${output.port}`,
                    about,
                    name: 'output',
                    ...onOutput(at, output, 'stabilized'),
                  },
                  output.stabilized,
                  'stabilized',
                  'passed through',
                ),
              ]
            : [],
        )
      : [],
};

export const portReversal: Setting = {
  id: 'port-reversal',
  rows: (setup) =>
    setup.unit.traits.portReverse
      ? forEachOutput(setup, (output, at, about) => [
          flagRow(
            {
              id: `port-reversal ${output.port}`,
              about,
              name: 'servo',
              ...onOutput(at, output, 'reversed'),
            },
            output.reversed,
            'reversed',
            'normal',
          ),
        ])
      : [],
};

export const outputCorrection: Setting = {
  id: 'output-correction',
  rows: (setup) =>
    setup.unit.traits.correctionDirection === 'menu' && setup.unit.traits.portReverse
      ? forEachOutput(setup, (output, at, about) =>
          isSteadied(setup, output)
            ? [
                flagRow(
                  {
                    id: `output-correction ${output.port}`,
                    about,
                    name: 'correction',
                    ...onOutput(at, output, 'correctionReversed'),
                  },
                  output.correctionReversed,
                  'reversed',
                  'normal',
                ),
              ]
            : [],
        )
      : [],
};

export const outputMaximum: Setting = {
  id: 'output-maximum',
  rows: (setup) =>
    setup.unit.traits.maxGainLimit && setup.unit.traits.gainKept !== 'output-and-set'
      ? forEachOutput(setup, (output, at, about) =>
          isSteadied(setup, output)
            ? [
                numberRow(
                  {
                    id: `output-maximum ${output.port}`,
                    about,
                    name: 'maximum gain',
                    ...onOutput(at, output, 'maxGainPct'),
                  },
                  output.maxGainPct,
                  ' %',
                ),
              ]
            : [],
        )
      : [],
};

/** What an output does on each side of the gain channel before anything is said. */
export const setsOf = (output: Output): { below: GainSet; above: GainSet } =>
  output.sets ?? {
    below: { gainPct: 100, maxGainPct: output.maxGainPct, holdAllowed: true },
    above: { gainPct: 100, maxGainPct: output.maxGainPct, holdAllowed: true },
  };

export const outputSets: Setting = {
  id: 'output-sets',
  rows(setup) {
    if (setup.unit.traits.gainKept !== 'output-and-set') return [];
    const sides = [
      ['below', 'below the middle'],
      ['above', 'above the middle'],
    ] as const;
    return forEachOutput(setup, (output, at, about) =>
      output.stabilized
        ? sides.flatMap(([side, words]) => {
            const sets = setsOf(output);
            const given = (field: keyof GainSet, name: string) => ({
              id: `output-sets ${output.port} ${side} ${field}`,
              about,
              name,
              path: onOutput(at, output, 'sets', side, field).path,
              write(to: UnitSettings, value: unknown) {
                const own = to.outputs.find((o) => o.port === output.port);
                if (!own) return;
                const now = setsOf(own);
                own.sets = { ...now, [side]: { ...now[side], [field]: value } };
              },
            });
            return [
              numberRow(given('gainPct', `gain ${words}`), sets[side].gainPct, ' %'),
              numberRow(given('maxGainPct', `maximum ${words}`), sets[side].maxGainPct, ' %'),
              ...(canHold(setup)
                ? [
                    flagRow(
                      given('holdAllowed', `hold ${words}`),
                      sets[side].holdAllowed,
                      'on',
                      'off',
                    ),
                  ]
                : []),
            ];
          })
        : [],
    );
  },
};

export const outputTravel: Setting = {
  id: 'output-travel',
  rows: (setup) =>
    setup.unit.traits.outputTravel
      ? forEachOutput(setup, (output, at, about) => {
          if (!output.stabilized && !output.travel) return [];
          const now: NonNullable<typeof output.travel> = output.travel ?? SHIPPED_TRAVEL;
          const row = (field: keyof typeof now, name: string) =>
            numberRow(
              {
                id: `output-travel ${output.port} ${field}`,
                about,
                name,
                path: onOutput(at, output, 'travel', field).path,
                write(to, value) {
                  const own = to.outputs.find((o) => o.port === output.port);
                  if (own) own.travel = { ...now, ...own.travel, [field]: value as number };
                },
              },
              now[field],
              ' %',
            );
          return [row('centrePct', 'centre'), row('minPct', 'low end'), row('maxPct', 'high end')];
        })
      : [],
};
