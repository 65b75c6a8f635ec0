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
  title: 'Level captured or set in the wrong attitude',
  why: 'Standing on its tail wheel, or along the wing chord, is not how it flies: self-levelling flies the attitude you captured, plus the offset set in the unit.',
  explains: ['level'],
  check(setup, proof): Found[] {
    const { installation, airframe, unit } = setup;
    if (!levels(setup) || installation.mounting !== unit.settings.orientation) return [];
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    chain.step(chain.restStimulus(), chain.newMemory(), frame);
    const shown = () => stateIn(setup, proof, 'level', 'self-levelling, sticks released');
    const believed = { roll: frame.believedRollDeg, pitch: frame.believedPitchDeg };
    // What was captured is captured again; what the unit adds to it is set otherwise.
    const set = (['roll', 'pitch'] as const).flatMap((axis): Found[] => {
      const off = believed[axis];
      if (axis === 'pitch' && installation.levelCapture) return [];
      if (Math.abs(off) <= BAD_DEG) return [];
      const field = `level offset in ${axis}`;
      const value = Math.round(2 * (unit.settings.levelOffsetDeg[axis] + off)) / 2;
      return [
        {
          severity: 'stop',
          says: `The ${field} is off by ${Math.abs(off).toFixed(0)}°: in self-levelling, sticks released, the model ${axis === 'roll' ? 'banks and turns' : 'does not hold its height'}.`,
          where: `/unit/settings/levelOffsetDeg/${axis}`,
          ...shown(),
          remedies: [
            {
              label: `Set the ${field} to ${value}°`,
              patch: [{ op: 'replace', path: `/unit/settings/levelOffsetDeg/${axis}`, value }],
            },
          ],
        },
      ];
    });
    if (!installation.levelCapture) return set;
    // In level flight the unit should see level: what it sees instead it will fly away from.
    const highDeg = -frame.believedPitchDeg;
    if (Math.abs(highDeg) <= GOOD_DEG) return set;
    const { flyingPitchDeg, cruiseMps } = airframe.measures;
    // Held exactly; a unit that gives way sinks less.
    const sink = cruiseMps * Math.sin((Math.abs(highDeg) * Math.PI) / 180);
    return [
      ...set,
      {
        severity: Math.abs(highDeg) > BAD_DEG ? 'stop' : 'caution',
        says:
          highDeg < 0
            ? `Level was captured ${(-highDeg).toFixed(1)}° too low: in self-levelling it sinks, by up to ${sink.toFixed(1)} m/s.`
            : `Level was captured ${highDeg.toFixed(1)}° too high: in self-levelling it flies nose-high, slows and mushes down.`,
        where: '/installation/levelCapture/pitchDeg',
        ...shown(),
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
