'use client';

import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import {
  CONTROL_KINDS,
  ENTRY_STYLES,
  functionOf,
  handsOn,
  pointer,
  type ControlKind,
  type Transmitter,
} from '@/core/setup';
import { STYLES } from '@/core/sheets';
import { MenuWords } from './MenuWords';
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

const STICK_MODES = [
  ['1', '1: elevator left, throttle right'],
  ['2', '2: throttle left, elevator right'],
  ['3', '3: elevator and aileron left'],
  ['4', '4: throttle and aileron left'],
] as const;

/** One of a few words, under its label. */
function OneOf({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onChange: (value: string) => void;
}) {
  return (
    <label className="text-sm font-semibold">
      {label}
      <Select value={value} onChange={(e) => onChange(e.target.value)}>
        {options.map(([v, words]) => (
          <option key={v} value={v}>
            {words}
          </option>
        ))}
      </Select>
    </label>
  );
}

/** The transmitter by its traits, and every control a hand finds on it. */
export function TransmitterEditor({
  transmitter,
  change,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
}) {
  const [refused, setRefused] = useState('');
  const wheel = handsOn(transmitter) === 'wheel-and-trigger';
  const set = (path: string, value: unknown, label: string) =>
    change([{ op: 'replace', path, value }], label)[0]?.reason;
  const put = (path: string, value: unknown, label: string) =>
    attempt(change([{ op: 'add', path, value }], label)[0]?.reason);
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
    <div className="grid gap-4 @4xl:grid-cols-[22rem_1fr]">
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
        <div className="grid grid-cols-2 items-end gap-2">
          <OneOf
            label="in the hands"
            value={handsOn(transmitter)}
            options={[
              ['sticks', 'two sticks'],
              ['wheel-and-trigger', 'a wheel and a trigger'],
            ]}
            onChange={(v) => put('/hands', v, `In the hands: ${v}`)}
          />
          {!wheel && (
            <OneOf
              label="stick mode"
              value={String(transmitter.stickMode ?? 2)}
              options={STICK_MODES}
              onChange={(v) => put('/stickMode', Number(v), `Stick mode ${v}`)}
            />
          )}
          <OneOf
            label="percent is entered in steps of"
            value={String(transmitter.stepPct ?? 1)}
            options={[
              ['1', '1 %'],
              ['0.5', '0.5 %'],
              ['0.1', '0.1 %'],
            ]}
            onChange={(v) => put('/stepPct', Number(v), `Percent in steps of ${v}`)}
          />
          {transmitter.switchOnly.length > 0 && (
            <>
              <OneOf
                label="a channel for a switch alone has"
                value={String(transmitter.switchOnlyPositions ?? 3)}
                options={[
                  ['3', 'three positions'],
                  ['2', 'two positions'],
                ]}
                onChange={(v) =>
                  put('/switchOnlyPositions', Number(v), `Switch channel: ${v} positions`)
                }
              />
              <OneOf
                label="and with the link lost can"
                value={transmitter.switchOnlyLost ?? 'preset'}
                options={[
                  ['preset', 'go to a value'],
                  ['hold', 'hold the last one only'],
                ]}
                onChange={(v) => put('/switchOnlyLost', v, `Switch channel, link lost: ${v}`)}
              />
            </>
          )}
        </div>
        <LinkEditor transmitter={transmitter} change={change} />
        <p className="text-soft text-sm">{transmitter.description}</p>
      </section>
      <div className="flex min-w-0 flex-col gap-4">
        <TransmitterFace transmitter={transmitter} change={change} />
        <MenuWords transmitter={transmitter} change={change} />
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
                  className="grid grid-cols-[1fr_1fr] items-end gap-2 py-2 @lg:grid-cols-[1fr_13rem_8rem_3rem]"
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
                          {kind === 'stick' && wheel ? 'wheel or trigger' : KIND_WORDS[kind]}
                        </option>
                      ))}
                    </Select>
                  </label>
                  {(c.kind === 'stick' || c.kind === 'trim') && (
                    <label className="text-sm font-semibold @lg:order-last @lg:col-start-2">
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
