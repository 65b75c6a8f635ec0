'use client';

import { difference } from '@/core/patch';
import { groundOf, withGround, type GroundKey } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { prefixed } from '../open/prefixed';

/** What a test has shown of the unit, to be counted as seen; nothing where it is not only assumed. */
export function MarkSeen({ of, words }: { of: GroundKey; words: string }) {
  const unit = useModel((s) => s.setup.unit);
  const edit = useModel((s) => s.edit);
  if (groundOf(unit, of) !== 'assumed') return null;
  return (
    <p className="card flex flex-wrap items-center gap-3">
      <span className="min-w-60 flex-1">{words}</span>
      <button
        type="button"
        className="btn"
        onClick={() =>
          edit(
            prefixed('/unit', difference(unit, withGround(unit, [of], 'seen'))),
            'Unit: seen in a test on the bench',
          )
        }
      >
        Count it as seen on the unit
      </button>
    </p>
  );
}
