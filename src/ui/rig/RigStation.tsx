'use client';

import { useSearchParams } from 'next/navigation';
import { useModel } from '../frame/modelStore';
import { RigBench } from './RigBench';
import type { RigMove } from './useRig';

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

/** The model of this page on the virtual bench. */
export function RigStation() {
  const setup = useModel((s) => s.setup);
  const asked = useSearchParams().get('set') ?? '';
  return <RigBench setup={setup} start={parseMoves(asked)} />;
}
