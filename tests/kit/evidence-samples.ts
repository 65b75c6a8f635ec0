import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { composeSetup, writeWishes } from '@/core/plan';
import type { ProgramWishes, Setup } from '@/core/setup';
import { sampleOf, type Sample } from './dependence';
import { richSetup } from './rich';
import { makeSetup } from './setups';

function wished(setup: Setup, change: Partial<ProgramWishes>): Setup {
  const next = writeWishes(setup, { ...setup.intents.program, ...change });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  return next.setup;
}

/** A unit whose mixer takes sticks the other way about than most. */
function mixing(setup: Setup): Setup {
  setup.unit.traits.mixSense = { roll: -1, pitch: -1, yaw: -1 };
  return setup;
}

/** A wheel under the tail, on the rudder's servo. */
const withTailWheel = (): Setup =>
  composeSetup(
    'Wheel',
    buildAirframe({ ...usualAnswers('conventional'), wheel: 'shared' }),
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );

/** A few Setups that between them have every field of the schema that can have a value. */
export const evidenceSamples = (): Sample[] =>
  [
    withTailWheel(),
    richSetup(),
    makeSetup('conventional', 'button-stabilizer'),
    makeSetup('conventional', 'satellite-gyro'),
    makeSetup('car', 'steering-receiver', 'surface-four'),
    wished(makeSetup('flying-wing', 'menu-receiver'), {
      panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
      rates: {
        by: 'mode',
        off: { pct: 60, expoPct: 30 },
        on: { pct: 100, expoPct: 20 },
      },
      failsafe: { school: 'glide', pitchDeg: 3, rollDeg: 0 },
      voice: { modes: true },
      timer: { minutes: 6 },
    }),
    wished(mixing(makeSetup('v-tail', 'switch-receiver', 'switch-value-six')), {}),
  ].map(sampleOf);
