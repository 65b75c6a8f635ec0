import { kindOf, type Airframe } from '../setup';

/**
 * What the bench is set up for, and the stations that are worked at then, in working order. Every
 * station is reached by this list and has one name, its own or that of the step it is for.
 */
export const WAY = {
  paper: ['model', 'transmitter', 'unit', 'plan', 'program', 'proof'],
  table: ['safe'],
  'prop-off': [
    'identify',
    'ask',
    'entry',
    'settings',
    'calibration',
    'mounting',
    'sticks',
    'plain-model',
    'steering',
    'capture',
    'throws',
    'corrections',
    'level',
    'panic',
  ],
  'link-off': ['failsafe'],
  outside: ['chassis', 'preflight', 'tune', 'lock', 'logbook'],
} as const;

export type WayGroup = keyof typeof WAY;

/** What the bench is set up for there, in the words of the kind of model. */
export function wayTitle(group: WayGroup, airframe: Pick<Airframe, 'kind' | 'motors'>): string {
  switch (group) {
    case 'paper':
      return 'On paper';
    case 'table':
      return 'At the table, nothing powered';
    case 'prop-off':
      // Nothing need come off a model without a motor.
      return airframe.motors.length > 0 ? kindOf(airframe).bench.powered : 'Powered';
    case 'link-off':
      return 'Link off';
    case 'outside':
      return 'Outside';
  }
}

/** Places that belong to every step: the order of work as a whole, and the rig in full. */
export const EVERYWHERE = { job: 'The whole job', rig: 'Rig', fly: 'Fly' } as const;

/** Of those, the ones that take the whole window: nothing stands beside or below them. */
export const isWhole = (id: StationId | undefined): boolean => id === 'rig' || id === 'fly';

export type PlaceId = (typeof WAY)[WayGroup][number];
export type StationId = PlaceId | keyof typeof EVERYWHERE;

export const PLACE_IDS: readonly PlaceId[] = Object.values(WAY).flat();
export const STATION_IDS: readonly StationId[] = [
  ...PLACE_IDS,
  ...(Object.keys(EVERYWHERE) as (keyof typeof EVERYWHERE)[]),
];
