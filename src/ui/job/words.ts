import type { Caution, Session } from '@/core/procedure';

export const SESSION_WORDS: Record<Session, string> = {
  paper: 'On paper',
  table: 'At the table, nothing powered',
  'prop-off': 'Powered, propeller off',
  'link-off': 'Link off, the model held',
  'prop-on': 'Outside, propeller on',
  out: 'Outside, in the air or on the run',
};

export const CAUTION_WORDS: Record<Caution, string> = {
  'prop-off': 'The propeller is off (pinion out, or wheels clear).',
  'throttle-locked': 'Throttle cut is on.',
  hold: 'The model is held, or tied: the motor may start.',
  'clear-behind': 'Nobody stands before the propeller or beside its disc.',
};
