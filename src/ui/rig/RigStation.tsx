'use client';

import { useSearchParams } from 'next/navigation';
import { useModel } from '../frame/modelStore';
import { RigBench } from './RigBench';

/** Reads "sa:100,k1:-20", the way a finding asks for its witness; anything else is passed over. */
function parseControls(text: string): Record<string, number> {
  const pairs = text.split(',').map((part) => part.split(':'));
  return Object.fromEntries(
    pairs
      .map(([id, value]) => [id ?? '', Number(value)] as const)
      .filter(([id, value]) => id !== '' && Number.isFinite(value)),
  );
}

/** The model of this page on the virtual bench. */
export function RigStation() {
  const setup = useModel((s) => s.setup);
  const asked = useSearchParams().get('set') ?? '';
  return <RigBench setup={setup} start={parseControls(asked)} />;
}
