import type { Airframe, ControlKind, Servo } from '../setup';

/** Something a control works that steers nothing: what it is called, and what it does at which value. */
export interface Device {
  /** The id of its servo. */
  id: string;
  /** What the model then has. */
  words: string;
  label: string;
  /** What works it best, best first. */
  kinds: readonly ControlKind[];
  /** What it does, by the value its channel sends. */
  states: readonly { pct: number; words: string }[];
  /** The value at which it harms nobody: where its control rests, and when the signal is lost. */
  safePct: number;
  /** It turns by itself until told to stop: at rest and without a signal it must stand still. */
  runs?: true;
  /** For models that fly, or for those on the ground or water; for both where nothing is said. */
  only?: 'air' | 'surface';
}

/** Every device; a new one is an entry here. Common practice, no source. */
export const DEVICES: readonly Device[] = [
  {
    id: 'winch',
    words: 'a winch',
    label: 'Winch',
    kinds: ['switch-3', 'switch-2'],
    states: [
      { pct: -100, words: 'pulls in' },
      { pct: 0, words: 'stops' },
      { pct: 100, words: 'lets out' },
    ],
    safePct: 0,
    runs: true,
  },
  {
    id: 'lights',
    words: 'lights',
    label: 'Lights',
    kinds: ['switch-2', 'switch-3', 'momentary'],
    states: [
      { pct: -100, words: 'off' },
      { pct: 100, words: 'on' },
    ],
    safePct: -100,
  },
  {
    id: 'hook',
    words: 'a tow hook',
    label: 'Tow hook',
    kinds: ['switch-2', 'momentary', 'switch-3'],
    states: [
      { pct: -100, words: 'closed' },
      { pct: 100, words: 'open' },
    ],
    safePct: -100,
    only: 'air',
  },
];

export const deviceOf = (servo: string): Device | undefined => DEVICES.find((d) => d.id === servo);

/** The devices of a model, each with its servo. */
export const devicesOf = ({ servos }: Airframe): { device: Device; servo: Servo }[] =>
  servos.flatMap((servo) => {
    const device = deviceOf(servo.id);
    return device ? [{ device, servo }] : [];
  });
