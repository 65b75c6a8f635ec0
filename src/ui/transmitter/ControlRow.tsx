import { Trash2 } from 'lucide-react';
import {
  CONTROL_KINDS,
  functionOf,
  handsOn,
  pointer,
  type ControlKind,
  type Transmitter,
} from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import { Select } from '../parts/Select';
import type { ChangeTransmitter } from './change';

export const KIND_WORDS: Record<ControlKind, string> = {
  stick: 'stick',
  'switch-2': 'switch, two positions',
  'switch-3': 'switch, three positions',
  momentary: 'momentary switch',
  knob: 'knob',
  slider: 'slider',
  trim: 'trim',
};

const STICK_HANDS = ['aileron', 'elevator', 'throttle', 'rudder', 'steering'] as const;

/** One control of a transmitter: its name, what it is, what it works, where it rests. */
export function ControlRow({
  transmitter,
  at,
  change,
  onRefused,
}: {
  transmitter: Transmitter;
  at: number;
  change: ChangeTransmitter;
  onRefused: (reason: string | undefined) => void;
}) {
  const control = transmitter.controls[at]!;
  const wheel = handsOn(transmitter) === 'wheel-and-trigger';
  const put = (field: string, value: unknown, label: string) =>
    change([{ op: 'add', path: pointer('controls', at, field), value }], label)[0]?.reason;
  return (
    <li className="grid grid-cols-[1fr_1fr] items-end gap-2 py-2 @lg:grid-cols-[1fr_13rem_8rem_3rem]">
      <TextField
        label="name"
        value={control.label}
        onCommit={(v) => put('label', v, `${control.label} renamed`)}
      />
      <label className="text-sm font-semibold">
        kind
        <Select
          value={control.kind}
          onChange={(e) =>
            onRefused(put('kind', e.target.value, `${control.label}: ${e.target.value}`))
          }
        >
          {CONTROL_KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {kind === 'stick' && wheel ? 'wheel or trigger' : KIND_WORDS[kind]}
            </option>
          ))}
        </Select>
      </label>
      {(control.kind === 'stick' || control.kind === 'trim') && (
        <label className="text-sm font-semibold @lg:order-last @lg:col-start-2">
          works
          <Select
            value={control.hand ?? ''}
            onChange={(e) =>
              onRefused(put('hand', e.target.value, `${control.label} works ${e.target.value}`))
            }
          >
            {!control.hand && <option value="">nothing yet</option>}
            {STICK_HANDS.filter((f) => !wheel || !functionOf(f).flies).map((f) => (
              <option key={f} value={f}>
                {functionOf(f).words}
              </option>
            ))}
          </Select>
        </label>
      )}
      <NumberField
        label="rests at"
        unit="%"
        at="/transmitter/controls/0/rest"
        step={50}
        value={control.rest}
        onCommit={(v) => put('rest', v, `${control.label} rests at ${v} %`)}
      />
      <button
        type="button"
        className="btn px-0"
        aria-label={`Remove ${control.label}`}
        onClick={() =>
          onRefused(
            change([{ op: 'remove', path: pointer('controls', at) }], `${control.label} removed`)[0]
              ?.reason,
          )
        }
      >
        <Trash2 size={18} aria-hidden />
      </button>
    </li>
  );
}
