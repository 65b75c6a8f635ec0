import type { Sentence } from '../wishing';
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

/** Everything that can be chosen, as it is read from top to bottom. A new one is a file and a word here. */
export const SENTENCES: readonly Sentence[] = [
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
];
