import { describe, expect, it } from 'vitest';
import { unitGuide } from '@/core/catalogue';
import { TESTS } from '@/core/logbook';
import { jobOf, wayOf } from '@/core/procedure';
import { mountingAdvice, mountingSchools } from '@/core/mounting';
import { setSteeringEnds } from '@/core/plan';
import { applyPatch } from '@/core/patch';
import { sheetFor, sheetMarkdown } from '@/core/sheets';
import { verify, reasonOf, REQUIREMENTS } from '@/core/verify';
import { USUAL_STEERING } from '@/core/catalogue';
import type { Setup } from '@/core/setup';
import { makeSetup } from '../kit/setups';
import { share } from '../kit/share';

/** Words that belong to what flies. */
const FLYING =
  /\b(?:fl(?:y|ies|ew|own|ight|ights|ying)|aeroplanes?|airborne|in the air|ailerons?|elevators?|wings?|nose|take[- ]?off|land(?:ed|ing)|pilot|glid(?:e|es|ing)|climbs?|hover|launch|panic|self-levelling|airspeed|altitude|height|flaps?|tails?|sticks?)\b/i;
/** And of a car alone. */
const NOT_OF_A_CAR = /\b(?:propellers?|rudders?|hull|bow|stern)\b/i;

/** Ways a car or boat is found wrong, so that what is said of it then is read too. */
const SPOILS: Record<string, (setup: Setup) => void> = {
  'as planned': () => undefined,
  'steering reversed': (s) => void (s.program.outputs[0]!.reversed = true),
  'throttle reversed': (s) => void (s.program.outputs[1]!.reversed = true),
  'throttle trimmed': (s) => void (s.program.outputs[1]!.subtrimPct = 20),
  'steering trimmed': (s) => void (s.program.outputs[0]!.subtrimPct = 12),
  'ends moved after it was taught': (s) => void (s.program.outputs[0]!.maxPct = 60),
  'no throttle cut': (s) =>
    void (s.program.lines = s.program.lines.filter((l) => l.purpose !== 'throttle-cut')),
  'no failsafe': (s) => void (s.program.failsafe = []),
  'no gain lines': (s) =>
    void (s.program.lines = s.program.lines.filter((l) => l.purpose !== 'gain')),
  'fixed otherwise than told': (s) => void (s.installation.mounting = 'tail-down'),
  'fixed on its side': (s) => void (s.installation.mounting = 'left-up'),
  'second-hand': (s) => void (s.installation.secondHand = true),
  'a crossed gain': (s) => void (s.program.outputs[2]!.subtrimPct = 30),
  'a slow servo': (s) => void (s.airframe.servos[0]!.secondsPer60Deg = 1),
  'a low rate': (s) => void (s.program.inputs[0]!.rates[0]!.sharePct = 30),
  'one switch for two things': (s) =>
    void s.program.lines.push({
      id: 'brush',
      channel: s.program.outputs[0]!.channel,
      follows: { kind: 'control', id: 'sa' },
      sharePct: 30,
      shiftPct: 0,
      effect: 'adds',
    }),
  'gain lead out': (s) => void (s.installation.gainLead = false),
  'a band edge': (s) => void (s.transmitter.pulse.usAt100 = 333),
};

/** Everything the core says of a model: steps, tests, sheet, guide, findings and their reasons. */
function textsOf(setup: Setup): string[] {
  const findings = verify(setup);
  const job = jobOf({ setup, evidence: [], findings });
  return [
    ...job.flatMap(({ step, proofs }) => [step.title, step.does, ...proofs.map((p) => p.what)]),
    ...wayOf({ setup, evidence: [], findings }, job).flatMap((p) => [
      p.title,
      ...p.places.map((x) => x.title),
    ]),
    ...Object.values(TESTS).flatMap(({ script }) =>
      script(setup).flatMap((s) => [s.does, ...s.sees]),
    ),
    ...sheetMarkdown(sheetFor(setup)).split('\n'),
    ...Object.values(unitGuide(setup.unit)).flatMap((list) =>
      list.map((x: string | { how: string }) => (typeof x === 'string' ? x : x.how)),
    ),
    ...mountingAdvice(setup),
    ...mountingSchools(setup).flatMap((s) => [
      s.question,
      ...s.schools.map(([, words]) => words),
      s.says,
    ]),
    ...findings.flatMap((f) => [
      f.says,
      f.witness?.words ?? '',
      ...f.remedies.map((r) => r.label),
      reasonOf(f.rule).title,
      reasonOf(f.rule).why,
    ]),
    ...REQUIREMENTS.filter((r) => r.applies(setup)).flatMap((r) => [r.title, r.must, r.from]),
  ];
}

const MADE: [string, () => Setup, readonly RegExp[]][] = (['car', 'boat'] as const).flatMap(
  (kind) =>
    (
      [
        ['steering-receiver', 'surface-four'],
        ['steering-receiver', 'surface-six'],
        ['steering-menu', 'surface-six'],
      ] as const
    ).map(([unit, transmitter]): [string, () => Setup, readonly RegExp[]] => [
      `${kind}, ${unit}, ${transmitter}`,
      () => {
        const setup = makeSetup(kind, unit, transmitter);
        if (kind === 'boat') return setup;
        setup.airframe.steering = { ...USUAL_STEERING };
        return applyPatch(setup, setSteeringEnds(setup)) as Setup;
      },
      kind === 'car' ? [FLYING, NOT_OF_A_CAR] : [FLYING],
    ]),
);

describe.each(MADE)('%s', (_, make, forbidden) => {
  it.each(share(Object.keys(SPOILS), 6))('%s: no word of what flies', (spoil) => {
    const setup = structuredClone(make());
    SPOILS[spoil]!(setup);
    const texts = textsOf(setup);
    expect(texts.length).toBeGreaterThan(60);
    expect([...new Set(texts.filter((t) => forbidden.some((f) => f.test(t))))]).toEqual([]);
  });
});

it('the spoils are found: most of them say something that is not said of a model as planned', () => {
  const base = MADE[0]![1]();
  const said = (setup: Setup) => verify(setup).map((f) => f.rule);
  const planned = new Set(said(base));
  const found = Object.entries(SPOILS).filter(([, spoil]) => {
    const setup = structuredClone(base);
    spoil(setup);
    return said(setup).some((rule) => !planned.has(rule));
  });
  expect(found.length).toBeGreaterThanOrEqual(10);
});
