import type { SentenceId, Sentence } from '../wishing';
import { cut } from './cut';
import { brake, capture, flaps, gear } from './devices';
import { failsafe } from './failsafe';
import { gain } from './gain';
import { lock } from './lock';
import { launch } from './launch';
import { modes } from './modes';
import { panic } from './panic';
import { rates } from './rates';
import { reverse } from './reverse';
import { timer, voice } from './voice';

/** Everything that can be chosen, as it is read from top to bottom. One without its sentence does not compile. */
export const SENTENCES: Readonly<Record<SentenceId, Sentence>> = {
  modes,
  gain,
  lock,
  panic,
  cut,
  failsafe,
  reverse,
  rates,
  flaps,
  gear,
  brake,
  capture,
  launch,
  voice,
  timer,
};
