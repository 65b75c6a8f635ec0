import { fault, scriptOf, sentences, type Named, type ScriptStep } from '../script';
import { mountingWords, type Mounting, type Setup } from '../setup';

const SAY = sentences('mounting', {
  'look-at-the-unit': () => 'Look at the unit in the model.',
  'mounted-like-this': (how: Named) => how.label,
  'firm-and-square': () => 'square, on the centre line, firm on its tape, slack in the leads',
  'compare-the-picture': () =>
    'Compare the picture or the words the unit shows for its orientation with the unit itself.',
  'set-otherwise': (set: Named) => `WRONG in the Setup: the unit is set to ${set.label}`,
});

/** What is to be compared between paper, unit and model before anything is believed. */
export function mountingScript(setup: Setup): ScriptStep[] {
  const { mounting } = setup.installation;
  const { orientation } = setup.unit.settings;
  const named = (id: Mounting): Named => ({ id, label: mountingWords(id, setup.airframe) });
  return scriptOf('mounting', [
    [
      'seat',
      SAY['look-at-the-unit'](),
      [SAY['mounted-like-this'](named(mounting)), SAY['firm-and-square']()],
    ],
    [
      'picture',
      SAY['compare-the-picture'](),
      [
        orientation === mounting
          ? SAY['mounted-like-this'](named(orientation))
          : fault(SAY['set-otherwise'](named(orientation))),
      ],
    ],
  ]);
}
