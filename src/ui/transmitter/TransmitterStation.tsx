'use client';

import { useModel } from '../open/modelStore';
import { FitPart } from '../fitting/FitPart';
import { prefixed } from '../open/prefixed';
import { TransmitterEditor } from './TransmitterEditor';

/** The transmitter in use with this model. */
export function TransmitterStation() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  return (
    <div className="flex flex-col gap-4">
      <FitPart kind="transmitter" />
      <TransmitterEditor
        transmitter={setup.transmitter}
        change={(patch, label) => edit(prefixed('/transmitter', patch), label)}
      />
    </div>
  );
}
