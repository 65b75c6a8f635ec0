'use client';

import { useEffect, useState } from 'react';
import type { Setup } from '@/core/setup';

const TWITCH_MS = 350;
const TWITCH_DEG = 8;

/** Plays the twitches a unit confirms with when it is powered: how many, and on which surfaces. */
export function usePowerUp(setup: Setup) {
  const count = setup.unit.traits.twitchesAtPowerUp;
  const [half, setHalf] = useState(-1);
  const running = half >= 0 && half < count * 2;
  useEffect(() => {
    if (!running) return;
    const timer = setTimeout(() => setHalf(half + 1), TWITCH_MS);
    return () => clearTimeout(timer);
  }, [half, running]);
  const ports = new Set(setup.unit.settings.outputs.filter((o) => o.stabilized).map((o) => o.port));
  const steadied = new Set(
    setup.installation.plugs.filter((p) => ports.has(p.port)).flatMap((p) => p.drives),
  );
  return {
    start: () => setHalf(0),
    twitched: (surfaceDeg: readonly number[]): number[] =>
      setup.airframe.surfaces.map((s, i) =>
        running && half % 2 === 0 && steadied.has(s.servo)
          ? surfaceDeg[i]! + TWITCH_DEG
          : surfaceDeg[i]!,
      ),
    words:
      half < 0
        ? ''
        : count === 0
          ? 'It does not twitch when it is powered.'
          : running
            ? `Twitch ${Math.floor(half / 2) + 1} of ${count}`
            : `${count} ${count === 1 ? 'twitch' : 'twitches'} at power-up: count them on yours.`,
  };
}
