import type { ChannelFunction, Setup } from '../setup';
import { planChannels, type Assignment, type ChannelPlan } from './channels';
import { usualRecovery } from './compose';
import { plugIn, wingTypeOf } from './plugs';
import { chooseHands, writeProgram } from './program';

/** The plan for a Setup as it stands, with other wishes or pins. */
export function planFor(
  setup: Setup,
  wishes: readonly ChannelFunction[] = setup.intents.wishes,
  pins: Assignment = setup.intents.pins,
): ChannelPlan {
  const { airframe, unit, transmitter, intents } = setup;
  return planChannels({ airframe, unit, transmitter, wishes, pins, mixer: intents.mixer });
}

/**
 * Moves a Setup's functions to the channels of a plan. What was entered for a function goes with it;
 * functions new to the plan get a first program, functions no longer in it are taken out.
 */
export function applyPlan(
  setup: Setup,
  plan: ChannelPlan,
  wishes: readonly ChannelFunction[],
  pins: Assignment,
): Setup {
  const { program, unit, transmitter, airframe } = setup;
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
  const fresh: Assignment = plan.rows.filter(
    (r) => !program.outputs.some((o) => o.carries === r.carries),
  );
  const hands = chooseHands(transmitter, airframe, unit, new Set(target.keys()));
  const more = writeProgram(transmitter, fresh, hands, unit.traits.gainLaw);
  // Recovery that is new to a program with a gain channel needs its gain line there as well.
  const gain = plan.rows.find((r) => r.carries === 'gain');
  const panicGain =
    gain && fresh.some((r) => r.carries === 'recovery') && !fresh.includes(gain)
      ? writeProgram(transmitter, [gain], hands, unit.traits.gainLaw).lines.filter(
          (l) => l.purpose === 'panic',
        )
      : [];
  const taken = new Set(program.lines.map((l) => l.id));
  const lines = [...more.lines, ...panicGain].map((line) => {
    let id = line.id;
    for (let n = 1; taken.has(id); n++) id = `${line.id}-${n}`;
    taken.add(id);
    return { ...line, id };
  });
  const byChannel = (a: { channel: number }, b: { channel: number }) => a.channel - b.channel;
  const { plugs, outputs } = plugIn(airframe, unit, setup.intents.mixer);
  const known = new Map(unit.settings.outputs.map((o) => [`${o.port} ${o.carries}`, o]));
  return {
    ...setup,
    program: {
      ...program,
      inputs: [
        ...program.inputs,
        ...more.inputs.filter((i) => !program.inputs.some((old) => old.id === i.id)),
      ],
      lines: [...carry(program.lines), ...lines],
      outputs: [...carry(program.outputs), ...more.outputs].toSorted(byChannel),
      failsafe: [...carry(program.failsafe), ...more.failsafe].toSorted(byChannel),
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
      },
    },
    installation: {
      ...setup.installation,
      plugs,
      gainLead: target.has('gain') || setup.installation.gainLead,
    },
    intents: { ...setup.intents, wishes: [...wishes], pins: [...pins] },
  };
}
