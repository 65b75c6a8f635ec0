import { describe, expect, it } from 'vitest';
import { wished } from '../../../tests/kit/order-faults';
import { makeSetup } from '../../../tests/kit/setups';
import { FULL, share } from '../../../tests/kit/share';
import { compileChain } from '../chain';
import { UNITS } from '../catalogue';
import { applyPatch } from '../patch';
import { parseSetup, type Condition, type ProgramWishes, type Setup } from '../setup';
import {
  asMixes,
  explain,
  mismatches,
  monitorOf,
  readBacksOf,
  sheetFor,
  sheetMarkdown,
  type ReadBack,
} from './index';
import { isSteeringUnit } from '../setup';

const WISHED: Partial<ProgramWishes> = {
  rates: {
    by: 'mode',
    off: { pct: 50, expoPct: 30 },
    on: { pct: 100, expoPct: 20 },
  },
  panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
  voice: { modes: true },
  timer: { minutes: 8 },
};

/** What someone with this program in the transmitter would read at the places asked for. */
const readingsOf = (setup: Setup, readBacks: readonly ReadBack[]) => {
  const { read } = monitorOf(setup);
  return Object.fromEntries(readBacks.map((r) => [r.id, Math.round(read(r.channel, r.hands).pct)]));
};

/** Ends and middle, of a switch its positions. */
const placesOf = (setup: Setup, id: string): number[] => {
  const { kind } = setup.transmitter.controls.find((c) => c.id === id)!;
  return kind === 'switch-2' || kind === 'momentary' ? [-100, 100] : [-100, 0, 100];
};

describe('entry sheets', () => {
  const styles = ['line', 'function', 'switch-value'] as const;
  it.each(styles)('hold every value of the program as a number to type, in %s style', (style) => {
    for (const unit of Object.keys(UNITS)) {
      if (isSteeringUnit(UNITS[unit]!)) continue;
      const sheet = sheetFor(makeSetup('conventional', unit), style);
      expect(sheet.sections.length, unit).toBeGreaterThanOrEqual(5);
      const ids = sheet.sections.flatMap((s) => s.steps.map((t) => t.id));
      expect(ids.length).toBeGreaterThan(12);
      for (const { entry, value } of sheet.sections.flatMap((s) => s.steps)) {
        expect(entry).not.toMatch(/undefined|NaN/);
        expect(value).not.toMatch(/undefined|NaN/);
      }
    }
  });
  it('in line style have every line, logic, output and failsafe once', () => {
    const setup = wished(WISHED);
    const ids = sheetFor(setup).sections.flatMap((s) => s.steps.map((t) => t.id));
    expect(new Set(ids).size).toBe(ids.length);
    for (const l of setup.program.lines) expect(ids).toContain(`line ${l.id}`);
    for (const l of setup.program.logic) expect(ids).toContain(`logic ${l.id}`);
    for (const o of setup.program.outputs)
      expect(ids).toEqual(expect.arrayContaining([`output ${o.channel}`, `failsafe ${o.channel}`]));
    const text = sheetMarkdown(sheetFor(setup));
    expect(text).toMatch(/- \[ \] 1\. Mode|follows Switch A, share \+100 %/);
    expect(text).toMatch(/Momentary M held 0\.3 s/);
    expect(text).toMatch(/\| channel \| must show \| shows \|/);
  });
  it('in switch-value style give each position its number', () => {
    const setup = wished({}, 'menu-receiver', 'switch-value-ten');
    const sheet = sheetFor(setup);
    const table = sheet.sections.find((s) => s.title.includes('mode'))!;
    expect(table.steps.map((s) => s.value)).toEqual(['−100 %', '0 %', '+100 %']);
    expect(table.steps[1]!.entry).toBe('Position 1: Switch A middle');
    const gain = sheet.sections.find((s) => s.title.includes('gain'))!;
    expect(gain.steps[0]!.value).toMatch(/from −100 % to \+100 %/);
  });
  it('warn of what a style cannot hold', () => {
    const launch = wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } });
    expect(sheetFor(launch, 'function').warnings.join()).toMatch(/Delays and latches/);
    const three = wished({
      gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sh', offPositions: [1] },
      panic: { way: 'replace', control: 'sm', holdS: 0, gainPct: 60 },
    });
    expect(sheetFor(three, 'switch-value').warnings.join()).toMatch(/looks at 3 switches/);
    const multiplied = wished();
    multiplied.program.lines.push({
      id: 'scale',
      channel: 6,
      follows: { kind: 'control', id: 'k2' },
      sharePct: 50,
      shiftPct: 50,
      effect: 'scales',
    });
    expect(sheetFor(multiplied, 'function').warnings.join()).toMatch(/only adds/);
  });
  it('keep pipes and line ends of names from breaking the Markdown', () => {
    const setup = makeSetup();
    setup.name = 'A | B\n# C';
    expect(sheetMarkdown(sheetFor(setup)).split('\n')[0]).toMatch(/^# A \\\| B # C/);
    setup.name = '<img src=x onerror=alert(1)> *[a](b)* `c` &lt;';
    const [title] = sheetMarkdown(sheetFor(setup)).split('\n');
    // Nothing of it is left that Markdown or HTML would take for its own.
    expect(title!.replace(/\\./g, '')).not.toMatch(/[<>*_`[\]&|~]/);
  });
});

describe('lines as a sum of mixes', () => {
  const holds = (setup: Setup, condition: Condition, at: (id: string) => number): boolean =>
    condition.kind === 'switch'
      ? (at(condition.control) + 100) / (200 / (kindCount(setup, condition.control) - 1)) ===
        condition.position
      : condition.kind === 'not'
        ? !holds(setup, condition.of, at)
        : condition.kind === 'logic'
          ? false
          : condition.kind === 'all'
            ? condition.of.every((c) => holds(setup, c, at))
            : condition.of.some((c) => holds(setup, c, at));
  const kindCount = (setup: Setup, id: string) =>
    setup.transmitter.controls.find((c) => c.id === id)!.kind === 'switch-3' ? 3 : 2;

  it.each<[string, Partial<ProgramWishes>]>([
    ['usual', {}],
    ['panic at once', { panic: { way: 'replace', control: 'sm', holdS: 0, gainPct: 60 } }],
    [
      'flap gain with master off and panic',
      {
        gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sh', offPositions: [1] },
        panic: { way: 'replace', control: 'sm', holdS: 0, gainPct: 60 },
      },
    ],
    [
      'two switches',
      {
        modes: {
          switches: ['sa', 'sh'],
          table: ['off', 'off', 'rate', 'rate', 'level', 'off'],
        },
      },
    ],
  ])('is the same value in every state: %s', (_, wish) => {
    const setup = wished(wish);
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    for (const channel of [5, 6]) {
      const mixes = asMixes(setup, channel)!;
      const used = [...new Set(JSON.stringify(mixes).match(/"(?:sa|sb|sh|sm|k1)"/g) ?? [])].map(
        (q) => q.slice(1, -1),
      );
      let states: Record<string, number>[] = [{}];
      for (const id of used)
        states = states.flatMap((s) => placesOf(setup, id).map((v) => ({ ...s, [id]: v })));
      for (const state of states) {
        const stimulus = chain.restStimulus();
        for (const [id, v] of Object.entries(state))
          stimulus.controls[chain.layout.controls.get(id)!] = v;
        chain.step(stimulus, chain.newMemory(), frame);
        const at = (id: string) => stimulus.controls[chain.layout.controls.get(id)!]!;
        const sum = mixes
          .filter((m) => m.when.every((c) => holds(setup, c, at)))
          .reduce((total, m) => {
            const source = m.follows.kind === 'control' ? at(m.follows.id) : 100;
            return total + (source * m.sharePct) / 100 + m.shiftPct;
          }, 0);
        expect(sum, JSON.stringify(state)).toBeCloseTo(frame.channelsPct[channel - 1]!);
      }
    }
  });
});

describe('reading back', () => {
  it('of the right program shows nothing wrong, a percent either way', () => {
    const setup = wished(WISHED);
    const readBacks = readBacksOf(setup);
    expect(readBacks.length).toBeGreaterThan(20);
    expect(readBacks.some((r) => r.holdS > 0)).toBe(true);
    const readings = readingsOf(setup, readBacks);
    expect(mismatches(readBacks, readings)).toEqual([]);
    const off = Object.fromEntries(Object.entries(readings).map(([id, v]) => [id, v + 1]));
    expect(explain(setup, readBacks, off)).toEqual([]);
  });

  /** Entries made wrong one at a time, in several programs. */
  const programs: [string, Setup][] = [
    ['panic', wished(WISHED)],
    [
      'flaps',
      wished({
        gain: { by: 'flap', control: 'sb', pct: [30, 45, 60], off: 'sh', offPositions: [1] },
      }),
    ],
    [
      'mixes',
      wished(
        { panic: { way: 'offsets', control: 'sm', holdS: 0 } },
        'menu-receiver',
        'function-eight',
      ),
    ],
    [
      'sets',
      wished({ gain: { by: 'sets', control: 'sa', knob: 'k1', pct: 50 } }, 'satellite-gyro'),
    ],
    ['delta', makeSetup('flying-wing', 'satellite-gyro')],
  ];
  const faults = programs.flatMap(([name, setup]) => {
    const list: { name: string; setup: Setup; step: string; spoil: (s: Setup) => void }[] = [];
    const add = (step: string, words: string, spoil: (s: Setup) => void) =>
      list.push({ name: `${name}: ${step} ${words}`, setup, step, spoil });
    setup.program.outputs.forEach((o, i) => {
      add(`output ${o.channel}`, 'reversed', (s) => {
        s.program.outputs[i]!.reversed = !o.reversed;
      });
      add(`output ${o.channel}`, 'upper end 50', (s) => {
        s.program.outputs[i]!.maxPct = 50;
      });
      add(`output ${o.channel}`, 'subtrim 10', (s) => {
        s.program.outputs[i]!.subtrimPct = 10;
      });
    });
    setup.program.lines.forEach((l, i) => {
      add(`line ${l.id}`, 'missing', (s) => {
        s.program.lines.splice(i, 1);
      });
      add(`line ${l.id}`, 'sign', (s) => {
        s.program.lines[i]!.sharePct *= -1;
      });
      add(`line ${l.id}`, 'half', (s) => {
        s.program.lines[i]!.sharePct /= 2;
      });
      if (l.shiftPct !== 0)
        add(`line ${l.id}`, 'not shifted', (s) => {
          s.program.lines[i]!.shiftPct = 0;
        });
    });
    return list;
  });
  it('names the one wrong entry, for every one of many', () => {
    let named = 0;
    const missed: string[] = [];
    for (const fault of share(faults, 4)) {
      const wrong = structuredClone(fault.setup);
      fault.spoil(wrong);
      if (!parseSetup(wrong).ok) continue;
      const readBacks = readBacksOf(fault.setup);
      const readings = readingsOf(wrong, readBacks);
      // A wrong entry that shows nowhere cannot be read, and does nothing either.
      if (mismatches(readBacks, readings).length === 0) continue;
      const explanations = explain(fault.setup, readBacks, readings);
      if (explanations.some((e) => e.step === fault.step)) named += 1;
      else missed.push(fault.name);
      // Each explanation reproduces what was read.
      for (const e of explanations.filter((x) => x.patch.length > 0).slice(0, 3))
        expect(
          mismatches(
            readBacks.map((r) => ({ ...r, predictedPct: readings[r.id]! })),
            readingsOf(applyPatch(fault.setup, e.patch), readBacks),
          ),
        ).toEqual([]);
    }
    expect(missed).toEqual([]);
    expect(named).toBeGreaterThanOrEqual(FULL ? 100 : 50);
  });
  it('tells two channels exchanged, a wrong scale, and a rate left out', () => {
    const setup = wished(WISHED);
    const readBacks = readBacksOf(setup);
    const { read } = monitorOf(setup);
    const exchanged = Object.fromEntries(
      readBacks.map((r) => [
        r.id,
        Math.round(read(r.channel === 1 ? 2 : r.channel === 2 ? 1 : r.channel, r.hands).pct),
      ]),
    );
    expect(explain(setup, readBacks, exchanged).map((e) => e.says)).toContain(
      'Channels 1 and 2 are exchanged.',
    );
    const rates = structuredClone(setup);
    rates.program.inputs[0]!.rates[0]!.sharePct = 100;
    expect(explain(setup, readBacks, readingsOf(rates, readBacks))[0]?.says).toMatch(
      /rate of aileron is 100 % instead of 50 %/,
    );
  });
  it('explains from a single reading too, and says nothing it cannot reproduce', () => {
    const setup = wished();
    const readBacks = readBacksOf(setup);
    const mode = readBacks.find((r) => r.carries === 'mode' && r.predictedPct < -50)!;
    const one = explain(setup, readBacks, { [mode.id]: 100 });
    expect(one.map((e) => e.says)).toContain('Channel 6 (mode) is reversed.');
    expect(explain(setup, readBacks, { [mode.id]: 37 })).toEqual([]);
  });
});
