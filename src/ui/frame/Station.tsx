'use client';

import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import type { StationId } from '@/core/procedure';

/** A station left out does not compile; each is loaded by itself. */
const STATIONS: Record<StationId, ComponentType> = {
  job: dynamic(() => import('../job/JobStation').then((m) => m.JobStation)),
  rig: dynamic(() => import('../rig/RigStation').then((m) => m.RigStation)),
  model: dynamic(() => import('../model/ModelStation').then((m) => m.ModelStation)),
  transmitter: dynamic(() =>
    import('../transmitter/TransmitterStation').then((m) => m.TransmitterStation),
  ),
  unit: dynamic(() => import('../unit/UnitStation').then((m) => m.UnitStation)),
  plan: dynamic(() => import('../plan/PlanStation').then((m) => m.PlanStation)),
  program: dynamic(() => import('../program/ProgramStation').then((m) => m.ProgramStation)),
  proof: dynamic(() => import('../proof/ProofStation').then((m) => m.ProofStation)),
  safe: dynamic(() => import('../preparation/SafeStation').then((m) => m.SafeStation)),
  identify: dynamic(() => import('../preparation/IdentifyStation').then((m) => m.IdentifyStation)),
  entry: dynamic(() => import('../sheet/EntryStation').then((m) => m.EntryStation)),
  settings: dynamic(() => import('../unit/SettingsStation').then((m) => m.SettingsStation)),
  calibration: dynamic(() =>
    import('../calibration/CalibrationStation').then((m) => m.CalibrationStation),
  ),
  mounting: dynamic(() => import('../mounting/MountingStation').then((m) => m.MountingStation)),
  'plain-model': dynamic(() => import('../plain/PlainStation').then((m) => m.PlainStation)),
  sticks: dynamic(() => import('../directions/DirectionsStation').then((m) => m.SticksStation)),
  capture: dynamic(() => import('../capture/CaptureStation').then((m) => m.CaptureStation)),
  corrections: dynamic(() =>
    import('../directions/DirectionsStation').then((m) => m.CorrectionsStation),
  ),
  level: dynamic(() => import('../level/LevelStation').then((m) => m.LevelStation)),
  panic: dynamic(() => import('../recovery/PanicStation').then((m) => m.PanicStation)),
  failsafe: dynamic(() => import('../recovery/FailsafeStation').then((m) => m.FailsafeStation)),
  preflight: dynamic(() => import('../preflight/PreflightStation').then((m) => m.PreflightStation)),
  tune: dynamic(() => import('../tune/TuneStation').then((m) => m.TuneStation)),
  lock: dynamic(() => import('../tune/LockStation').then((m) => m.LockStation)),
  logbook: dynamic(() => import('../log/LogStation').then((m) => m.LogStation)),
};

/** The station of this page. */
export function Station({ id }: { id: StationId }) {
  const Named = STATIONS[id];
  return <Named />;
}
