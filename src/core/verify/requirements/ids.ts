/** Every requirement, in the order they are told. A new one is a file, its id here and a line in the table; one left out does not compile. */
export const REQUIREMENT_IDS = [
  'motor-cut',
  'motor-low',
  'motor-rest',
  'motor-lost',
  'throttle',
  'sticks',
  'sticks-alone',
  'devices',
  'devices-stop',
  'mixes',
  'linkages',
  'steering-stop',
  'corrections',
  'level',
  'modes',
  'mode-margins',
  'rest',
  'gain',
  'panic',
  'link-lost',
  'launch',
  'master-off',
  'voice',
  'gesture',
] as const;

export type RequirementId = (typeof REQUIREMENT_IDS)[number];
