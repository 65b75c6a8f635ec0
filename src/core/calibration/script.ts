import { scriptOf, sentences, type ScriptStep } from '../script';
import type { Setup } from '../setup';

const SAY = sentences('calibration', {
  'show-six-faces': () =>
    'Before you fit the unit: lay it on each of its six faces in turn, against something square, and hold it still.',
  'every-face-taken': () => 'it accepted every face without waiting',
  'keeps-it': () => 'it confirms, and keeps the calibration when switched off and on',
});

/** Whether this unit is to be shown its six faces. */
export const wantsSixFaces = ({ unit }: Setup): boolean =>
  unit.traits.extras.includes('six-face-calibration');

/** The six faces, done before the unit is fitted: afterwards it cannot be laid on them squarely. */
export function calibrationScript(setup: Setup): ScriptStep[] {
  if (!wantsSixFaces(setup)) return [];
  return scriptOf('calibration', [
    ['six-faces', SAY['show-six-faces'](), [SAY['every-face-taken'](), SAY['keeps-it']()]],
  ]);
}
