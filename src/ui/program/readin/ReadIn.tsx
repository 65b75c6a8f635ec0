'use client';

import { useState } from 'react';
import { READ_IN_BEGUN, lastReadingBack, rowsRead, type ReadInSession } from '@/core/asking';
import { takenIn } from '@/core/infer';
import { useDraft } from '../../open/useDraft';
import { useModel } from '../../open/modelStore';
import { Found } from './Found';
import { ReadRows } from './ReadRows';
import { Row } from './Row';
import { useReadIn } from './useReadIn';

/** A transmitter that is already programmed: what its monitor shows, row by row, until its program is known. */
export default function ReadIn() {
  const setup = useModel((s) => s.setup);
  const id = useModel((s) => s.id);
  const edit = useModel((s) => s.edit);
  const [session, setSession, forget] = useDraft<ReadInSession>(`reading-in ${id}`, READ_IN_BEGUN);
  const { readings, enough } = session;
  const [refused, setRefused] = useState<string>();
  const state = useReadIn(setup.transmitter, readings, enough);
  const rows = state?.asking.rows ?? [];
  return (
    <div className="flex flex-col gap-3">
      <p className="text-soft text-sm">
        Put the controls of your transmitter as each row says, and type what its channel monitor
        shows. What happens only with time (a switch held for a second, a latch) shows in no
        reading: add it by hand afterwards.
      </p>
      {state === undefined && <p role="status">Working out the next row …</p>}
      {state && !state.found && rows.length > 0 && (
        <Row
          key={readings.length}
          setup={setup}
          asking={state.asking}
          before={readings.at(-1)?.controls ?? {}}
          number={readings.length + 1}
          onRead={(read) => setSession(rowsRead(session, read))}
        />
      )}
      <p className="flex flex-wrap gap-2">
        {readings.length > 0 && (
          <button
            type="button"
            className="btn px-3 text-sm"
            onClick={() => setSession(lastReadingBack(session))}
          >
            Take the last reading back
          </button>
        )}
        {readings.length > 0 && rows.length > 0 && !enough && (
          <button
            type="button"
            className="btn px-3 text-sm"
            onClick={() => setSession({ ...session, enough: true })}
          >
            Stop here: show what is known
          </button>
        )}
        {enough && rows.length > 0 && (
          <button
            type="button"
            className="btn px-3 text-sm"
            onClick={() => setSession({ ...session, enough: false })}
          >
            Read on
          </button>
        )}
      </p>
      {state?.found && (
        <Found
          setup={setup}
          found={state.found}
          onTake={() => {
            const [problem] = edit(
              takenIn(setup, state.found!.channels),
              'Read off the transmitter',
            );
            setRefused(problem?.reason);
            if (!problem) forget();
          }}
        />
      )}
      {refused && (
        <p role="alert" className="text-stop font-semibold">
          Not imported: {refused}
        </p>
      )}
      <ReadRows setup={setup} readings={readings} />
    </div>
  );
}
