import { describe, expect, it } from 'vitest';
import { airframe, planned, transmitterLike, unitLike } from '../../../../tests/setups/kit';
import {
  iceCar,
  jet,
  lockedGain,
  numberedModes,
  recoveryChannel,
} from '../../../../tests/setups/all';
import type { GainWish, Setup } from '../../setup';
import { choose } from '../wishes';
import {
  flapsOn,
  gainWays,
  gainsFor,
  jobsFor,
  launchControl,
  usualGain,
  usualRates,
} from './index';

const wishesOf = (setup: Setup) => setup.intents.program;
const jobIds = (setup: Setup, control: string) =>
  jobsFor(
    setup,
    wishesOf(setup),
    setup.transmitter.controls.find((c) => c.id === control)!,
  ).map((j) => (j.now ? `${j.id} now` : j.id));
/** Every control of a set-up with what it may be made to do. */
const offers = (setup: Setup) =>
  Object.fromEntries(
    setup.transmitter.controls
      .filter((c) => c.kind !== 'stick' && c.kind !== 'trim')
      .map((c) => [`${c.id}, ${c.kind}`, jobIds(setup, c.id).join(', ')]),
  );

describe('what a control can be made to do', () => {
  it('is what the model, the unit and the control allow', () => {
    expect({
      car: offers(iceCar.make()),
      recovery: offers(recoveryChannel.make()),
    }).toMatchInlineSnapshot(`
      {
        "car": {
          "dial, knob": "gain now",
          "sa, switch-2": "gain-values, cut now, rates",
          "sb, switch-2": "gain-values, cut, rates",
        },
        "recovery": {
          "k1, knob": "gain now",
          "k2, knob": "gain",
          "l1, slider": "gain",
          "l2, slider": "gain",
          "sa, switch-3": "modes now, gain-values, panic, cut, rates, launch",
          "sb, switch-3": "modes, gain-values, panic, cut, rates, launch",
          "sc, switch-3": "modes, gain-values, panic, cut, rates, launch",
          "sd, switch-3": "modes, gain-values, panic, cut, rates, launch",
          "se, switch-3": "modes, gain-values, panic, cut, rates, launch",
          "sf, switch-3": "modes, gain-values, panic, cut, rates, launch",
          "sg, switch-2": "modes, gain-values, panic, cut now, rates, launch",
          "sh, switch-2": "modes, gain-values, panic, cut, rates, launch",
          "sm, momentary": "panic now, launch",
        },
      }
    `);
  });
  it.each([
    ['car', iceCar],
    ['jet', jet],
    ['recovery', recoveryChannel],
    ['locked gain', lockedGain],
  ])('%s: each is a whole set of choices, of which one has changed', (_, { make }) => {
    const setup = make();
    for (const control of setup.transmitter.controls)
      for (const job of jobsFor(setup, wishesOf(setup), control)) {
        const before = wishesOf(setup);
        const changed = Object.keys(job.next).filter(
          (k) =>
            JSON.stringify(job.next[k as keyof typeof before]) !==
            JSON.stringify(before[k as keyof typeof before]),
        );
        expect(changed.length, `${control.id} ${job.id}`).toBeLessThanOrEqual(1);
      }
  });
});

describe('first figures', () => {
  it('a gain for each way the unit has, that can be written', () => {
    const setup = recoveryChannel.make();
    const written = gainWays(setup).map((by): [GainWish['by'], boolean] => [
      by,
      choose(setup, { wish: 'gain', value: usualGain(setup, by, wishesOf(setup)) }).ok,
    ]);
    expect(written.length).toBeGreaterThan(2);
    expect(written.filter(([, ok]) => !ok)).toEqual([]);
  });
  it('values for another switch keep the existing ones', () => {
    const setup = jet.make();
    const three = setup.transmitter.controls.find((c) => c.kind === 'switch-3')!.id;
    const two = setup.transmitter.controls.find((c) => c.kind === 'switch-2')!.id;
    expect(gainsFor(setup, three, [10, 20])).toEqual([10, 20, 20]);
    expect(gainsFor(setup, two, [10, 20, 30])).toEqual([10, 20]);
    expect(gainsFor(setup, two, [])).toEqual([40, 40]);
  });
  it('flaps half way where their channel can send that, and not where it cannot', () => {
    const setup = planned('Smew', {
      airframe: airframe('conventional', { flaps: true }),
      unit: unitLike('menu-receiver', {}),
      transmitter: transmitterLike('line-eight', {}),
    });
    const three = setup.transmitter.controls.find((c) => c.kind === 'switch-3')!.id;
    expect(flapsOn(setup, three).downPct).toEqual([0, 50, 100]);
    const channel = setup.program.outputs.find((o) => o.carries === 'flap')!.channel;
    const stepped = { ...setup, transmitter: { ...setup.transmitter, switchOnly: [channel] } };
    const flaps = flapsOn(stepped, three);
    expect(flaps.downPct).toEqual([0, 100, 100]);
    expect(choose(stepped, { wish: 'flaps', value: flaps }).ok).toBe(true);
  });
  it('rates on a switch need one', () => {
    const setup = numberedModes.make();
    expect(usualRates(setup, 'switch')).toMatchObject({ by: 'switch' });
    const none = { ...setup, transmitter: { ...setup.transmitter, controls: [] } };
    expect(usualRates(none, 'switch')).toBeUndefined();
    expect(launchControl(none, wishesOf(setup))).toBeUndefined();
  });
});
