import { compileChain, stickOf, STICK_ASKS } from '../../chain';
import { authority } from '../../model';
import { pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

/** Above this a panicked stick can turn a recovery into another emergency. Common practice, no source. */
const LARGE_DEG = { roll: 35, pitch: 55 } as const;
const SMALL_DEG = 15;

export const panicBank: Rule = {
  id: 'M12',
  title: 'Panic still lets the stick ask for a large bank',
  why: 'People who press panic often hold a stick fully over as well.',
  check(setup, proof): Found[] {
    const { panic } = proof;
    if (!panic || !proof.rows.some((r) => r.panic?.righted)) return [];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    memory.armed = true;
    const hands = chain.restStimulus();
    hands.controls[panic.at] = panic.value;
    for (const dtS of [0, 5, 5]) chain.step({ ...hands, dtS }, memory, frame);
    const own = frame.recovering;
    const { recovery, angleLimitsDeg } = setup.unit.settings;
    // The angle at which nothing is left to ask: the stick over, the model tipped until it is content.
    const limits = (
      [
        ['roll', 'aileron', own ? recovery!.rollLimitDeg : angleLimitsDeg.roll],
        [
          'pitch',
          'elevator',
          own
            ? recovery!.pitchLimitDeg
            : Math.max(angleLimitsDeg.pitchUp, angleLimitsDeg.pitchDown),
        ],
      ] as const
    ).filter(
      ([axis, hand, deg]) =>
        deg > LARGE_DEG[axis] &&
        setup.unit.traits.axes.includes(axis) &&
        setup.airframe.surfaces.some((s) => authority(setup.airframe, s)[axis]) &&
        stickOf(setup.transmitter, hand) >= 0,
    );
    return limits.map(([axis, hand, deg]): Found => {
      const keys = own
        ? [axis === 'roll' ? 'rollLimitDeg' : 'pitchLimitDeg']
        : axis === 'roll'
          ? ['roll']
          : (['pitchUp', 'pitchDown'] as const).filter((k) => angleLimitsDeg[k] > LARGE_DEG.pitch);
      const path = (key: string) =>
        own
          ? pointer('unit', 'settings', 'recovery', key)
          : pointer('unit', 'settings', 'angleLimitsDeg', key);
      const value = own ? SMALL_DEG : LARGE_DEG[axis];
      const stick = setup.transmitter.controls[stickOf(setup.transmitter, hand)]!;
      return {
        severity: 'caution',
        says: `While panic is held a full ${hand} stick asks for ${deg}° of ${axis === 'roll' ? 'bank' : 'pitch'}.`,
        where: path(keys[0]!),
        about: { axis },
        witness: {
          controls: { [panic.id]: panic.value, [stick.id]: 100 * STICK_ASKS[axis] },
          words: `panic held, ${hand} stick fully over`,
          steps: [
            { control: panic.id, value: panic.value },
            { waitS: 1.5 },
            { control: stick.id, value: 100 * STICK_ASKS[axis] },
          ],
        },
        remedies: [
          {
            label: own
              ? `Limit the ${axis === 'roll' ? 'bank' : 'pitch'} in recovery to ${SMALL_DEG}°`
              : `Limit the ${axis === 'roll' ? 'bank' : 'pitch'} in self-levelling to ${value}°`,
            patch: keys.map((key) => ({ op: 'replace' as const, path: path(key), value })),
          },
        ],
      };
    });
  },
};
