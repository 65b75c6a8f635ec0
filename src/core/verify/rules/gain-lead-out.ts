import type { Rule } from '../rule';

export const gainLeadOut: Rule = {
  id: 'M47',
  title: 'Gain lead unplugged',
  why: 'Gain stays at the last value the unit saw, and no switch turns it down.',
  explains: ['corrections', 'gain', 'panic', 'master-off'],
  check(setup, proof) {
    const { traits, settings } = setup.unit;
    if (traits.gainLaw === 'fixed' || setup.installation.gainLead) return [];
    const means = {
      'keeps-last': 'The unit keeps the last gain it saw.',
      full: 'Without its lead the unit gives full gain.',
      zero: 'Without its lead the unit does nothing.',
    }[traits.gainLeadMissing];
    // Where the side of the gain channel chooses the mode, the lead takes the off with it.
    const bySide = traits.modeSelect.by === 'gain-sign';
    const modes = new Set(proof.rows.map((r) => r.mode));
    const off =
      proof.rows.length > 0 ? modes.has('off') : !bySide && settings.slots.includes('off');
    // The value it kept decides, and it is unknown until you write it down.
    const unknown =
      bySide &&
      traits.gainLeadMissing === 'keeps-last' &&
      setup.installation.gainLeadLastPct === undefined;
    const rest = unknown
      ? 'Its modes are on the same lead: enter the value it had when the lead came out, or nobody knows which one it is in.'
      : bySide
        ? off
          ? 'That is off, whatever you do.'
          : 'Its modes are on the same lead: nothing in your hands switches it off.'
        : off
          ? 'Only the off mode can stop it.'
          : 'There is no off mode either: nothing stops it.';
    return [
      {
        severity: traits.gainLeadMissing === 'full' || !off || unknown ? 'stop' : 'caution',
        says: `${means} ${rest}`,
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
