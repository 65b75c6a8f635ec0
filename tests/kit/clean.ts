import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { composeSetup, failsafeSchools, panicWays, unsuited, writeWishes } from '@/core/plan';
import {
  AIRFRAME_KINDS,
  FAILSAFE_SCHOOLS,
  kindOf,
  PANIC_WAYS,
  type ProgramWishes,
  type Setup,
} from '@/core/setup';
import { randomOf } from './random-program';

const SURFACE: readonly string[] = ['surface-four', 'surface-six'];

/** A Setup as the planner makes it for choices thrown by dice; undefined where they do not go together. */
export function cleanSetup(seed: number): { name: string; setup: Setup } | undefined {
  const random = randomOf(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const kind = pick(AIRFRAME_KINDS);
  const unit = pick(Object.keys(UNITS));
  const ground = kindOf({ kind }).onSurface;
  const tx = ground
    ? pick(SURFACE)
    : pick(Object.keys(TRANSMITTERS).filter((t) => !SURFACE.includes(t)));
  const airframe = buildAirframe({
    ...usualAnswers(kind),
    ...(ground ? {} : { flaps: random() < 0.3, gear: random() < 0.2 }),
  });
  if (unsuited(airframe, UNITS[unit]!).length > 0) return undefined;
  const base = composeSetup('Clean', airframe, UNITS[unit]!, TRANSMITTERS[tx]!);
  if (base.program.outputs.length === 0) return undefined;
  base.installation.unitHardware = '1';
  base.installation.unitFirmware = '1';
  const { controls } = base.transmitter;
  const wishes: ProgramWishes = { ...base.intents.program };
  const button = controls.find((c) => c.kind === 'momentary');
  const ways = PANIC_WAYS.filter((w) => w !== 'mode-position' && panicWays(base)[w] === undefined);
  const way = pick(ways);
  if (!ground && button && way !== 'none')
    wishes.panic = { way, control: button.id, holdS: pick([0, 0.2, 0.3]), gainPct: 60 };
  else delete wishes.panic;
  const schools = FAILSAFE_SCHOOLS.filter((s) => failsafeSchools(base)[s] === undefined);
  if (!ground) wishes.failsafe = { school: pick(schools), pitchDeg: 3, rollDeg: 12 };
  if (random() < 0.3)
    wishes.rates = {
      by: 'mode',
      off: { pct: pick([50, 70]), expoPct: 30 },
      on: { pct: 100, expoPct: 20 },
    };
  if (random() < 0.3) wishes.voice = { modes: true };
  const used = new Set([
    ...(wishes.modes?.switches ?? []),
    wishes.cut?.control,
    wishes.panic?.control,
    ...base.program.lines.flatMap((l) => (l.follows.kind === 'control' ? [l.follows.id] : [])),
  ]);
  const free = controls.filter((c) => c.kind === 'switch-3' && !used.has(c.id));
  if (wishes.gain?.by === 'knob' && free[0] && random() < 0.4)
    wishes.gain = { by: 'values', control: free[0].id, pct: [0, 40, 60] };
  const two = controls.find((c) => c.kind === 'switch-2' && !used.has(c.id));
  if (!ground && two && base.unit.traits.modes.includes('level') && random() < 0.2)
    wishes.launch = { control: two.id, holdS: 1, elevatorPct: 25, releasePct: 10 };
  const next = writeWishes(base, wishes);
  if (!next.ok) return undefined;
  return {
    name: `${seed}: ${kind}, ${unit}, ${tx}, ${JSON.stringify(wishes)}`,
    setup: next.setup,
  };
}

/** Those of the first so many seeds that go together. */
export const cleanCases = (seeds: number): { name: string; setup: Setup; seed: number }[] =>
  Array.from({ length: seeds }, (_, seed) => seed).flatMap((seed) => {
    const made = cleanSetup(seed);
    return made ? [{ ...made, seed }] : [];
  });
