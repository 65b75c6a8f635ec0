import type { Rule } from '../rule';

export const gainLeadOut: Rule = {
  id: 'M47',
  title: 'Gain lead unplugged',
  why: 'Gain stays at the last value the unit saw, and no switch turns it down.',
  explains: ['corrections', 'gain', 'panic'],
  check(setup) {
    const { traits, settings } = setup.unit;
    if (traits.gainLaw === 'fixed' || setup.installation.gainLead) return [];
    const means = {
      'keeps-last': 'The unit keeps the last gain it saw.',
      full: 'Without its lead the unit gives full gain.',
      zero: 'Without its lead the unit does nothing.',
    }[traits.gainLeadMissing];
    const off = settings.slots.includes('off');
    return [
      {
        severity: traits.gainLeadMissing === 'full' || !off ? 'stop' : 'caution',
        says: `${means} ${off ? 'Only the off mode can stop it.' : 'There is no off mode either: nothing stops it.'}`,
        where: '/installation/gainLead',
        remedies: settings.inputs.some((i) => i.carries === 'gain')
          ? [
              {
                label: 'Put the gain lead back in',
                patch: [{ op: 'replace', path: '/installation/gainLead', value: true }],
              },
            ]
          : [],
      },
    ];
  },
};
