import {
  observedDirections,
  observedStill,
  readings,
  tests,
  worstOf,
  type Evidence,
  type Status,
  type TestName,
} from '@/core/logbook';
import { STATION_IDS, type StationId } from '@/core/procedure';
import type { Setup } from '@/core/setup';
import type { Finding } from '@/core/verify';

/** A place of the job that has a page of its own. */
export interface Station {
  id: StationId;
  title: string;
  status?: (
    setup: Setup,
    evidence: readonly Evidence[],
    findings: readonly Finding[] | undefined,
  ) => Status | undefined;
}

const statusOf = (list: readonly { status: Status }[]): Status | undefined =>
  list.length === 0 ? undefined : worstOf(list.map((c) => c.status));

const testStatus = (test: TestName) => (setup: Setup, evidence: readonly Evidence[]) =>
  statusOf(tests(setup, evidence, test));

/** A station left out does not compile. */
const REGISTRY: Record<StationId, Omit<Station, 'id'>> = {
  job: { title: 'Job' },
  bench: {
    title: 'Bench',
    status: (setup, evidence) =>
      statusOf([...tests(setup, evidence, 'identify'), ...tests(setup, evidence, 'safe')]),
  },
  model: { title: 'Model' },
  transmitter: { title: 'Transmitter' },
  plan: { title: 'Plan' },
  wiring: { title: 'Wiring' },
  plain: { title: 'Plain model', status: testStatus('plain-model') },
  program: { title: 'Program' },
  proof: {
    title: 'Proof',
    status(_, __, findings) {
      if (!findings) return undefined;
      const severities = findings.map((f) => f.severity);
      if (severities.includes('stop')) return 'stop';
      return severities.includes('caution') ? 'caution' : 'proven';
    },
  },
  sheet: { title: 'Sheet', status: (setup, evidence) => statusOf(readings(setup, evidence)) },
  unit: { title: 'Unit', status: testStatus('unit') },
  calibration: { title: 'Calibrate', status: testStatus('calibration') },
  mounting: { title: 'Mounting', status: testStatus('mounting') },
  capture: { title: 'Capture', status: testStatus('capture') },
  directions: {
    title: 'Directions',
    status: (setup, evidence) =>
      statusOf([...observedDirections(setup, evidence), ...observedStill(setup, evidence)]),
  },
  level: { title: 'Level', status: testStatus('level') },
  panic: {
    title: 'Panic',
    // Its script is made from the proof: without one there is nothing to say yet.
    status: (setup, evidence, findings) => findings && statusOf(tests(setup, evidence, 'panic')),
  },
  failsafe: { title: 'Failsafe', status: testStatus('failsafe') },
  preflight: { title: 'Preflight', status: testStatus('preflight') },
  tune: {
    title: 'Tune',
    // Its words for off are made from the proof.
    status: (setup, evidence, findings) => findings && statusOf(tests(setup, evidence, 'tune')),
  },
  log: { title: 'Log', status: testStatus('record') },
  rig: { title: 'Rig' },
};

/** In the order of the work; the rig belongs to all of them and comes last. */
export const STATIONS: readonly Station[] = STATION_IDS.map((id) => ({ id, ...REGISTRY[id] }));
