import type { Airframe } from '@/core/setup';
import { Silhouette } from '../drawing/Silhouette';

/** The model as it would stand on the bench. */
export function Preview({ airframe }: { airframe: Airframe }) {
  return (
    <aside
      className="card flex flex-col gap-2 self-start lg:sticky lg:top-4"
      aria-label="What you get"
    >
      <Silhouette airframe={airframe} className="h-52 w-full" />
      <p className="text-soft text-sm">
        {airframe.surfaces.map((s) => s.label.toLowerCase()).join(', ')}; {airframe.servos.length}{' '}
        {airframe.servos.length === 1 ? 'servo' : 'servos'}. The rest starts from usual values; you
        can change everything later.
      </p>
    </aside>
  );
}
