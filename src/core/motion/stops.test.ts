import { describe, expect, it } from 'vitest';
import { FLYING_KINDS, makeSetup } from '../../../tests/kit/setups';
import { FULL, share } from '../../../tests/kit/share';
import { UNITS, buildAirframe, usualAnswers } from '../catalogue';
import { applyPatch } from '../patch';
import { unsuited } from '../plan';
import { parseSetup, type Setup } from '../setup';
import { verify } from '../verify';
import {
  endedWell,
  fly,
  shownOf,
  situationOf,
  storyWords,
  type Flown,
  type Scenario,
  type SituationId,
} from './index';

/** One thing wrong. */
interface Fault {
  words: string;
  spoil(setup: Setup): void;
}

const UNIT_IDS = ['menu-receiver', 'wizard-receiver', 'switch-receiver', 'button-stabilizer'];

/** Every way in which one sign, one direction or one failsafe of a model comes out wrong. */
function faultsOf(setup: Setup): Fault[] {
  const steers = setup.program.outputs.filter((o) =>
    ['aileron', 'elevator', 'rudder'].includes(o.carries),
  );
  return [
    ...steers.map(({ channel, carries }): Fault => ({
      words: `channel ${channel}, ${carries}, reversed`,
      spoil: (s) => {
        const output = s.program.outputs.find((o) => o.channel === channel)!;
        output.reversed = !output.reversed;
      },
    })),
    ...setup.unit.traits.axes.map((axis): Fault => ({
      words: `correction in ${axis} reversed`,
      spoil: (s) => {
        s.unit.settings.axes[axis].reversed = !s.unit.settings.axes[axis].reversed;
      },
    })),
    {
      words: 'what the unit takes for level is 12° nose down',
      spoil: (s) => {
        s.unit.settings.levelOffsetDeg.pitch = -12;
      },
    },
    {
      words: 'the motor is held when the signal is lost',
      spoil: (s) => {
        for (const output of s.program.outputs)
          if (output.carries === 'throttle')
            s.program.failsafe = [
              ...s.program.failsafe.filter((f) => f.channel !== output.channel),
              { channel: output.channel, kind: 'hold' },
            ];
      },
    },
  ];
}

const CASES = FLYING_KINDS.flatMap((kind) =>
  UNIT_IDS.filter(
    (unit) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).flatMap((unit) =>
    faultsOf(makeSetup(kind, unit)).map(({ words, spoil }) => ({ kind, unit, words, spoil })),
  ),
);

function flown(setup: Setup, scenario: Scenario): Flown {
  const outcome = fly(setup, scenario);
  if (!outcome.ok) throw new Error(outcome.reason);
  return outcome.flown;
}

/** A controller turns no motor for less. */
const STANDS_PCT = 3;

/** Motor at the end, percent. */
const power = ({ points }: Flown) => Math.max(...points.at(-1)!.motorPct);

/** How far it is thrown about, degrees. */
const upset = ({ ending: { mostRollDeg, mostPitchDeg } }: Flown) =>
  Math.max(mostRollDeg, mostPitchDeg);

describe('a stop is seen to happen, and its repair to end well', () => {
  let all = 0;
  it('in many ways', () => expect(CASES.length).toBeGreaterThan(150));
  it.each(share(CASES, 16))('$kind, $unit, $words', ({ kind, unit, spoil }) => {
    const setup = structuredClone(makeSetup(kind, unit));
    spoil(setup);
    let seen = 0;
    const read = parseSetup(setup);
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    for (const finding of verify(read.value).filter((f) => f.severity === 'stop')) {
      const shown = shownOf(read.value, finding);
      if (!shown.ok) continue;
      const before = flown(read.value, shown.scenario);
      const [remedy] = finding.remedies;
      const repaired = remedy && parseSetup(applyPatch(read.value, remedy.patch));
      const after = repaired?.ok ? flown(repaired.value, shown.scenario) : undefined;
      seen += 1;
      happens[shown.situation]!(before, after, finding.says);
    }
    all += seen;
    if (seen > 0) return;
    // What nothing is said of does nothing: the axis has no surface, or the unit has its own way.
    const at = (id: SituationId) => flown(read.value, situationOf(read.value, id));
    expect(endedWell(at('pass'))).toBe(true);
    expect(power(at('lost'))).toBeLessThan(STANDS_PCT);
  });
  it.runIf(FULL)('they are two hundred', () => expect(all).toBeGreaterThan(200));
});

/** What must be seen in each situation: of the fault, and of its repair where one is offered. */
const happens: Partial<
  Record<SituationId, (before: Flown, after: Flown | undefined, says: string) => void>
> = {
  // It goes the other way than it goes once it is repaired.
  stick(before, after, says) {
    if (!after) return expect(upset(before), says).toBeGreaterThan(4);
    const turns = ({ reaction }: Flown) => [
      reaction.rollDeg,
      reaction.pitchDeg,
      reaction.headingDeg,
    ];
    const [wrong, right] = [turns(before), turns(after)];
    const most = right.reduce((at, deg, i) => (Math.abs(deg) > Math.abs(right[at]!) ? i : at), 0);
    expect(Math.sign(wrong[most]!), says).toBe(-Math.sign(right[most]!));
    expect(endedWell(after), `${says} ${storyWords(after)}`).toBe(true);
  },
  // The gust throws it about; repaired it hardly does.
  pass(before, after, says) {
    if (!after) return;
    expect(upset(before), says).toBeGreaterThan(upset(after) + 5);
    if (!/nose right|nose left/.test(says)) expect(endedWell(before), says).toBe(false);
    expect(endedWell(after), `${says} ${storyWords(after)}`).toBe(true);
  },
  // The motor drives it on; repaired it comes down without.
  lost(before, after, says) {
    expect(power(before), says).toBeGreaterThan(STANDS_PCT);
    if (!after) return;
    expect(power(after), says).toBeLessThan(STANDS_PCT);
    expect(after.ending.flying, says).toBe(false);
  },
  // It flies what it takes for level into the ground.
  'hands-off'(before, after, says) {
    expect(before.ending.leastHeightM, says).toBeLessThan(20);
    if (after) expect(endedWell(after), says).toBe(true);
  },
};
