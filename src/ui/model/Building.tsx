'use client';

import { FlipHorizontal2, Plus, Trash2 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { mirroredPart, newPartsFor, withoutPart, withPart, type Changed } from '@/core/model';
import { capital } from '@/core/setup';
import { Refusals, useRefit } from '../open/useRefit';
import { useModel } from '../open/modelStore';
import { useState } from 'react';

/** Changes what the model is built of, planned through to servos, channels and plugs; keeps why it was refused. */
export function useBuild() {
  const { take, refused } = useRefit();
  const [senseless, setSenseless] = useState<string>();
  const build = (changed: Changed, label: string): boolean => {
    setSenseless(changed.ok ? undefined : changed.reason);
    return changed.ok && take({ airframe: changed.airframe }, label.slice(0, 80));
  };
  return { build, reasons: senseless === undefined ? refused : [senseless] };
}

/** A menu of the parts that may be added; each comes with a servo and a plug. */
export function AddPart({ onAdded }: { onAdded: (ids: readonly string[]) => void }) {
  const airframe = useModel((s) => s.setup.airframe);
  const { build, reasons } = useBuild();
  const parts = newPartsFor(airframe);
  if (parts.length === 0) return null;
  const add = (id: string, words: string) => {
    const changed = withPart(airframe, id);
    if (!build(changed, `Added ${words}`) || !changed.ok) return;
    const before = new Set([...airframe.surfaces, ...airframe.motors].map((p) => p.id));
    const { surfaces, motors } = changed.airframe;
    onAdded([...surfaces, ...motors].map((p) => p.id).filter((own) => !before.has(own)));
  };
  return (
    <div className="flex flex-col gap-1">
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="btn self-start">
          <Plus size={18} aria-hidden /> Add a part
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="start" className="card z-40 min-w-52 p-1">
            {parts.map(({ id, words }) => (
              <DropdownMenu.Item
                key={id}
                className="flex min-h-11 cursor-pointer items-center rounded px-3 outline-none data-[highlighted]:bg-(--shade)"
                onSelect={() => add(id, words)}
              >
                {capital(words)}
              </DropdownMenu.Item>
            ))}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <Refusals reasons={reasons} />
    </div>
  );
}

/** What can be done with one part as a whole: its image on the other side, or off with it. */
export function PartButtons({ id, label }: { id: string; label: string }) {
  const airframe = useModel((s) => s.setup.airframe);
  const { build, reasons } = useBuild();
  return (
    <div className="flex flex-col gap-1">
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn"
          onClick={() => build(mirroredPart(airframe, id), `${label} mirrored`)}
        >
          <FlipHorizontal2 size={18} aria-hidden /> Mirror {label.toLowerCase()}
        </button>
        <button
          type="button"
          className="btn"
          onClick={() => build(withoutPart(airframe, id), `${label} removed`)}
        >
          <Trash2 size={18} aria-hidden /> Remove {label.toLowerCase()}
        </button>
      </div>
      <Refusals reasons={reasons} />
    </div>
  );
}
