import type { ProgramWishes, Setup } from '../../setup';
import { flapPlaces } from '../wishes/devices';

/** Whether the flaps are on a channel that can send nothing between its positions. */
export const flapsStep = ({
  program,
  transmitter,
}: Pick<Setup, 'program' | 'transmitter'>): boolean =>
  program.outputs.some((o) => o.carries === 'flap' && transmitter.switchOnly.includes(o.channel));

/** Flaps on a control: half way in the middle of three, where their channel can send that. */
export const flapsOn = (
  setup: Setup,
  control: string,
  now?: ProgramWishes['flaps'],
): NonNullable<ProgramWishes['flaps']> => ({
  ...now,
  control,
  downPct: flapPlaces(setup, control) === 3 ? [0, flapsStep(setup) ? 100 : 50, 100] : [0, 100],
});
