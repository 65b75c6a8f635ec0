import { scriptOf, type ScriptStep } from '../script';
import { mountingWords, type Setup } from '../setup';

/** What is to be compared between paper, unit and model before anything is believed. */
export function mountingScript(setup: Setup): ScriptStep[] {
  const { mounting } = setup.installation;
  const { orientation } = setup.unit.settings;
  return scriptOf('mounting', [
    [
      'seat',
      'Look at the unit in the model.',
      [
        mountingWords(mounting, setup.airframe),
        'square, on the centre line, firm on its tape, leads with slack',
      ],
    ],
    [
      'picture',
      'Compare the picture or the words the unit shows for its orientation with the unit itself.',
      [
        orientation === mounting
          ? mountingWords(orientation, setup.airframe)
          : `WRONG in the Setup: it was told ${mountingWords(orientation, setup.airframe)}`,
      ],
    ],
  ]);
}
