import { bandOf } from '../../plan';
import { proofOf } from '../explore';
import type { Found, Rule } from '../finding';
import { rewritten, rowWords, witnessOf } from '../witness';

/** A trim click or a little drift moves a pulse by about this. Common practice, no source. */
const CLICK_US = 12;
const DRIFT_US = 40;
/** What 100 % is on other transmitters. Common practice, no source. */
const SCALES_US = [400, 500, 512];

export const bandEdge: Rule = {
  id: 'M49',
  title: 'A mode value at the edge of its band',
  why: 'A trim click, a subtrim or a transmitter with another scale flips the mode.',
  check(setup): Found[] {
    const proof = proofOf(setup);
    const select = setup.unit.traits.modeSelect;
    const { pulse } = setup.transmitter;
    const seen = new Set<number>();
    const findings: Found[] = [];
    for (const row of proof.rows) {
      const us = row.modeUs;
      if (Number.isNaN(us) || seen.has(us) || row.recovering) continue;
      seen.add(us);
      const band = bandOf(select, row.slot);
      const inBand = (x: number) =>
        'bands' in select &&
        select.bands.some((b) => b.slot === row.slot && x >= b.fromUs && x < b.toUs);
      const roomUs = band ? Math.min(us - band.fromUs, band.toUs - us) : 0;
      const scaled = SCALES_US.find(
        (scale) => !inBand(pulse.centreUs + ((us - pulse.centreUs) * scale) / pulse.usAt100),
      );
      if (inBand(us - DRIFT_US) && inBand(us + DRIFT_US) && scaled === undefined) continue;
      const click = !inBand(us - CLICK_US) || !inBand(us + CLICK_US);
      findings.push({
        severity: click ? 'stop' : 'caution',
        says: `${rowWords(setup, proof, row)}: ${us.toFixed(0)} µs on the mode channel is ${
          band
            ? `${Math.max(0, roomUs).toFixed(0)} µs from the edge of ${row.mode}`
            : 'in no band at all'
        }${scaled !== undefined && roomUs > DRIFT_US ? `; where 100 % is ${scaled} µs it is another mode` : ''}.`,
        where: '/program/lines',
        witness: witnessOf(setup, row.path, rowWords(setup, proof, row)),
        remedies: rewritten(setup, 'Write mode values in the middle of their bands', (w) => w),
      });
    }
    return findings.slice(0, 3);
  },
};
