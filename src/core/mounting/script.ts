import { fault, scriptOf, sentences, type Named, type ScriptStep, type Sentence } from '../script';
import {
  howOrientationIsLearned,
  kindOf,
  mountingWords,
  type Mounting,
  type Setup,
} from '../setup';

const SAY = sentences('mounting', {
  'look-at-the-unit': () => 'Check the unit in the model.',
  'mounted-like-this': (how: Named) => how.label,
  'firm-and-square': () => 'square, firm on its tape, slack in the leads',
  'at-balance-point': () => 'at the balance point',
  'on-centre-line': () => 'exactly on the centre line',
  'level-in-model': ({ front, wing }: { front: string; wing: string }) =>
    `level in the model, ${front} to back and ${wing}`,
  'learn-orientation': ({ how }: { how: Named }) =>
    `Let the unit learn how it is mounted: ${how.label}.`,
  'confirms-orientation': () => 'the unit confirms it',
  'compare-the-picture': () =>
    'Compare the picture or the words the unit shows for its orientation with the unit itself.',
  'set-otherwise': (set: Named) => `WRONG in the Setup: the unit is set to ${set.label}`,
});

/** What is to be compared between paper, unit and model before anything is believed. */
export function mountingScript(setup: Setup): ScriptStep[] {
  const { mounting } = setup.installation;
  const { orientation } = setup.unit.settings;
  const learned = howOrientationIsLearned(setup.unit, setup.airframe);
  const named = (id: Mounting): Named => ({ id, label: mountingWords(id, setup.airframe) });
  return scriptOf('mounting', [
    [
      'seat',
      SAY['look-at-the-unit'](),
      [SAY['mounted-like-this'](named(mounting)), SAY['firm-and-square'](), ...bySchool(setup)],
    ],
    ...(learned
      ? [
          [
            'learn',
            SAY['learn-orientation']({
              how: { id: setup.unit.traits.orientationLearned!, label: learned },
            }),
            [SAY['confirms-orientation']()],
          ] as const,
        ]
      : []),
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

/** What the chosen school asks of its place besides. */
function bySchool({ intents, airframe }: Setup): Sentence[] {
  const { place, tilt } = intents.seat ?? {};
  const { front, onSurface } = kindOf(airframe);
  return [
    ...(place === 'balance-point' ? [SAY['at-balance-point']()] : []),
    ...(place === 'centre-line' ? [SAY['on-centre-line']()] : []),
    ...(tilt === 'level'
      ? [
          SAY['level-in-model']({
            front,
            wing: onSurface ? 'side to side' : 'wing tip to wing tip',
          }),
        ]
      : []),
  ];
}
