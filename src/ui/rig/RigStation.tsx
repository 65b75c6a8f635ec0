'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect } from 'react';
import { RigBench } from './RigBench';
import { useRig, type RigMove } from '../live/rigStore';

/** Reads "sa:100,~0.3,k1:-20", the way a finding asks for its witness; anything else is passed over. */
function parseMoves(text: string): RigMove[] {
  return text.split(',').flatMap((part): RigMove[] => {
    if (part.startsWith('~')) {
      const waitS = Number(part.slice(1));
      return waitS > 0 && waitS <= 60 ? [{ waitS }] : [];
    }
    const [control = '', value] = part.split(':');
    const number = Number(value);
    return control !== '' && value !== undefined && Number.isFinite(number)
      ? [{ control, value: number }]
      : [];
  });
}

/** The model of this page on the virtual bench, in full. */
export function RigStation() {
  const asked = useSearchParams().get('set');
  const play = useRig((s) => s.play);
  const running = useRig((s) => s.snapshot !== undefined);
  useEffect(() => {
    if (running && asked !== null) play(parseMoves(asked));
  }, [asked, play, running]);
  return <RigBench />;
}
