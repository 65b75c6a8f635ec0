'use client';

import { Choice } from './Choice';
import { useSystem } from '../measure/useSystem';

/** Chosen once, for this device; what is kept stays metric. */
export function SystemChoice() {
  const [system, setSystem] = useSystem();
  return (
    <Choice
      label="Measures, on this device"
      value={system}
      options={[
        ['metric', 'mm, g, m/s'],
        ['imperial', 'in, oz, mph'],
      ]}
      onChange={setSystem}
    />
  );
}
