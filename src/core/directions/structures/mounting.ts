import { mountingWords, MOUNTINGS, type Setup } from '../../setup';
import { replaced, type Structure, type StructuralRemedy } from './structure';

/** Every way the unit could sit but the one written down. */
export function otherMountings({ airframe, installation }: Setup): Structure[] {
  return MOUNTINGS.filter((m) => m !== installation.mounting).map((m) => ({
    id: `mounting-${m}`,
    place: 'mounting',
    title: `The unit is mounted with its ${mountingWords(m, airframe)}`,
    why: 'Two wrong axes together, or an answer on another axis, point to a turned unit. One wrong axis alone cannot be the mounting.',
    cost: 1,
    patch: replaced('/installation/mounting', m),
    needsMore: true,
  }));
}

/** The unit told how it is fixed, or turned where it cannot be told. */
export function mountingRemedy(known: Setup): StructuralRemedy[] {
  const { mounting } = known.installation;
  const { airframe } = known;
  const { orientation } = known.unit.settings;
  if (mounting === orientation) return [];
  return [
    known.unit.traits.orientations.includes(mounting)
      ? {
          id: 'orientation',
          place: 'unit',
          title: `Set in the unit that it is mounted with its ${mountingWords(mounting, airframe)}`,
          why: `It believes ${mountingWords(orientation, airframe)}, and mistakes one movement for another.`,
          patch: replaced('/unit/settings/orientation', mounting),
        }
      : {
          id: 'remount',
          place: 'mounting',
          title: `Turn the unit: ${mountingWords(orientation, airframe)}`,
          why: `This unit cannot be set to ${mountingWords(mounting, airframe)}.`,
          patch: replaced('/installation/mounting', orientation),
        },
  ];
}
