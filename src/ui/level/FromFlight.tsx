'use client';

import { useMemo, useState } from 'react';
import { bankOfDrift, pitchLowBy } from '@/core/level';
import { flies, type Drift, type LevelOff } from '@/core/motion';
import { measureTaken, type Setup } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { DRAWS, useLevelOff } from '../fly/useFlights';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

const half = (deg: number) => Math.round(deg * 2) / 2;

/** "It sinks", "it drifts": what that says about the capture. */
export function FromFlight() {
  const setup = useModel((s) => s.setup);
  const { measures } = setup.airframe;
  const { levelOffsetDeg } = setup.unit.settings;
  const [speed, setSpeed] = useState(measures.cruiseMps);
  const [sink, setSink] = useState(0);
  const [turn, setTurn] = useState(0);
  return (
    <Section title="From what it did in the air" className="card flex flex-col gap-3">
      <div className="grid grid-cols-3 items-end gap-2">
        <NumberField label="at" unit="m/s" min={2} max={120} value={speed} onCommit={setSpeed} />
        <NumberField
          label="sinks by"
          unit="m/s"
          min={-10}
          max={10}
          step={0.1}
          value={sink}
          onCommit={setSink}
        />
        <NumberField
          label="turns right by"
          unit="°/s"
          min={-40}
          max={40}
          step={0.5}
          value={turn}
          onCommit={setTurn}
        />
      </div>
      {sink !== 0 && <Sinks setup={setup} sinkMps={sink} speedMps={speed} put={() => setSink(0)} />}
      {turn !== 0 && (
        <Turns setup={setup} turnDegPerS={turn} speedMps={speed} put={() => setTurn(0)} />
      )}
      {sink === 0 && turn === 0 && (
        <p className="text-soft">
          Type what you saw with the sticks released: by how much it sank or turned. Level offset
          now: roll {levelOffsetDeg.roll}°, pitch {levelOffsetDeg.pitch}°.
        </p>
      )}
    </Section>
  );
}

/**
 * By how much level is off where a model drifts so: with which capture its own motion is the one that was seen. Where
 * it cannot be flown, what the path alone says, which is the least it can be.
 */
function useOff(setup: Setup, drift: Drift, byPathDeg: number) {
  const found = useLevelOff(setup, flies(setup) ? drift : undefined);
  const done = !flies(setup) || (found?.done ?? false);
  return { off: found?.so, done, usualDeg: half(found?.so?.usualDeg ?? byPathDeg) };
}

/** "2.4° to 5.1°", once it has been flown. */
function Range({ off, done }: { off: LevelOff | undefined; done: boolean }) {
  const [least, most] = off
    ? [Math.abs(off.leastDeg), Math.abs(off.mostDeg)].toSorted((a, b) => a - b)
    : [0, 0];
  return (
    <p className="text-soft text-sm" aria-live="polite">
      {off
        ? `Your model flown with other captures until it does the same: ${least!.toFixed(1)}° to ${most!.toFixed(1)}°, over ${off.draws} models it may be${done ? '' : ` of ${DRAWS}: still flying`}.`
        : done
          ? 'By its path alone, which is the least it can be: its own motion does not say more.'
          : 'Flying it with other captures …'}
    </p>
  );
}

/** What was seen, what it says of the capture, and the one press that puts it right. */
function Correction({
  off,
  done,
  label,
  onPut,
  children,
}: {
  off: LevelOff | undefined;
  done: boolean;
  label: string;
  onPut: () => void;
  children: React.ReactNode;
}) {
  return (
    <div>
      <p>{children}</p>
      <Range off={off} done={done} />
      <button type="button" className="btn mt-1" disabled={!done} onClick={onPut}>
        {label}
      </button>
    </div>
  );
}

interface Seen {
  setup: Setup;
  speedMps: number;
  /** It is put right: what was typed is done with. */
  put: () => void;
}

function Sinks({ setup, sinkMps, speedMps, put }: Seen & { sinkMps: number }) {
  const edit = useModel((s) => s.edit);
  const drift = useMemo<Drift>(() => ({ axis: 'pitch', sinkMps, speedMps }), [sinkMps, speedMps]);
  const { off, done, usualDeg } = useOff(setup, drift, -pitchLowBy(sinkMps, speedMps));
  const low = -usualDeg;
  const value = setup.airframe.measures.flyingPitchDeg + low;
  const onPut = () => {
    const problems = edit(
      measureTaken(setup.airframe, 'flyingPitchDeg', value),
      `Flies nose up by ${value}°, from its sink`,
    );
    if (problems.length === 0) put();
  };
  return (
    <Correction
      off={off}
      done={done}
      label={`It flies ${value.toFixed(1)}° nose up: recalculate the block`}
      onPut={onPut}
    >
      In self-levelling it {sinkMps > 0 ? 'sinks' : 'climbs'}: level was captured about{' '}
      <strong className="num">{Math.abs(low).toFixed(1)}°</strong> too {low > 0 ? 'low' : 'high'}.
      Capture again {Math.abs(low).toFixed(1)}° {low > 0 ? 'higher' : 'lower'}.
    </Correction>
  );
}

function Turns({ setup, turnDegPerS, speedMps, put }: Seen & { turnDegPerS: number }) {
  const edit = useModel((s) => s.edit);
  const drift = useMemo<Drift>(
    () => ({ axis: 'roll', turnDegPerS, speedMps }),
    [turnDegPerS, speedMps],
  );
  const bank = bankOfDrift(turnDegPerS, speedMps);
  const { off, done, usualDeg } = useOff(setup, drift, bank);
  const value = setup.unit.settings.levelOffsetDeg.roll - usualDeg;
  const onPut = () => {
    const problems = edit(
      [{ op: 'replace', path: '/unit/settings/levelOffsetDeg/roll', value }],
      `Level offset in roll ${value}°`,
    );
    if (problems.length === 0) put();
  };
  return (
    <Correction
      off={off}
      done={done}
      label={`Set the level offset in roll to ${value.toFixed(1)}°`}
      onPut={onPut}
    >
      Turning {Math.abs(turnDegPerS)}°/s {turnDegPerS > 0 ? 'right' : 'left'} is a bank of about{' '}
      <strong className="num">{Math.abs(bank).toFixed(1)}°</strong>: what it takes for level is
      about <strong className="num">{Math.abs(usualDeg).toFixed(1)}°</strong> off.
    </Correction>
  );
}
