'use client';

import { Link } from '../parts/Link';
import { difference } from '@/core/patch';
import { facetsOf, openFacets, withoutLeaflet } from '@/core/possible';
import type { Setup } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { FitPart } from '../fitting/FitPart';
import { prefixed } from '../open/prefixed';
import { Fold } from '../parts/Fold';
import { UnitEditor } from './UnitEditor';
import { UnitGuideCard } from './UnitGuideCard';

/** A unit of which nobody has said what it does: what the description says is then only assumed. */
function NoLeaflet({ setup }: { setup: Setup }) {
  const id = useModel((s) => s.id);
  const edit = useModel((s) => s.edit);
  const open = openFacets(setup).length;
  const all = facetsOf(setup);
  return (
    <p className="card flex flex-wrap items-center gap-3">
      <span className="min-w-60 flex-1">
        {open === 0
          ? 'Second-hand, or no leaflet? Take this description for a guess, and ask the unit itself on the bench.'
          : `${open} of ${all.length} facts about this unit are only assumed. Ask it once it is powered and safe.`}
      </span>
      {open === 0 ? (
        <button
          type="button"
          className="btn"
          onClick={() =>
            edit(difference(setup, withoutLeaflet(setup)), 'Unit without a leaflet: only assumed')
          }
        >
          I have no leaflet
        </button>
      ) : (
        <Link className="btn" href={`/models/${id}/ask`}>
          Ask the unit
        </Link>
      )}
    </p>
  );
}

/** What kind of unit it is, by its traits. */
export function UnitStation() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  return (
    <div className="flex flex-col gap-4">
      <FitPart kind="unit" />
      <NoLeaflet setup={setup} />
      <UnitGuideCard unit={setup.unit} />
      <Fold className="card" title="Yours differs? Describe it as it is">
        <p className="text-soft mb-3 text-sm">
          Answer from your leaflet and your unit; the rig follows at once.
        </p>
        <UnitEditor
          unit={setup.unit}
          change={(patch, label) => edit(prefixed('/unit', patch), label)}
        />
      </Fold>
    </div>
  );
}
