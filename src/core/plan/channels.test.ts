import { describe, expect, it } from 'vitest';
import {
  TRANSMITTERS,
  UNITS,
  buildAirframe,
  usualAnswers,
  type AirframeAnswers,
} from '../catalogue';
import { predictAll } from '../directions';
import { parseSetup, type ChannelFunction, type Transmitter } from '../setup';
import { verify } from '../verify';
import { applyPlan, composeSetup, planChannels, planFor, type Assignment } from './index';

function plan(
  answers: Partial<AirframeAnswers>,
  unit: string,
  transmitter: string,
  wishes: ChannelFunction[] = [],
  pins: Assignment = [],
) {
  const airframe = buildAirframe({ ...usualAnswers('conventional'), ...answers });
  return planChannels({
    airframe,
    unit: UNITS[unit]!,
    transmitter: TRANSMITTERS[transmitter]!,
    wishes,
    pins,
  });
}
const channels = (p: ReturnType<typeof plan>) =>
  Object.fromEntries(p.rows.map((r) => [r.carries, r.channel]));

describe('channel planner', () => {
  it('keeps the order a unit fixes, even where a function is missing', () => {
    const p = plan(
      { kind: 'three-channel', ailerons: 'none' },
      'fixed-order-receiver',
      'line-sixteen',
    );
    expect(channels(p)).toMatchObject({ elevator: 2, throttle: 3, rudder: 4 });
    expect(Math.min(...p.rows.map((r) => r.channel))).toBe(2);
  });
  it('gives a stick that only gestures need a channel where one is free, and says so where none is', () => {
    const roomy = plan({ kind: 'flying-wing' }, 'gesture-stabilizer', 'line-sixteen');
    expect(roomy.rows.find((r) => r.carries === 'rudder')).toMatchObject({
      channel: 4,
      reason: 'The unit’s gestures need the rudder stick.',
    });
    const narrow = planChannels({
      airframe: buildAirframe(usualAnswers('flying-wing')),
      unit: {
        ...UNITS['gesture-stabilizer']!,
        traits: {
          ...UNITS['gesture-stabilizer']!.traits,
          inputOrder: { kind: 'free' },
          inputChannels: 4,
        },
      },
      transmitter: TRANSMITTERS['line-sixteen']!,
      wishes: [],
      pins: [],
    });
    expect(narrow.impossible).toEqual([]);
    expect(narrow.rows.map((r) => r.carries).toSorted()).toEqual([
      'aileron',
      'elevator',
      'mode',
      'throttle',
    ]);
    expect(narrow.notes).toEqual([
      'No channel is free for the rudder stick: the unit’s gestures need it.',
    ]);
  });
  it('follows the transmitter where the unit does not care', () => {
    expect(channels(plan({}, 'menu-receiver', 'function-eight'))).toMatchObject({
      throttle: 1,
      aileron: 2,
      elevator: 3,
      rudder: 4,
    });
  });
  it('six channels with everything wished: the switch-only channel is used and said, and what gives is named', () => {
    const everything = plan(
      { ailerons: 'y-lead', flaps: true, gear: true },
      'menu-receiver',
      'switch-value-six',
    );
    expect(everything.impossible).toEqual([]);
    expect(everything.rows.some((r) => r.channel === 7)).toBe(true);
    expect(everything.notes.join()).toMatch(/Channel 7 is used for .*: it carries a switch only/);
    expect(everything.taken.map((w) => w.id)).toEqual(['gear-with-flap']);
  });
  it('six channels and two aileron outputs: the Y-lead comes first', () => {
    const p = plan({ ailerons: 'two-outputs', flaps: true }, 'menu-receiver', 'switch-value-six');
    expect(p.taken.map((w) => w.id)).toEqual(['y-lead']);
    expect(p.choices[0]![0]!.costs).toContain('differential');
    expect(p.choices.length).toBeGreaterThan(1);
  });
  it('never gives gain to a channel that carries a switch only', () => {
    for (const unit of Object.keys(UNITS)) {
      const p = plan({ flaps: true }, unit, 'switch-value-six');
      for (const row of p.rows.filter((r) => r.channel === 7)) expect(row.carries).not.toBe('gain');
    }
  });
  it('does not drop a gain lead the unit would take for nothing', () => {
    const p = plan(
      { ailerons: 'two-outputs', flaps: true, gear: true },
      'satellite-gyro',
      'switch-value-six',
    );
    for (const ways of p.choices) expect(ways.map((w) => w.id)).not.toContain('drop-gain-lead');
  });
  it('says which channel a shorter link would lose', () => {
    const p = plan({ flaps: true, gear: true }, 'menu-receiver', 'function-eight');
    expect(p.notes.join()).toMatch(/Automatic, seven channels.*would not reach the receiver/);
  });
  it('says when and why it is impossible', () => {
    expect(
      plan({ kind: 'car', ailerons: 'none' }, 'menu-receiver', 'surface-four').impossible[0],
    ).toMatch(/made for aeroplanes/);
    expect(plan({}, 'menu-receiver', 'surface-four').impossible[0]).toMatch(/no aileron stick/);
    const small = {
      ...TRANSMITTERS['line-eight']!,
      channels: 4,
      linkVariants: [{ id: 'full', label: 'Four', channels: 4 }],
    };
    const airframe = buildAirframe({ ...usualAnswers('conventional'), flaps: true });
    const request = { airframe, unit: UNITS['menu-receiver']!, wishes: [], pins: [] };
    expect(planChannels({ ...request, transmitter: small }).impossible[0]).toMatch(
      /need more than the transmitter sends: 4 channels/,
    );
  });
  it('keeps pinned rows and plans round them, or says it cannot', () => {
    const p = plan({}, 'menu-receiver', 'line-sixteen', [], [{ carries: 'mode', channel: 9 }]);
    expect(p.rows.find((r) => r.carries === 'mode')).toMatchObject({ channel: 9, pinned: true });
  });
  it.each<[string, Partial<Transmitter>, ChannelFunction, number, RegExp]>([
    [
      'more than is sent',
      { channels: 6, linkVariants: [{ id: 'full', label: 'Six', channels: 6 }], link: 'full' },
      'gain',
      7,
      /^The transmitter sends 6 channels: gain cannot be on channel 7\.$/,
    ],
    [
      'a link that carries fewer',
      {
        linkVariants: [
          { id: 'auto', label: 'Automatic', channels: 7 },
          { id: 'eight', label: 'Eight', channels: 8 },
        ],
        link: 'auto',
      },
      'gain',
      8,
      /^The link “Automatic” carries 7 channels: gain cannot be on channel 8\. Choose the link “Eight” first\.$/,
    ],
    [
      'a channel for a switch alone',
      { switchOnly: [7] },
      'aileron',
      7,
      /^Channel 7 carries a switch only: aileron cannot be on channel 7\.$/,
    ],
  ])(
    'a pin that cannot be had names what is in its way: %s',
    (_, more, carries, channel, words) => {
      const p = planChannels({
        airframe: buildAirframe(usualAnswers('conventional')),
        unit: UNITS['menu-receiver']!,
        transmitter: { ...TRANSMITTERS['line-eight']!, switchOnly: [], ...more },
        wishes: [],
        pins: [{ carries, channel }],
      });
      expect(p.impossible).toHaveLength(1);
      expect(p.impossible[0]).toMatch(words);
    },
  );
  it('is deterministic', () => {
    const make = () =>
      plan(
        { flaps: true, gear: true, ailerons: 'two-outputs' },
        'wizard-receiver',
        'function-eight',
        ['recovery'],
      );
    expect(make()).toEqual(make());
  });
});

describe('replanning a Setup', () => {
  it('takes what was entered for a function along to its new channel', () => {
    const airframe = buildAirframe(usualAnswers('conventional'));
    const setup = composeSetup(
      'T',
      airframe,
      UNITS['menu-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
    setup.program.outputs.find((o) => o.carries === 'rudder')!.subtrimPct = 7;
    const pins = [{ carries: 'rudder' as const, channel: 8 }];
    const next = applyPlan(setup, planFor(setup, ['recovery'], pins), ['recovery'], pins);
    expect(parseSetup(next)).toMatchObject({ ok: true });
    expect(next.program.outputs.find((o) => o.carries === 'rudder')).toMatchObject({
      channel: 8,
      subtrimPct: 7,
    });
    expect(next.program.outputs.some((o) => o.carries === 'recovery')).toBe(true);
    expect(verify(next).filter((f) => f.severity === 'stop')).toEqual([]);
    expect([...predictAll(next)].map(([id, p]) => [id, p.get('rudder')!.movement])).toEqual(
      [...predictAll(setup)].map(([id, p]) => [id, p.get('rudder')!.movement]),
    );
  });
});
