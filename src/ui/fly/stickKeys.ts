import { usesOf, type Setup } from '@/core/setup';

/** The stick a key moves, and which way; the throttle stays where it is let go. */
type Stick = 'aside' | 'fore' | 'rudder' | 'throttle';
const KEYS: Readonly<Record<string, readonly [Stick, -1 | 1]>> = {
  ArrowLeft: ['aside', -1],
  ArrowRight: ['aside', 1],
  ArrowUp: ['fore', 1],
  ArrowDown: ['fore', -1],
  a: ['rudder', -1],
  d: ['rudder', 1],
  w: ['throttle', 1],
  s: ['throttle', -1],
};

/** Percent of its travel a second: out while a key is held, back once it is let go; the throttle. */
const OUT = 250;
const BACK = 500;
const POWER = 80;

/** A key by its name, small or capital alike. */
export const keyOf = ({ key }: Pick<KeyboardEvent, 'key'>): string =>
  key.length === 1 ? key.toLowerCase() : key;

export const isStickKey = (key: string): boolean => key in KEYS;

/** Which control each pair of keys moves: one that the program does not read is none. */
export function sticksOf(setup: Setup): Partial<Record<Stick, string>> {
  const uses = usesOf(setup);
  const one = (...hands: readonly string[]) =>
    hands
      .map((hand) => setup.transmitter.controls.find((c) => c.kind === 'stick' && c.hand === hand))
      .find((c) => c && uses.has(c.id))?.id;
  const found = {
    aside: one('aileron', 'rudder'),
    fore: one('elevator'),
    rudder: one('rudder'),
    throttle: one('throttle'),
  };
  return Object.fromEntries(Object.entries(found).filter(([, id]) => id !== undefined));
}

/**
 * Sticks after a while of keys held; a stick no key has moved stays where a finger has it.
 * @param held keys that are down @param led sticks that keys have moved: back to the middle, they are let go
 */
export function moveSticks(
  sticks: Partial<Record<Stick, string>>,
  values: Readonly<Record<string, number>>,
  held: ReadonlySet<string>,
  led: Set<Stick>,
  forS: number,
): Record<string, number> {
  const wanted = { aside: 0, fore: 0, rudder: 0, throttle: 0 };
  for (const key of held) {
    const move = KEYS[key];
    if (!move) continue;
    wanted[move[0]] += move[1];
    led.add(move[0]);
  }
  const moved: Record<string, number> = {};
  for (const stick of led) {
    const id = sticks[stick];
    if (id === undefined) continue;
    const now = values[id] ?? 0;
    const way = wanted[stick];
    const to =
      stick === 'throttle'
        ? now + way * POWER * forS
        : way !== 0
          ? now + way * OUT * forS
          : now - Math.sign(now) * Math.min(Math.abs(now), BACK * forS);
    const next = Math.round(Math.max(-100, Math.min(100, to)) * 10) / 10;
    if (next !== now) moved[id] = next;
    if (way === 0 && (stick === 'throttle' || next === 0)) led.delete(stick);
  }
  return moved;
}
