import { levelCaptureWords } from '../capture';
import { scriptOf, type ScriptStep } from '../script';
import type { Setup } from '../setup';
import { wedgeFor } from './level';

/** Whether this unit has an idea of level to be taught. */
export const levels = ({ unit }: Setup): boolean =>
  unit.traits.modes.includes('level') || unit.traits.modes.includes('home');

/** Capturing level in the attitude it flies at, and looking whether it took. */
export function levelScript(setup: Setup): ScriptStep[] {
  if (!levels(setup)) return [];
  const { wheelbaseMm, standingPitchDeg, flyingPitchDeg } = setup.airframe.measures;
  const wedge = wedgeFor(wheelbaseMm, standingPitchDeg, flyingPitchDeg);
  const block =
    wedge.under === 'nothing'
      ? 'It stands as it flies'
      : `${wedge.heightMm.toFixed(0)} mm under the ${wedge.under}`;
  return scriptOf('level', [
    [
      'capture',
      `${block}, wings level across, the model still: ${levelCaptureWords(setup)}.`,
      ['the unit confirms it', `pitch within 1° of ${flyingPitchDeg}° nose up`],
    ],
    [
      'check',
      'Self-levelling on, gain up, the model still on its block. Then tip it a little each way.',
      [
        'on the block every surface is at centre',
        'tipped either way it works back toward the block',
      ],
    ],
  ]);
}
