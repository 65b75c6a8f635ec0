import { byTest } from '../proofs';
import type { Setup } from '../../setup';
import type { Proof, Step } from '../step';

const VERSIONS = {
  unitHardware: 'hardware version of the unit',
  unitFirmware: 'firmware of the unit',
  transmitterFirmware: 'firmware of the transmitter',
} as const;

/** Each version written down, or that it cannot be read: nobody has identified what they did not look at. */
const versionsKnown = ({ installation }: Setup): Proof[] =>
  (Object.keys(VERSIONS) as (keyof typeof VERSIONS)[]).map((key) => ({
    what: `the ${VERSIONS[key]} is written down, or cannot be read`,
    status: installation[key] ? 'proven' : 'todo',
    reasons: [],
  }));

export const identify: Step = {
  id: 'identify',
  title: 'Identify',
  does: 'Write down versions, update, reset a used unit, bind.',
  station: 'identify',
  session: 'prop-off',
  cautions: ['prop-off'],
  applies: () => true,
  rules: ['M27'],
  proofs: (bench) => [...versionsKnown(bench.setup), ...byTest('identify')(bench)],
  after: () => ['safe'],
};
