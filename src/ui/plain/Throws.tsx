'use client';

import { useMemo } from 'react';
import { allThrowsOf } from '@/core/chain';
import { useModel } from '../open/modelStore';
import { SurfaceThrow } from './SurfaceThrow';
import { Section } from '../parts/Section';

/** Every surface as a drawing with its ends. */
export function Throws() {
  const setup = useModel((s) => s.setup);
  const throws = useMemo(() => allThrowsOf(setup), [setup]);
  return (
    <Section title="Throws" className="">
      <p className="text-soft text-sm">
        Pull an end, or type what you want to measure there: its endpoint is worked out.
      </p>
      <ul className="mt-2 grid gap-3 @md:grid-cols-2 @4xl:grid-cols-3">
        {setup.airframe.surfaces.map((surface) => (
          <SurfaceThrow
            key={surface.id}
            surface={surface}
            rows={throws.filter((t) => t.surface === surface.id)}
          />
        ))}
      </ul>
    </Section>
  );
}
