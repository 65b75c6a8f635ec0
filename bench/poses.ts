import { makeSetup } from '../tests/kit/setups';
import { wished } from '../tests/kit/order-faults';
import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '../src/core/catalogue';
import { composeSetup, unsuited } from '../src/core/plan';
import { atLeastPoses, posesOf } from '../src/core/sheets';
import type { Setup } from '../src/core/setup';

/** Poses of every shipped program, beside what no choice of poses can go below. */
export function poseCounts(): void {
  const airframe = buildAirframe(usualAnswers('conventional'));
  const programs: [string, Setup][] = [
    ['usual', makeSetup()],
    [
      'panic, rates by mode',
      wished({
        rates: { by: 'mode', off: { pct: 50, expoPct: 30 }, on: { pct: 100, expoPct: 20 } },
        panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
      }),
    ],
    ...Object.entries(UNITS)
      .filter(([, unit]) => unsuited(airframe, unit).length === 0)
      .flatMap(([name, unit]) =>
        ['line-sixteen', 'function-eight', 'switch-value-ten'].map(
          (transmitter): [string, Setup] => [
            `${name}, ${transmitter}`,
            composeSetup('Posed', airframe, unit, TRANSMITTERS[transmitter]!),
          ],
        ),
      )
      .filter(([, setup]) => setup.program.outputs.length > 0),
  ];
  console.log('poses / fewest possible   (aim ≤ 6, more only where no fewer can be)');
  for (const [name, setup] of programs)
    console.log(`  ${name}: ${posesOf(setup).poses.length} / ${atLeastPoses(setup)}`);
}
