import { levelCaptureOf } from '../capture';
import { scriptOf, sentences, type Named, type ScriptStep, type Sentence } from '../script';
import { endWords, kindOf, type Setup } from '../setup';
import { wedgeFor } from './level';

const SAY = sentences('level', {
  capture: ({ block, gesture }: { block: { under: Named; mm: number }; gesture: Sentence }) =>
    `${block.under.id === 'nothing' ? 'Stand it as it flies' : `Put ${block.mm} mm under the ${block.under.label}`}, wings level, the model still: ${gesture.words}.`,
  confirmed: () => 'the unit confirms it',
  'pitch-within': ({ deg }: { deg: number }) => `pitch within 1° of ${deg}° nose up`,
  check: () =>
    'Self-levelling on, gain up, the model still on its block. Then tip it a little each way.',
  centred: () => 'on the block every surface is at centre',
  'works-back': () => 'tipped either way, the surfaces work to bring it back to the block',
});

/** Whether this unit has an idea of level to be captured. */
export const levels = ({ unit }: Setup): boolean =>
  unit.traits.modes.includes('level') || unit.traits.modes.includes('home');

/** Capturing level in the attitude it flies at, and checking that the unit kept it. */
export function levelScript(setup: Setup): ScriptStep[] {
  if (!levels(setup)) return [];
  const { wheelbaseMm, standingPitchDeg, flyingPitchDeg } = setup.airframe.measures;
  const { under, heightMm } = wedgeFor(wheelbaseMm, standingPitchDeg, flyingPitchDeg);
  return scriptOf('level', [
    [
      'capture',
      SAY.capture({
        block: {
          under: { id: under, label: endWords(under, kindOf(setup.airframe)) },
          mm: Math.round(heightMm),
        },
        gesture: levelCaptureOf(setup),
      }),
      [SAY.confirmed(), SAY['pitch-within']({ deg: flyingPitchDeg })],
    ],
    ['check', SAY.check(), [SAY.centred(), SAY['works-back']()]],
  ]);
}
