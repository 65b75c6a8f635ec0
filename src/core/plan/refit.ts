import {
  functionOf,
  isOrder,
  type Airframe,
  type Program,
  type RatesWish,
  type Setup,
  type Transmitter,
  type Unit,
} from '../setup';
import { composeSetup } from './compose';
import { DEAR_WAYS } from './channels';
import { orderFunctions, type Mixer } from './functions';
import { applyPlan, planFor } from './replan';
import { rewrite } from './wishes/write';

/** What is taken off a model and what is put in its place. */
export interface Refit {
  airframe?: Airframe;
  unit?: Unit;
  transmitter?: Transmitter;
  mixer?: Mixer;
}

export type Refitted = { ok: true; setup: Setup } | { ok: false; reasons: string[] };

/**
 * A Setup with another airframe, unit, transmitter or mixer, planned again. What was set for a
 * function that is still there goes with it; what belonged to the part taken off goes with that.
 */
export function refit(setup: Setup, change: Refit): Refitted {
  if (change.unit || change.transmitter) return composeAnew(setup, change);
  const next: Setup = {
    ...setup,
    airframe: change.airframe ?? setup.airframe,
    intents: { ...setup.intents, ...(change.mixer ? { mixer: change.mixer } : {}) },
  };
  if (change.mixer) return composeAnew(next, { unit: setup.unit });
  const plan = planFor(next);
  if (plan.impossible.length > 0) return { ok: false, reasons: plan.impossible };
  const given = planFor(setup).taken.map((w) => w.id);
  const costly = plan.taken.filter((w) => DEAR_WAYS.has(w.id) && !given.includes(w.id));
  if (costly.length > 0)
    return {
      ok: false,
      reasons: costly.map(
        ({ title, costs }) =>
          `There is no channel left for it. Possible only this way: ${title.toLowerCase()}. ${costs}`,
      ),
    };
  return { ok: true, setup: applyPlan(next, plan, next.intents.wishes, next.intents.pins) };
}

function composeAnew(setup: Setup, change: Refit): Refitted {
  const airframe = change.airframe ?? setup.airframe;
  const unit = change.unit ?? setup.unit;
  const transmitter = change.transmitter ?? setup.transmitter;
  const { mixer } = setup.intents;
  const told = orderFunctions(unit);
  const wishes = setup.intents.wishes.filter(
    (w) => !isOrder(w) || told.includes(w) || functionOf(w).tunes,
  );
  // Pins that the new parts cannot keep are let go rather than stand in the way.
  for (const pins of [setup.intents.pins, []]) {
    const fresh = composeSetup(setup.name, airframe, unit, transmitter, wishes, pins, mixer);
    if (fresh.program.outputs.length === 0) continue;
    const sits = setup.installation.mounting;
    const orientation = unit.traits.orientations.includes(sits)
      ? sits
      : fresh.unit.settings.orientation;
    const next: Setup = {
      ...fresh,
      notes: setup.notes,
      program: carryOver(setup.program, fresh.program),
      unit: { ...fresh.unit, settings: { ...fresh.unit.settings, orientation } },
      installation: {
        ...fresh.installation,
        ...keptInstallation(setup),
      },
      intents: {
        ...fresh.intents,
        school: setup.intents.school,
        program: { ...fresh.intents.program, rates: ratesKept(setup.intents.program.rates) },
      },
    };
    return { ok: true, setup: rewrite(next, 'rates').setup };
  }
  return { ok: false, reasons: planFor({ ...setup, airframe, unit, transmitter }).impossible };
}

/** Rates on a switch go with the switch: its last position stands without it. */
function ratesKept(rates: RatesWish): RatesWish {
  return rates.by === 'switch' ? { by: 'one', ...rates.at.at(-1)! } : rates;
}

/** Where the unit sits is a fact of the model; what the events counted stays counted. */
function keptInstallation({ installation }: Setup) {
  const { mounting, skewDeg, positionMm, secondHand, revisions } = installation;
  return { mounting, skewDeg, positionMm, secondHand, revisions };
}

/** Reversal, ends, subtrim and rates belong to the servo and the hand, whatever sends them. */
function carryOver(before: Program, fresh: Program): Program {
  return {
    ...fresh,
    outputs: fresh.outputs.map((o) => {
      const old = before.outputs.find((b) => b.carries === o.carries);
      return old ? { ...old, channel: o.channel } : o;
    }),
    inputs: fresh.inputs.map((input) => {
      const old = before.inputs.find((b) => b.id === input.id);
      const last = old?.rates.at(-1);
      // A rate tied to a switch goes with the switch; what the person set without one stays.
      return last && !last.owner ? { ...input, rates: [last] } : input;
    }),
  };
}
