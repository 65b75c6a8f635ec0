'use client';

import dynamic from 'next/dynamic';
import { useEffect, type ComponentType } from 'react';
import type { StationId } from '@/core/procedure';
import { loadReader } from '../open/reading';
import { LOADERS } from './stations';

/** A station that is loaded by itself, and says when what is typed and clicked on it is heard. */
const station = (load: () => Promise<ComponentType>) =>
  dynamic(async () => {
    // What is changed on it must be read before it is shown.
    const [Named] = await Promise.all([load(), loadReader()]);
    return function Loaded() {
      useEffect(() => {
        // Before, the page is only the picture the server sent.
        document.documentElement.dataset.live = 'yes';
      }, []);
      return <Named />;
    };
  });

const STATIONS = Object.fromEntries(
  Object.entries(LOADERS).map(([id, load]) => [id, station(load)]),
) as Record<StationId, ComponentType>;

/** The station of this page. */
export function Station({ id }: { id: StationId }) {
  const Named = STATIONS[id];
  return <Named />;
}
