import {
  buildAirframe,
  TRANSMITTERS,
  UNITS,
  usualAnswers,
  type AirframeAnswers,
} from '@/core/catalogue';
import {
  movedPart,
  newPartsFor,
  placeOf,
  VARIANTS,
  withoutPart,
  withPart,
  withServo,
} from '@/core/model';
import { choose, composeSetup, mixesFor, withMix } from '@/core/plan';
import {
  AIRFRAME_KINDS,
  leadChoices,
  measured,
  kindOf,
  servedBy,
  type Airframe,
  type Setup,
} from '@/core/setup';
import { randomOf } from './random-program';

/** A model made by dice, and how; or why it cannot be. */
export type Made =
  | { ok: true; name: string; setup: Setup; mixes: string[] }
  | { ok: false; name: string; reasons: readonly string[] };

/** Leads of the second of a pair that carry something of their own. */
function withLeadsBy(airframe: Airframe, random: () => number): Airframe {
  const { onSurface } = kindOf(airframe);
  const seen = new Set<string>();
  const carrying = <T extends Airframe['servos'][number] | Airframe['motors'][number]>(
    list: readonly T[],
  ): T[] =>
    list.map((item) => {
      const base = servedBy(item.carries);
      const second = seen.has(base);
      seen.add(base);
      const choices = leadChoices(base, onSurface);
      return second && random() < 0.5
        ? { ...item, carries: choices[Math.floor(random() * choices.length)]! }
        : item;
    });
  return { ...airframe, servos: carrying(airframe.servos), motors: carrying(airframe.motors) };
}

/**
 * A model by dice: kind, answers, what it has besides, leads, places, unit, transmitter, mixes. Made by the
 * application's own means only.
 */
export function randomModel(seed: number): Made {
  const random = randomOf(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const coin = (share = 0.5) => random() < share;
  const kind = pick(AIRFRAME_KINDS);
  const usual = usualAnswers(kind);
  const { onSurface } = kindOf({ kind });
  const answers: AirframeAnswers = onSurface
    ? usual
    : {
        ...usual,
        ailerons:
          usual.ailerons === 'none'
            ? 'none'
            : pick(['one-servo', 'y-lead', 'two-outputs', 'two-outputs', 'flaperons']),
        flaps: coin(),
        gear: coin(0.3),
        brake: coin(0.2),
        wheel: pick(['none', 'shared', 'separate']),
        motors: pick([0, 1, 1, 2]),
        rudder: coin(),
      };
  let airframe = measured(buildAirframe(answers));
  const besides: string[] = [];
  for (const variant of VARIANTS) {
    if (!coin(0.25) || !variant.fits(airframe) || variant.has(airframe)) continue;
    airframe = variant.add(airframe);
    besides.push(variant.id);
  }
  for (const { id } of newPartsFor(airframe)) {
    if (!coin(0.12)) continue;
    const more = withPart(airframe, id);
    if (!more.ok) continue;
    airframe = more.airframe;
    besides.push(`more ${id}`);
  }
  if (coin(0.15) && airframe.surfaces.length > 0) {
    const less = withoutPart(airframe, pick(airframe.surfaces).id);
    if (less.ok) {
      airframe = less.airframe;
      besides.push('one part less');
    }
  }
  airframe = withLeadsBy(airframe, random);
  if (coin(0.25) && airframe.surfaces.length > 0) {
    const more = withServo(airframe, pick(airframe.surfaces).id);
    if (more.ok) {
      airframe = more.airframe;
      besides.push('one servo more');
    }
  }
  if (coin(0.4) && airframe.surfaces.length > 0) {
    const surface = pick(airframe.surfaces);
    const place = placeOf(airframe, surface);
    const moved = movedPart(airframe, surface.id, {
      forwardMm: Math.round(place.forwardMm * (0.8 + 0.4 * random())),
      rightMm: Math.round(place.rightMm * (0.8 + 0.4 * random())),
    });
    if (moved.ok) airframe = moved.airframe;
  }
  const unit = pick(Object.keys(UNITS));
  const transmitter = pick(Object.keys(TRANSMITTERS));
  const name = `${seed}: ${kind}, ${unit}, ${transmitter}, ${besides.join(' + ') || 'plain'}`;
  const setup = composeSetup(`Model ${seed}`, airframe, UNITS[unit]!, TRANSMITTERS[transmitter]!);
  if (setup.program.outputs.length === 0) return { ok: false, name, reasons: ['no plan'] };
  let made = setup;
  const mixes: string[] = [];
  for (const id of mixesFor(setup)) {
    if (!coin()) continue;
    const value = withMix(made, made.intents.program, id).mixes;
    const next = choose(made, { wish: 'mixes', value }, 'all');
    if (!next.ok) {
      if (next.reasons.length === 0) throw new Error(`${name}: ${id} refused without a reason`);
      continue;
    }
    made = next.setup;
    mixes.push(id);
  }
  return { ok: true, name: `${name}; ${mixes.join(' + ') || 'no mix'}`, setup: made, mixes };
}
