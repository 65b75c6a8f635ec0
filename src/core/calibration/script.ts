import { scriptOf, type ScriptStep } from '../script';
import type { Setup } from '../setup';

/** Whether this unit is to be shown its six faces. */
export const wantsSixFaces = ({ unit }: Setup): boolean =>
  unit.traits.extras.includes('six-face-calibration');

/** The six faces, done before the unit is fitted: afterwards it cannot be laid on them squarely. */
export function calibrationScript(setup: Setup): ScriptStep[] {
  if (!wantsSixFaces(setup)) return [];
  return scriptOf('calibration', [
    [
      'six-faces',
      'Before it is fitted: show the unit its six faces against something square, each held still.',
      [
        'every step was taken without waiting',
        'it says it is done, and keeps it when switched off and on',
      ],
    ],
  ]);
}
