import {
  observedDirections,
  readings,
  tests,
  worstOf,
  type Evidence,
  type Status,
  type TestName,
} from '@/core/logbook';
import type { Setup } from '@/core/setup';
import type { Finding } from '@/core/verify';

/** A place of the job that has a page of its own. */
export interface Station {
  id: string;
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

/** In the order of the work; the rig belongs to all of them and comes last. */
export const STATIONS: readonly Station[] = [
  { id: 'job', title: 'Job' },
  {
    id: 'bench',
    title: 'Bench',
    status: (setup, evidence) =>
      statusOf([...tests(setup, evidence, 'identify'), ...tests(setup, evidence, 'safe')]),
  },
  { id: 'model', title: 'Model' },
  { id: 'transmitter', title: 'Transmitter' },
  { id: 'plan', title: 'Plan' },
  { id: 'wiring', title: 'Wiring' },
  { id: 'plain', title: 'Plain model', status: testStatus('plain-model') },
  { id: 'program', title: 'Program' },
  {
    id: 'proof',
    title: 'Proof',
    status(_, __, findings) {
      if (!findings) return undefined;
      const severities = findings.map((f) => f.severity);
      if (severities.includes('stop')) return 'stop';
      return severities.includes('caution') ? 'caution' : 'proven';
    },
  },
  {
    id: 'sheet',
    title: 'Sheet',
    status: (setup, evidence) => statusOf(readings(setup, evidence)),
  },
  { id: 'unit', title: 'Unit', status: testStatus('unit') },
  { id: 'calibration', title: 'Calibrate', status: testStatus('calibration') },
  { id: 'mounting', title: 'Mounting', status: testStatus('mounting') },
  { id: 'capture', title: 'Capture', status: testStatus('capture') },
  {
    id: 'directions',
    title: 'Directions',
    status: (setup, evidence) => statusOf(observedDirections(setup, evidence)),
  },
  { id: 'level', title: 'Level', status: testStatus('level') },
  {
    id: 'panic',
    title: 'Panic',
    // Its script is made from the proof: without one there is nothing to say yet.
    status: (setup, evidence, findings) => findings && statusOf(tests(setup, evidence, 'panic')),
  },
  { id: 'failsafe', title: 'Failsafe', status: testStatus('failsafe') },
  { id: 'preflight', title: 'Preflight', status: testStatus('preflight') },
  {
    id: 'tune',
    title: 'Tune',
    // Its words for off are made from the proof.
    status: (setup, evidence, findings) => findings && statusOf(tests(setup, evidence, 'tune')),
  },
  { id: 'log', title: 'Log', status: testStatus('record') },
  { id: 'rig', title: 'Rig' },
];
