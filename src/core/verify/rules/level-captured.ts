import { compileChain } from '../../chain';
import { levels } from '../../level';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import { stateIn } from './state-in';

/** A capture within this is good. Common practice, no source. */
const GOOD_DEG = 1;
/** Beyond this it is not flown away with a trim. Common practice, no source. */
const BAD_DEG = 6;

export const levelCaptured: Rule = {
  id: 'M21',
  title: 'Level captured in the wrong attitude',
  why: 'Standing on its tail wheel, or along the wing chord, is not how it flies: self-levelling flies the attitude you captured.',
  explains: ['level'],
  check(setup, proof): Found[] {
    const { installation, airframe, unit } = setup;
    if (!installation.levelCapture || !levels(setup)) return [];
    if (installation.mounting !== unit.settings.orientation) return [];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    chain.step(chain.restStimulus(), chain.newMemory(), frame);
    // In level flight the unit should see level: what it sees instead it will fly away from.
    const highDeg = -frame.believedPitchDeg;
    if (Math.abs(highDeg) <= GOOD_DEG) return [];
    const { flyingPitchDeg, cruiseMps } = airframe.measures;
    // Held exactly; a unit that gives way sinks less.
    const sink = cruiseMps * Math.sin((Math.abs(highDeg) * Math.PI) / 180);
    return [
      {
        severity: Math.abs(highDeg) > BAD_DEG ? 'stop' : 'caution',
        says:
          highDeg < 0
            ? `Level was captured ${(-highDeg).toFixed(1)}° too low: in self-levelling it sinks, by up to ${sink.toFixed(1)} m/s.`
            : `Level was captured ${highDeg.toFixed(1)}° too high: in self-levelling it flies nose-high, slows and mushes down.`,
        where: '/installation/levelCapture/pitchDeg',
        ...stateIn(setup, proof, 'level', 'self-levelling, sticks released'),
        remedies: [
          {
            label: `Captured again at ${flyingPitchDeg}° nose up`,
            patch: [
              {
                op: 'replace',
                path: '/installation/levelCapture/pitchDeg',
                value: flyingPitchDeg - unit.settings.levelOffsetDeg.pitch,
              },
            ],
          },
        ],
      },
    ];
  },
};
