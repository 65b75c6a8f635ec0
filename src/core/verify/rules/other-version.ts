import type { Found } from '../finding';
import type { Rule } from '../rule';

export const otherVersion: Rule = {
  id: 'M36',
  title: 'Which version the leaflet is for',
  why: 'Bands, gestures and pictures moved between hardware and firmware versions. A leaflet for another one is worse than none.',
  check(setup): Found[] {
    const { unitHardware, unitFirmware } = setup.installation;
    const missing = [
      ...(unitHardware.trim() === '' ? ['hardware version'] : []),
      ...(unitFirmware.trim() === '' ? ['firmware'] : []),
    ];
    if (missing.length === 0) return [];
    return [
      {
        severity: 'note',
        says: `The unit’s ${missing.join(' and ')} ${missing.length > 1 ? 'are' : 'is'} not written down: compare with the leaflet, then note it at Unit.`,
        where: `/installation/${unitHardware.trim() === '' ? 'unitHardware' : 'unitFirmware'}`,
        remedies: [],
      },
    ];
  },
};
