'use client';

import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { Transmitter } from '@/core/setup';
import { freeId } from '../fields/Rows';
import { Refused } from '../fields/useAttempt';
import type { ChangeTransmitter } from './change';
import { ControlRow } from './ControlRow';
import { MenuWords } from './MenuWords';
import { Traits } from './Traits';
import { TransmitterFace } from './TransmitterFace';

/** The transmitter by its traits, and every control a hand finds on it. */
export function TransmitterEditor({
  transmitter,
  change,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
}) {
  const [refused, setRefused] = useState('');
  const attempt = (reason: string | undefined) => setRefused(reason ?? '');
  const add = () => {
    const id = freeId('control-', transmitter.controls);
    const label = `Switch ${id.slice('control-'.length)}`;
    const value = { id, label, kind: 'switch-2', rest: -100 };
    attempt(change([{ op: 'add', path: '/controls/-', value }], 'A control added')[0]?.reason);
  };
  return (
    <div className="grid gap-4 @4xl:grid-cols-[22rem_1fr]">
      <Traits transmitter={transmitter} change={change} onRefused={attempt} />
      <div className="flex min-w-0 flex-col gap-4">
        <TransmitterFace transmitter={transmitter} change={change} />
        <MenuWords transmitter={transmitter} change={change} />
        <section className="card" aria-labelledby="controls-title">
          <div className="flex items-center justify-between gap-2">
            <h2 id="controls-title" className="text-lg font-bold">
              Controls on it
            </h2>
            <button type="button" className="btn" onClick={add}>
              <Plus size={18} aria-hidden />
              Add a control
            </button>
          </div>
          <Refused reason={refused} />
          <ul className="mt-2 flex flex-col divide-y divide-(--card-edge)">
            {transmitter.controls.map((c, i) => (
              <ControlRow
                key={c.id}
                transmitter={transmitter}
                at={i}
                change={change}
                onRefused={attempt}
              />
            ))}
          </ul>
        </section>
      </div>
    </div>
  );
}
