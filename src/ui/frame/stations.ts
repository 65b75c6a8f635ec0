import type { ComponentType } from 'react';
import type { StationId } from '@/core/procedure';

/** Loads the component of each station. A missing station does not compile. */
export const LOADERS: Record<StationId, () => Promise<ComponentType>> = {
  job: () => import('../job/JobStation').then((m) => m.JobStation),
  rig: () => import('../rig/RigStation').then((m) => m.RigStation),
  model: () => import('../model/ModelStation').then((m) => m.ModelStation),
  transmitter: () => import('../transmitter/TransmitterStation').then((m) => m.TransmitterStation),
  unit: () => import('../unit/UnitStation').then((m) => m.UnitStation),
  plan: () => import('../plan/PlanStation').then((m) => m.PlanStation),
  program: () => import('../program/ProgramStation').then((m) => m.ProgramStation),
  proof: () => import('../proof/ProofStation').then((m) => m.ProofStation),
  safe: () => import('../preparation/SafeStation').then((m) => m.SafeStation),
  identify: () => import('../preparation/IdentifyStation').then((m) => m.IdentifyStation),
  entry: () => import('../sheet/EntryStation').then((m) => m.EntryStation),
  settings: () => import('../unit/SettingsStation').then((m) => m.SettingsStation),
  calibration: () => import('../calibration/CalibrationStation').then((m) => m.CalibrationStation),
  mounting: () => import('../mounting/MountingStation').then((m) => m.MountingStation),
  'plain-model': () => import('../plain/PlainStation').then((m) => m.PlainStation),
  sticks: () => import('../directions/DirectionsStation').then((m) => m.SticksStation),
  steering: () => import('../steering/SteeringStation').then((m) => m.SteeringStation),
  capture: () => import('../capture/CaptureStation').then((m) => m.CaptureStation),
  throws: () => import('../plain/ThrowsStation').then((m) => m.ThrowsStation),
  corrections: () => import('../directions/DirectionsStation').then((m) => m.CorrectionsStation),
  level: () => import('../level/LevelStation').then((m) => m.LevelStation),
  panic: () => import('../recovery/PanicStation').then((m) => m.PanicStation),
  failsafe: () => import('../recovery/FailsafeStation').then((m) => m.FailsafeStation),
  preflight: () => import('../preflight/PreflightStation').then((m) => m.PreflightStation),
  chassis: () => import('../tune/ChassisStation').then((m) => m.ChassisStation),
  tune: () => import('../tune/TuneStation').then((m) => m.TuneStation),
  lock: () => import('../tune/LockStation').then((m) => m.LockStation),
  logbook: () => import('../log/LogStation').then((m) => m.LogStation),
};
