import { ENTRY_STYLES, handsOn, type Transmitter } from '@/core/setup';
import { STYLES } from '@/core/sheets';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import { Select } from '../parts/Select';
import { LinkEditor } from './LinkEditor';
import type { ChangeTransmitter } from './change';

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

/** What the transmitter is: its style, link, pulses, hands. */
export function Traits({
  transmitter,
  change,
  onRefused,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
  /** Told why a choice was refused; nothing where it was taken. */
  onRefused: (reason: string | undefined) => void;
}) {
  const set = (path: string, value: unknown, label: string) =>
    change([{ op: 'replace', path, value }], label)[0]?.reason;
  const put = (path: string, value: unknown, label: string) =>
    onRefused(change([{ op: 'add', path, value }], label)[0]?.reason);
  return (
    <section className="card flex flex-col gap-3 self-start" aria-label="Traits">
      <TextField
        label="Name"
        value={transmitter.name}
        onCommit={(v) => set('/name', v, 'Transmitter renamed')}
      />
      <OneOf
        label="It is programmed by"
        value={transmitter.style}
        options={ENTRY_STYLES.map((id) => [id, STYLES[id].describes])}
        onChange={(v) => onRefused(set('/style', v, 'Style of entry'))}
      />
      <OneOf
        label="Link"
        value={transmitter.link}
        options={transmitter.linkVariants.map((v) => [v.id, v.label])}
        onChange={(v) => onRefused(set('/link', v, 'Link chosen'))}
      />
      <Pulses transmitter={transmitter} set={set} />
      <Entering transmitter={transmitter} put={put} />
      <LinkEditor transmitter={transmitter} change={change} />
      <p className="text-soft text-sm">{transmitter.description}</p>
    </section>
  );
}

/** How many channels, how often, and what 100 % is. */
function Pulses({
  transmitter: { channels, frameMs, pulse },
  set,
}: {
  transmitter: Transmitter;
  set: (path: string, value: unknown, label: string) => string | undefined;
}) {
  return (
    <div className="grid grid-cols-2 items-end gap-2">
      <NumberField
        label="channels"
        unit=""
        at="/transmitter/channels"
        value={channels}
        onCommit={(v) => set('/channels', v, `${v} channels`)}
      />
      <NumberField
        label="frame"
        unit="ms"
        at="/transmitter/frameMs"
        value={frameMs}
        onCommit={(v) => set('/frameMs', v, `Frame ${v} ms`)}
      />
      <NumberField
        label="centre"
        unit="µs"
        at="/transmitter/pulse/centreUs"
        value={pulse.centreUs}
        onCommit={(v) => set('/pulse/centreUs', v, `Centre ${v} µs`)}
      />
      <NumberField
        label="100 % is ±"
        unit="µs"
        at="/transmitter/pulse/usAt100"
        value={pulse.usAt100}
        onCommit={(v) => set('/pulse/usAt100', v, `100 % is ${v} µs`)}
      />
    </div>
  );
}

/** What is in the hands, in what steps percent is entered, what a switch channel can do. */
function Entering({
  transmitter,
  put,
}: {
  transmitter: Transmitter;
  put: (path: string, value: unknown, label: string) => void;
}) {
  return (
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
      {handsOn(transmitter) === 'sticks' && (
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
            label="and with the signal lost can"
            value={transmitter.switchOnlyLost ?? 'preset'}
            options={[
              ['preset', 'go to a value'],
              ['hold', 'hold the last one only'],
            ]}
            onChange={(v) => put('/switchOnlyLost', v, `Switch channel, signal lost: ${v}`)}
          />
        </>
      )}
    </div>
  );
}
