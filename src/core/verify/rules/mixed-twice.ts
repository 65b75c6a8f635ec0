import { mixerOf, wingTypeOf } from '../../plan';
import { pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const mixedTwice: Rule = {
  id: 'M6',
  title: 'Delta or V-tail mixed twice, or not at all',
  why: 'Mixed twice, one surface moves double and the other hardly; not mixed, one stick moves each surface alone.',
  explains: ['sticks', 'sticks-alone', 'corrections'],
  check(setup) {
    const { airframe, unit, program } = setup;
    const wing = airframe.surfaces.some((s) => s.role === 'elevon');
    const needs = wing || airframe.surfaces.some((s) => s.role === 'ruddervator');
    // The two sticks whose sum and difference such a surface is: a rudder that goes with the ailerons is another mix.
    const pair = wing ? ['aileron', 'elevator'] : ['elevator', 'rudder'];
    const inUnit = unit.settings.wingType === 'delta' || unit.settings.wingType === 'v-tail';
    const mixedChannel = program.outputs.find((o) => {
      const sticks = program.lines
        .filter((l) => l.channel === o.channel && l.follows.kind === 'input' && l.effect === 'adds')
        .map((l) => (l.follows.kind === 'input' ? l.follows.id : ''));
      return new Set(sticks.filter((s) => pair.includes(s))).size > 1;
    });
    // Whether or not this unit can be set so: it is what mixing once would be.
    const finding = (says: string, wingType: string, remedies: Found['remedies'] = []): Found[] => [
      {
        severity: 'stop',
        says,
        where: '/unit/settings/wingType',
        remedies,
        without: set(wingType).map((r) => r.patch),
      },
    ];
    const set = (wingType: string) => [
      {
        label: `Set the unit’s wing type to ${wingType}`,
        patch: [
          {
            op: 'replace' as const,
            path: pointer('unit', 'settings', 'wingType'),
            value: wingType,
          },
        ],
      },
    ];
    if (needs && inUnit && mixedChannel)
      return finding(
        `Channel ${mixedChannel.channel} is mixed in the transmitter and again in the unit.`,
        'normal',
        unit.traits.mixer === 'unit' ? [] : set('normal'),
      );
    if (needs && !inUnit && !mixedChannel)
      return finding(
        'Nothing mixes: neither the transmitter nor the unit.',
        wingTypeOf(airframe, unit, 'unit'),
        mixerOf(unit, setup.intents.mixer) === 'unit'
          ? set(wingTypeOf(airframe, unit, setup.intents.mixer))
          : [],
      );
    if (!needs && inUnit)
      return finding(
        `The unit mixes for a ${unit.settings.wingType}, which this model is not.`,
        'normal',
        set('normal'),
      );
    return [];
  },
};
