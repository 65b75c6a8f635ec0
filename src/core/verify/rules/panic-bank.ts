import { pointer } from '../../setup';
import { proofOf } from '../explore';
import type { Rule } from '../finding';
import { witnessOf } from '../witness';

/** Above this a panicked stick can turn a recovery into another emergency. Common practice, no source. */
const LARGE_DEG = 35;
const SMALL_DEG = 15;

export const panicBank: Rule = {
  id: 'M12',
  title: 'Panic still lets the stick ask for a large bank',
  why: 'Whoever presses panic has often pushed a stick right over as well.',
  check(setup) {
    const proof = proofOf(setup);
    const { panic } = proof;
    if (!panic) return [];
    const row = proof.rows.find((r) => r.panic?.righted);
    if (!row) return [];
    const { recovery, angleLimitsDeg } = setup.unit.settings;
    // With a channel of its own recovery brings its limits along; by the mode it has the mode's.
    const own =
      recovery !== undefined &&
      setup.unit.settings.inputs.some((i) => i.carries === 'recovery') &&
      setup.program.lines.some(
        (l) =>
          l.purpose === 'panic' &&
          setup.program.outputs.find((o) => o.channel === l.channel)?.carries === 'recovery',
      );
    const limitDeg = own ? recovery.rollLimitDeg : angleLimitsDeg.roll;
    if (limitDeg <= LARGE_DEG) return [];
    const path = own
      ? pointer('unit', 'settings', 'recovery', 'rollLimitDeg')
      : pointer('unit', 'settings', 'angleLimitsDeg', 'roll');
    return [
      {
        severity: 'caution',
        says: `While panic is held a full aileron stick asks for ${limitDeg}° of bank.`,
        where: path,
        witness: witnessOf(
          setup,
          row.path,
          'panic held, aileron stick right over',
          { control: panic.at, value: panic.value },
          { waitS: 1.5 },
        ),
        remedies: [
          {
            label: own
              ? `Limit the bank in recovery to ${SMALL_DEG}°`
              : `Limit the bank in self-levelling to ${LARGE_DEG}°`,
            patch: [{ op: 'replace', path, value: own ? SMALL_DEG : LARGE_DEG }],
          },
        ],
      },
    ];
  },
};
