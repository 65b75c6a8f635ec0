import { MOUNTINGS, type Mounting, type Setup } from '../../setup';
import { replaced, type Structure, type StructuralRemedy } from './structure';

const words = (mounting: Mounting): string => {
  const [arrow, label] = mounting.split('-');
  return `arrow to the ${arrow}, label ${label}`;
};

/** Every way the unit could sit but the one written down. */
export function otherMountings({ installation }: Setup): Structure[] {
  return MOUNTINGS.filter((m) => m !== installation.mounting).map((m) => ({
    id: `mounting-${m}`,
    place: 'mounting',
    title: `The unit is fixed with its ${words(m)}`,
    why: 'Two axes wrong together, or a movement answered on another axis, is how a turned unit looks. One axis alone cannot be the mounting.',
    cost: 1,
    patch: replaced('/installation/mounting', m),
    needsMore: true,
  }));
}

/** The unit told how it is fixed, or turned where it cannot be told. */
export function mountingRemedy(known: Setup): StructuralRemedy[] {
  const { mounting } = known.installation;
  const { orientation } = known.unit.settings;
  if (mounting === orientation) return [];
  return [
    known.unit.traits.orientations.includes(mounting)
      ? {
          id: 'orientation',
          place: 'unit',
          title: `Tell the unit that it is fixed with its ${words(mounting)}`,
          why: `It believes ${words(orientation)}, and takes movements for others than they are.`,
          patch: replaced('/unit/settings/orientation', mounting),
        }
      : {
          id: 'remount',
          place: 'mounting',
          title: `Turn the unit: ${words(orientation)}`,
          why: `This unit cannot be told that it is fixed with its ${words(mounting)}.`,
          patch: replaced('/installation/mounting', orientation),
        },
  ];
}
