'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import {
  CONTROL_KINDS,
  ENTRY_STYLES,
  pointer,
  type ControlKind,
  type Transmitter,
} from '@/core/setup';
import { STYLES } from '@/core/sheets';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import type { ChangeTransmitter } from './change';
import { LinkEditor } from './LinkEditor';
import { TransmitterFace } from './TransmitterFace';
import { Select } from '../parts/Select';

const KIND_WORDS: Record<ControlKind, string> = {
  stick: 'stick',
  'switch-2': 'switch, two positions',
  'switch-3': 'switch, three positions',
  momentary: 'momentary switch',
  knob: 'knob',
  slider: 'slider',
  trim: 'trim',
};

const STICK_HANDS = ['aileron', 'elevator', 'throttle', 'rudder', 'steering'] as const;

/** The transmitter by its traits, and every control a hand finds on it. */
export function TransmitterEditor({
  transmitter,
  change,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
}) {
  const [refused, setRefused] = useState('');
  const set = (path: string, value: unknown, label: string) =>
    change([{ op: 'replace', path, value }], label)[0]?.reason;
  const attempt = (reason: string | undefined) => setRefused(reason ?? '');

  const add = () => {
    let n = 1;
    while (transmitter.controls.some((c) => c.id === `control-${n}`)) n += 1;
    attempt(
      change(
        [
          {
            op: 'add',
            path: '/controls/-',
            value: { id: `control-${n}`, label: `Switch ${n}`, kind: 'switch-2', rest: -100 },
          },
        ],
        'A control added',
      )[0]?.reason,
    );
  };

  return (
    <div className="grid gap-4 lg:grid-cols-[22rem_1fr]">
      <section className="card flex flex-col gap-3 self-start" aria-label="Traits">
        <TextField
          label="Name"
          value={transmitter.name}
          onCommit={(v) => set('/name', v, 'Transmitter renamed')}
        />
        <label className="text-sm font-semibold">
          It is programmed by
          <Select
            value={transmitter.style}
            onChange={(e) => attempt(set('/style', e.target.value, 'Style of entry'))}
          >
            {ENTRY_STYLES.map((id) => (
              <option key={id} value={id}>
                {STYLES[id].describes}
              </option>
            ))}
          </Select>
        </label>
        <label className="text-sm font-semibold">
          Link
          <Select
            value={transmitter.link}
            onChange={(e) => attempt(set('/link', e.target.value, 'Link chosen'))}
          >
            {transmitter.linkVariants.map((v) => (
              <option key={v.id} value={v.id}>
                {v.label}
              </option>
            ))}
          </Select>
        </label>
        <div className="grid grid-cols-2 items-end gap-2">
          <NumberField
            label="channels"
            unit=""
            at="/transmitter/channels"
            value={transmitter.channels}
            onCommit={(v) => set('/channels', v, `${v} channels`)}
          />
          <NumberField
            label="frame"
            unit="ms"
            at="/transmitter/frameMs"
            value={transmitter.frameMs}
            onCommit={(v) => set('/frameMs', v, `Frame ${v} ms`)}
          />
          <NumberField
            label="centre"
            unit="µs"
            at="/transmitter/pulse/centreUs"
            value={transmitter.pulse.centreUs}
            onCommit={(v) => set('/pulse/centreUs', v, `Centre ${v} µs`)}
          />
          <NumberField
            label="100 % is ±"
            unit="µs"
            at="/transmitter/pulse/usAt100"
            value={transmitter.pulse.usAt100}
            onCommit={(v) => set('/pulse/usAt100', v, `100 % is ${v} µs`)}
          />
        </div>
        <LinkEditor transmitter={transmitter} change={change} />
        <p className="text-soft text-sm">{transmitter.description}</p>
      </section>
      <div className="flex min-w-0 flex-col gap-4">
        <TransmitterFace transmitter={transmitter} change={change} />
        <section className="card" aria-labelledby="controls-title">
          <div className="flex items-center justify-between gap-2">
            <h2 id="controls-title" className="text-lg font-bold">
              What your hands find on it
            </h2>
            <button type="button" className="btn" onClick={add}>
              <Plus size={18} aria-hidden />
              Add a control
            </button>
          </div>
          {refused && (
            <p role="alert" className="text-stop mt-2">
              Not changed: {refused}.
            </p>
          )}
          <ul className="mt-2 flex flex-col divide-y divide-(--card-edge)">
            {transmitter.controls.map((c, i) => {
              const path = (field: string) => pointer('controls', i, field);
              return (
                <li
                  key={c.id}
                  className="grid grid-cols-[1fr_1fr] items-end gap-2 py-2 sm:grid-cols-[1fr_13rem_8rem_3rem]"
                >
                  <TextField
                    label="name"
                    value={c.label}
                    onCommit={(v) => set(path('label'), v, `${c.label} renamed`)}
                  />
                  <label className="text-sm font-semibold">
                    kind
                    <Select
                      value={c.kind}
                      onChange={(e) =>
                        attempt(set(path('kind'), e.target.value, `${c.label}: ${e.target.value}`))
                      }
                    >
                      {CONTROL_KINDS.map((kind) => (
                        <option key={kind} value={kind}>
                          {KIND_WORDS[kind]}
                        </option>
                      ))}
                    </Select>
                  </label>
                  {(c.kind === 'stick' || c.kind === 'trim') && (
                    <label className="text-sm font-semibold sm:order-last sm:col-start-2">
                      works
                      <Select
                        value={c.hand ?? ''}
                        onChange={(e) =>
                          attempt(
                            change(
                              [{ op: 'add', path: path('hand'), value: e.target.value }],
                              `${c.label} works ${e.target.value}`,
                            )[0]?.reason,
                          )
                        }
                      >
                        {!c.hand && <option value="">nothing yet</option>}
                        {STICK_HANDS.map((f) => (
                          <option key={f}>{f}</option>
                        ))}
                      </Select>
                    </label>
                  )}
                  <NumberField
                    label="rests at"
                    unit="%"
                    at="/transmitter/controls/0/rest"
                    step={50}
                    value={c.rest}
                    onCommit={(v) => set(path('rest'), v, `${c.label} rests at ${v} %`)}
                  />
                  <button
                    type="button"
                    className="btn px-0"
                    aria-label={`Take ${c.label} off`}
                    onClick={() =>
                      attempt(
                        change(
                          [{ op: 'remove', path: pointer('controls', i) }],
                          `${c.label} taken off`,
                        )[0]?.reason,
                      )
                    }
                  >
                    <Trash2 size={18} aria-hidden />
                  </button>
                </li>
              );
            })}
          </ul>
        </section>
      </div>
    </div>
  );
}
