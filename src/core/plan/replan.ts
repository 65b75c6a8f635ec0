import {
  controlsWished,
  roleOf,
  type ChannelFunction,
  type ProgramWishes,
  type Setup,
} from '../setup';
import { planChannels, type Assignment, type ChannelPlan } from './channels';
import { mixesFor } from './mixes';
import { banksFor, plugIn, wingTypeOf } from './plugs';
import { leadPulled, untouched, usualRecovery } from './usual';
import { firstWishes } from './wishes/first';
import { rewriteAll } from './wishes/write';

/** The plan for a Setup as it stands, with other choices or pins. */
export function planFor(
  setup: Setup,
  wishes: readonly ChannelFunction[] = setup.intents.wishes,
  pins: Assignment = setup.intents.pins,
): ChannelPlan {
  const { airframe, unit, transmitter, intents } = setup;
  return planChannels({ airframe, unit, transmitter, wishes, pins, mixer: intents.mixer });
}

/**
 * Moves a Setup's functions to the channels of a plan. What the person entered for a function goes
 * with it; every choice is written for the channels there are now.
 */
export function applyPlan(
  setup: Setup,
  plan: ChannelPlan,
  wishes: readonly ChannelFunction[],
  pins: Assignment,
): Setup {
  const { program, unit, airframe } = setup;
  const target = new Map(plan.rows.map((r) => [r.carries, r.channel]));
  const moved = new Map<number, number>();
  for (const o of program.outputs) {
    const channel = target.get(o.carries);
    if (channel !== undefined) moved.set(o.channel, channel);
  }
  const carry = <T extends { channel: number }>(items: readonly T[]): T[] =>
    items.flatMap((item) => {
      const channel = moved.get(item.channel);
      return channel === undefined ? [] : [{ ...item, channel }];
    });
  const fresh = plan.rows.filter((r) => !program.outputs.some((o) => o.carries === r.carries));
  const byChannel = (a: { channel: number }, b: { channel: number }) => a.channel - b.channel;
  const { plugs, outputs } = plugIn(airframe, unit, setup.intents.mixer);
  const known = new Map(unit.settings.outputs.map((o) => [`${o.port} ${o.carries}`, o]));
  const channelled: Setup = {
    ...setup,
    program: {
      ...program,
      lines: carry(program.lines),
      outputs: [...carry(program.outputs), ...fresh.map(untouched)].toSorted(byChannel),
      failsafe: carry(program.failsafe),
    },
    unit: {
      ...unit,
      settings: {
        ...unit.settings,
        wingType: wingTypeOf(airframe, unit, setup.intents.mixer),
        ...(target.has('recovery')
          ? { recovery: unit.settings.recovery ?? usualRecovery(unit) }
          : {}),
        inputs: plan.rows.map(({ carries, channel }) => ({ carries, channel })),
        outputs: outputs.map((o) => known.get(`${o.port} ${o.carries}`) ?? o),
        ...(banksFor(unit, outputs) ? { banks: banksFor(unit, outputs)! } : {}),
      },
    },
    installation: {
      ...setup.installation,
      plugs,
      gainLead: target.has('gain') || setup.installation.gainLead,
      ...leadPulled(plan, setup.installation.gainLeadLastPct),
    },
    intents: { ...setup.intents, wishes: [...wishes], pins: [...pins] },
  };
  return rewriteAll({
    ...channelled,
    intents: { ...channelled.intents, program: wishesFor(channelled, fresh) },
  }).setup;
}

/** What was chosen, with a first choice for functions that are new and none for those that are gone. */
function wishesFor(setup: Setup, fresh: Assignment): ProgramWishes {
  const { flaps, gear, brake, mixes, devices, ...others } = setup.intents.program;
  const has = (...functions: ChannelFunction[]) =>
    setup.program.outputs.some((o) => functions.includes(o.carries));
  const {
    rates: _,
    failsafe: __,
    cut,
    devices: added = [],
    ...more
  } = firstWishes(
    setup,
    new Set(fresh.map((f) => f.carries)),
    controlsWished(setup.intents.program),
  );
  const offered = mixesFor(setup);
  const left = (mixes ?? []).filter((m) => offered.includes(m.mix));
  const works = [...(devices ?? []), ...added].filter(
    (d, i, all) =>
      setup.airframe.servos.some((s) => s.id === d.device) &&
      all.findIndex((other) => other.device === d.device) === i,
  );
  return {
    ...more,
    ...(cut && fresh.some((f) => roleOf(f.carries) === 'motor') ? { cut } : {}),
    ...others,
    ...(flaps && has('flap', 'flaperon-left') ? { flaps } : {}),
    ...(gear && has('gear') ? { gear } : {}),
    ...(brake && has('brake') ? { brake } : {}),
    ...(left.length > 0 ? { mixes: left } : {}),
    ...(works.length > 0 ? { devices: works } : {}),
  };
}
