import { verify } from '@/core/verify';
import { observedDirections, worstOf, type Evidence, type Status } from '@/core/logbook';
import type { Setup } from '@/core/setup';

/** A place of the job that has a page of its own. */
export interface Station {
  id: string;
  title: string;
  status?: (setup: Setup, evidence: readonly Evidence[]) => Status;
}

const directionStatus =
  (kind?: 'stick' | 'correction') =>
  (setup: Setup, evidence: readonly Evidence[]): Status =>
    worstOf(
      observedDirections(setup, evidence)
        .filter((o) => !kind || o.expectation.check.kind === kind)
        .map((o) => o.status),
    );

/** In the order of the work; the rig belongs to all of them and comes last. */
export const STATIONS: readonly Station[] = [
  { id: 'model', title: 'Model' },
  { id: 'transmitter', title: 'Transmitter' },
  {
    id: 'plan',
    title: 'Plan',
    status(setup) {
      const severities = verify(setup).map((f) => f.severity);
      if (severities.includes('stop')) return 'stop';
      return severities.includes('caution') ? 'caution' : 'proven';
    },
  },
  { id: 'wiring', title: 'Wiring' },
  { id: 'plain', title: 'Plain model', status: directionStatus('stick') },
  { id: 'unit', title: 'Unit' },
  { id: 'directions', title: 'Directions', status: directionStatus() },
  { id: 'rig', title: 'Rig' },
];
