'use client';

import dynamic from 'next/dynamic';
import { useEffect, type ComponentType } from 'react';
import type { StationId } from '@/core/procedure';
import { loadReader } from '../open/reading';

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

/** A station left out does not compile; each is loaded by itself. */
const STATIONS: Record<StationId, ComponentType> = {
  job: station(() => import('../job/JobStation').then((m) => m.JobStation)),
  rig: station(() => import('../rig/RigStation').then((m) => m.RigStation)),
  model: station(() => import('../model/ModelStation').then((m) => m.ModelStation)),
  transmitter: station(() =>
    import('../transmitter/TransmitterStation').then((m) => m.TransmitterStation),
  ),
  unit: station(() => import('../unit/UnitStation').then((m) => m.UnitStation)),
  plan: station(() => import('../plan/PlanStation').then((m) => m.PlanStation)),
  program: station(() => import('../program/ProgramStation').then((m) => m.ProgramStation)),
  proof: station(() => import('../proof/ProofStation').then((m) => m.ProofStation)),
  safe: station(() => import('../preparation/SafeStation').then((m) => m.SafeStation)),
  identify: station(() => import('../preparation/IdentifyStation').then((m) => m.IdentifyStation)),
  entry: station(() => import('../sheet/EntryStation').then((m) => m.EntryStation)),
  settings: station(() => import('../unit/SettingsStation').then((m) => m.SettingsStation)),
  calibration: station(() =>
    import('../calibration/CalibrationStation').then((m) => m.CalibrationStation),
  ),
  mounting: station(() => import('../mounting/MountingStation').then((m) => m.MountingStation)),
  'plain-model': station(() => import('../plain/PlainStation').then((m) => m.PlainStation)),
  sticks: station(() => import('../directions/DirectionsStation').then((m) => m.SticksStation)),
  steering: station(() => import('../steering/SteeringStation').then((m) => m.SteeringStation)),
  capture: station(() => import('../capture/CaptureStation').then((m) => m.CaptureStation)),
  throws: station(() => import('../plain/ThrowsStation').then((m) => m.ThrowsStation)),
  corrections: station(() =>
    import('../directions/DirectionsStation').then((m) => m.CorrectionsStation),
  ),
  level: station(() => import('../level/LevelStation').then((m) => m.LevelStation)),
  panic: station(() => import('../recovery/PanicStation').then((m) => m.PanicStation)),
  failsafe: station(() => import('../recovery/FailsafeStation').then((m) => m.FailsafeStation)),
  preflight: station(() => import('../preflight/PreflightStation').then((m) => m.PreflightStation)),
  chassis: station(() => import('../tune/ChassisStation').then((m) => m.ChassisStation)),
  tune: station(() => import('../tune/TuneStation').then((m) => m.TuneStation)),
  lock: station(() => import('../tune/LockStation').then((m) => m.LockStation)),
  logbook: station(() => import('../log/LogStation').then((m) => m.LogStation)),
};

/** The station of this page. */
export function Station({ id }: { id: StationId }) {
  const Named = STATIONS[id];
  return <Named />;
}
