import { describe, expect, it } from 'vitest';
import { CHOICE_FAULTS, UNCHOSEN_FAULTS } from '../../../tests/kit/choice-faults';
import { captureChannel, recoveryChannel, secondAilerons } from '../../../tests/setups/all';
import { compileChain } from '../chain';
import { applyPatch } from '../patch';
import { choose } from '../plan';
import { parseSetup, type Setup } from '../setup';
import { findingsOf, verify, type Finding } from './index';

const spoilt = (start: () => Setup, spoil: (s: Setup) => void): Setup => {
  const raw = structuredClone(start());
  spoil(raw);
  const read = parseSetup(raw);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
};
const own = (setup: Setup, rule: string): Finding[] =>
  findingsOf(setup).filter((f) => f.rule === rule);
const after = (setup: Setup, finding: Finding, label: RegExp): Setup | undefined => {
  const remedy = finding.remedies.find((r) => label.test(r.label));
  return remedy && (applyPatch(setup, remedy.patch) as Setup);
};

describe('a program that does otherwise than was chosen', () => {
  const said = CHOICE_FAULTS.map(([, words, start, spoil]) => {
    const setup = spoilt(start, spoil);
    const [finding] = verify(setup).filter((f) => f.rule === 'as-chosen');
    return { words, clean: start(), setup, finding: finding! };
  });
  it('is said with what was chosen and what it gives, in the first state in which it shows', () => {
    expect(said.map(({ words, finding }) => `${words} | ${finding.says}`)).toMatchInlineSnapshot(`
      [
        "flaps turned round | Flaps: differs from your choice. Switch B middle: chosen left flap 14° down, the program gives left flap 14° up.",
        "flap channel reversed | Flaps: differs from your choice. Switch B middle: chosen left flap 14° down, the program gives left flap 14° up.",
        "gear turned round | Gear: differs from your choice. Everything at rest: chosen retracts 27° up, the program gives retracts 27° down.",
        "gear on another switch | Gear: differs from your choice. Switch F middle: chosen retracts 27° up, the program gives retracts at centre.",
        "two gains changed over | Gain: differs from your choice. Switch B middle: chosen gain 40 %, the program gives gain 50 %.",
        "45 entered as 90 | Gain: differs from your choice. Everything at rest: chosen gain 45 %, the program gives gain 91 %.",
        "one step beside | Gain: differs from your choice. Everything at rest: chosen gain 45 %, the program gives gain 46 %.",
        "knob 2 for knob 1 | Gain: differs from your choice. Knob 1 at −100 %: chosen gain 0 %, the program gives gain 50 %.",
        "panic gain 20 for 60 | Panic recovery: differs from your choice. Momentary M pressed, after a while: chosen gain 60 %, the program gives gain 19 %.",
        "launch by another momentary | Hand launch: differs from your choice. Momentary M pressed, after a while: chosen off, the program gives self-levelling.",
        "another glide | Failsafe: differs from your choice. Everything at rest, the signal lost: chosen elevator 1° up, the program gives elevator 3° up.",
        "another time | Motor timer: differs from your choice. In the list: chosen “6 min”, the program gives “1 min”.",
      ]
    `);
  });
  it.each(said)('$words: written again it is what it was', ({ clean, setup, finding }) => {
    const again = after(setup, finding, /^Write it again/)!;
    expect(own(again, 'as-chosen')).toEqual([]);
    // A reversed channel stays so: the lines are turned instead.
    if (
      !/channel reversed/.test(finding.says) &&
      setup.program.outputs.every((o, i) => o.reversed === clean.program.outputs[i]!.reversed)
    )
      expect(again.program.lines).toEqual(clean.program.lines);
  });
  it.each(said)(
    '$words: kept, it is not said again, and nothing else is changed',
    ({ setup, finding }) => {
      const kept = after(setup, finding, /^Keep/)!;
      expect(kept.program).toEqual(setup.program);
      expect(kept.intents.program).toEqual(setup.intents.program);
      expect(own(kept, 'as-chosen')).toEqual([]);
    },
  );
  it('another choice that says what the program does is offered where there is one', () => {
    const changed = said.flatMap(({ words, setup, finding }) => {
      const next = after(setup, finding, /^Change the choice/);
      if (!next) return [];
      expect(next.program, words).toEqual(setup.program);
      expect(own(next, 'as-chosen'), words).toEqual([]);
      return [words];
    });
    expect(changed).toMatchInlineSnapshot(`
      [
        "gear on another switch",
        "two gains changed over",
        "45 entered as 90",
        "one step beside",
        "knob 2 for knob 1",
        "launch by another momentary",
        "another glide",
        "another time",
      ]
    `);
  });
  it('what is kept is that difference, and no other', () => {
    const { setup, finding } = said.find((s) => s.words === '45 entered as 90')!;
    const kept = after(setup, finding, /^Keep/)!;
    const next = structuredClone(kept);
    next.program.lines.find((l) => l.purpose === 'gain')!.sharePct = 20;
    expect(own(next, 'as-chosen')).toHaveLength(1);
  });
});

describe('a channel that sends the positions of a switch only', () => {
  /** Flaps by a switch of three positions, gear, a capture channel: each on such a channel afterwards. */
  const stepped = (
    start: () => Setup,
    carries: string,
    positions: 2 | 3,
    spoil = (_: Setup) => {},
  ) =>
    spoilt(start, (s) => {
      spoil(s);
      s.transmitter.switchOnly = s.program.outputs
        .filter((o) => o.carries === carries)
        .map((o) => o.channel);
      s.transmitter.switchOnlyPositions = positions;
    });
  const says = (setup: Setup) =>
    own(setup, 'as-chosen').map((f) => [f.severity, f.says, ...f.remedies.map((r) => r.label)]);

  it('reports exactly the choices it cannot send', () => {
    const rows = [
      [secondAilerons, 'flap', 2],
      [secondAilerons, 'flap', 3],
      [secondAilerons, 'gear', 2],
      [recoveryChannel, 'mode', 3],
      [captureChannel, 'capture', 2],
      [captureChannel, 'capture', 3],
    ] as const;
    expect(
      rows.map(([{ make }, carries, positions]) => [
        `${carries}, ${positions}`,
        ...says(stepped(make, carries, positions)),
      ]),
    ).toMatchInlineSnapshot(`
      [
        [
          "flap, 2",
          [
            "caution",
            "Flaps: what you chose cannot be sent. Channel 6 sends the positions of a switch and nothing between. Everything at rest: chosen left flap at centre, but the program can only give left flap 27° up.",
            "Keep the program as it is",
          ],
        ],
        [
          "flap, 3",
          [
            "caution",
            "Flaps: what you chose cannot be sent. Channel 6 sends the positions of a switch and nothing between. Switch C middle: chosen left flap 14° down, but the program can only give left flap at centre.",
            "Change the choice to what the program does",
            "Keep the program as it is",
          ],
        ],
        [
          "gear, 2",
        ],
        [
          "mode, 3",
        ],
        [
          "capture, 2",
          [
            "caution",
            "Capture channel: what you chose cannot be sent. Channel 7 sends the positions of a switch and nothing between. Everything at rest: chosen capture at 0 %, but the program can only give capture at −100 %.",
            "Keep the program as it is",
          ],
        ],
        [
          "capture, 3",
        ],
      ]
    `);
  });
  it('reversed servos: full flap still goes down', () => {
    const setup = stepped(secondAilerons.make, 'flap', 3, (s) => {
      for (const servo of s.airframe.servos)
        if (servo.carries === 'flap')
          servo.rotation = servo.rotation === 'normal' ? 'reversed' : 'normal';
    });
    const { flaps } = setup.intents.program;
    const written = choose(setup, { wish: 'flaps', value: { ...flaps!, downPct: [0, 0, 100] } });
    if (!written.ok) throw new Error(written.reasons.join(' '));
    expect(own(written.setup, 'as-chosen')).toEqual([]);
    const chain = compileChain(written.setup);
    const frame = chain.newFrame();
    const hands = chain.restStimulus();
    hands.controls[written.setup.transmitter.controls.findIndex((c) => c.id === flaps!.control)] =
      100;
    chain.step(hands, chain.newMemory(), frame);
    const at = written.setup.airframe.surfaces.findIndex((s) => s.role === 'flap');
    expect(frame.surfaceDeg[at]).toBeGreaterThan(10);
  });
  it('a choice that cannot be sent is refused with the reason', () => {
    const setup = stepped(secondAilerons.make, 'flap', 3, (s) => {
      s.intents.program.flaps!.downPct = [0, 0, 100];
    });
    const { flaps } = setup.intents.program;
    expect(choose(setup, { wish: 'flaps', value: { ...flaps!, downPct: [0, 40, 100] } }))
      .toMatchInlineSnapshot(`
      {
        "ok": false,
        "paths": [],
        "reasons": [
          "Channel 6 sends the positions of a switch and nothing between. Switch C middle: chosen left flap 11° down, but the program can only give left flap at centre.",
        ],
      }
    `);
  });
});

describe('lines that look like a choice', () => {
  it.each(UNCHOSEN_FAULTS)('%s: %s is asked about once', (_, __, start, spoil) => {
    const setup = spoilt(start, spoil);
    const [finding] = verify(setup).filter((f) => f.rule === 'looks-like');
    expect(finding!.says).toMatch(/^This looks like .+ by .+: is it\?$/);
    const yes = after(setup, finding!, /^Yes/)!;
    expect(yes.intents.program).toEqual(start().intents.program);
    expect(own(yes, 'looks-like')).toEqual([]);
    const no = after(setup, finding!, /^No/)!;
    expect(own(no, 'looks-like')).toEqual([]);
    expect(no.intents.program).toEqual(setup.intents.program);
  });
});
