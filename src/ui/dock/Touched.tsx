'use client';

import { Link } from '../parts/Link';
import { useMemo } from 'react';
import { tagsOf, tagWords } from '@/core/controls';
import { channelsReaching } from '@/core/logbook';
import type { Setup } from '@/core/setup';
import { stationTitle, surfacesAt } from '@/core/procedure';
import { leadsOf } from '@/core/wiring';
import { useModel } from '../open/modelStore';
import { useRig } from '../live/rigStore';

/** What governs the thing that was touched last, with the way there. */
export function Touched() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const control = useRig((s) => s.touched?.controls?.[0]);
  const surface = useRig((s) => s.touched?.surfaces?.[0]);
  const words = useMemo(
    () =>
      control
        ? wordsOfControl(setup, control)
        : surface
          ? wordsOfSurface(setup, surface)
          : undefined,
    [setup, control, surface],
  );
  if (!words) return null;
  const to = control
    ? ([['program', 'Program']] as const)
    : ['plan' as const, surfacesAt(setup)].map(
        (place) => [place, stationTitle(place, setup)] as const,
      );
  return (
    <p className="border-accent mb-1 border-l-4 pl-2 text-sm" aria-live="polite">
      {words}.{' '}
      {to.map(([place, title]) => (
        <Link key={place} className="mr-2 font-semibold underline" href={`/models/${id}/${place}`}>
          {title}
        </Link>
      ))}
    </p>
  );
}

function wordsOfControl(setup: Setup, id: string): string | undefined {
  const tag = tagsOf(setup).find((t) => t.control.id === id);
  return tag && tagWords(tag);
}

/** "Left aileron: channel 1, left aileron servo on Port 1" */
function wordsOfSurface(setup: Setup, id: string): string | undefined {
  const surface = setup.airframe.surfaces.find((s) => s.id === id);
  if (!surface) return undefined;
  const channels = channelsReaching(setup, id);
  const servo = setup.airframe.servos.find((s) => s.id === surface.servo);
  const lead = leadsOf(setup).find((l) => servo && l.ends.includes(servo.label));
  return `${surface.label}: ${
    channels.length === 0
      ? 'no channel reaches it'
      : `channel${channels.length > 1 ? 's' : ''} ${channels.join(' and ')}`
  }${lead ? `, ${lead.portLabel}` : ', not plugged in'}`;
}
