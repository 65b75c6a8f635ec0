import { pointer, printed, type Axis, type ChannelFunction, type UnitSettings } from '../setup';
import type { Field, Row } from './setting';

type Output = UnitSettings['outputs'][number];
type Given = Omit<Row, 'setting'>;

const number = (value: number, unit: string) => `${printed(value)}${unit}`;

/** A number with its unit. */
export function numberRow(
  row: Pick<Given, 'id' | 'about' | 'name' | 'path' | 'write'> & { how?: string | undefined },
  value: number,
  unit: string,
  step?: number,
): Given {
  const { how, ...rest } = row;
  const field: Field = { kind: 'number', unit: unit.trim(), ...(step ? { step } : {}) };
  return { ...rest, value, words: number(value, unit), field, ...(how ? { how } : {}) };
}

/** One of several words. */
export function choiceRow<T extends string>(
  row: Pick<Given, 'id' | 'about' | 'name' | 'path' | 'write'> & { how?: string | undefined },
  value: T,
  options: readonly (readonly [T, string])[],
): Given {
  const { how, ...rest } = row;
  return {
    ...rest,
    value,
    words: options.find(([v]) => v === value)?.[1] ?? value,
    field: { kind: 'choice', options },
    ...(how ? { how } : {}),
  };
}

/** Yes or no, in the words of the setting. */
export function flagRow(
  row: Pick<Given, 'id' | 'about' | 'name' | 'path' | 'write'> & { how?: string | undefined },
  value: boolean,
  on: string,
  off: string,
): Given {
  const { how, ...rest } = row;
  return {
    ...rest,
    value,
    words: value ? on : off,
    field: { kind: 'flag', on, off },
    ...(how ? { how } : {}),
  };
}

/** A field of an axis. */
export const onAxis = (axis: Axis, field: keyof UnitSettings['axes'][Axis]) => ({
  path: pointer('unit', 'settings', 'axes', axis, field),
  write(settings: UnitSettings, value: unknown) {
    settings.axes[axis] = { ...settings.axes[axis], [field]: value };
  },
});

/** An output that nothing was set for. */
export const bareOutput = (port: string, carries: ChannelFunction): Output => ({
  port,
  carries,
  stabilized: false,
  maxGainPct: 100,
  reversed: false,
  correctionReversed: false,
});

/** A field of an output, by its plug; the output is made where there is none. */
export const onOutput = (at: number, { port, carries }: Output, ...fields: readonly string[]) => ({
  path: pointer('unit', 'settings', 'outputs', at, ...fields),
  write(settings: UnitSettings, value: unknown) {
    let output = settings.outputs.find((o) => o.port === port);
    if (!output) {
      output = bareOutput(port, carries);
      settings.outputs.push(output);
    }
    let into = output as unknown as Record<string, unknown>;
    for (const field of fields.slice(0, -1)) {
      into[field] = { ...(into[field] as object | undefined) };
      into = into[field] as Record<string, unknown>;
    }
    into[fields.at(-1)!] = value;
  },
});

/** A field of the settings themselves, or of a part of them. */
export const inSettings = (...fields: readonly (string | number)[]) => ({
  path: pointer('unit', 'settings', ...fields),
  write(settings: UnitSettings, value: unknown) {
    let into = settings as unknown as Record<string | number, unknown>;
    for (const field of fields.slice(0, -1)) {
      const part = into[field];
      into[field] = Array.isArray(part)
        ? [...(part as unknown[])]
        : { ...(part as object | undefined) };
      into = into[field] as Record<string | number, unknown>;
    }
    into[fields.at(-1)!] = value;
  },
});
