'use client';

import { useModel } from '../open/modelStore';
import { FitPart } from '../fitting/FitPart';
import { prefixed } from '../open/prefixed';
import { Fold } from '../parts/Fold';
import { UnitEditor } from './UnitEditor';
import { UnitGuideCard } from './UnitGuideCard';

/** What kind of unit it is, by its traits. */
export function UnitStation() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  return (
    <div className="flex flex-col gap-4">
      <FitPart kind="unit" />
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
