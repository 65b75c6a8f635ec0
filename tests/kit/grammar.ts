import { compileChain, switchValue, type Frame, type Memory } from '@/core/chain';
import type { Condition, Setup } from '@/core/setup';
import { addLine, addLogic, channelOf } from './add-entries';
import { anywhere } from './random-program';
import { wished } from './order-faults';

type Random = () => number;

/** A class of faults: a program with one of them, and what somebody who only plays with it would see. */
export interface FaultClass {
  requirement: string;
  words: string;
  make(random: Random): Setup;
  /** Whether it shows itself on the raw chain, by hands that know nothing of claims. */
  seen(setup: Setup, random: Random): boolean;
}

const pick = <T>(random: Random, list: readonly T[]): T =>
  list[Math.floor(random() * list.length)]!;
const int = (random: Random, from: number, to: number) =>
  from + Math.floor(random() * (to - from + 1));

/** Free switches of the transmitter that the set-ups here are made for. */
const THREE = ['sb', 'sc', 'sd', 'se', 'sf'];
const somewhere = (random: Random): Condition => ({
  kind: 'switch',
  control: pick(random, THREE),
  position: int(random, 0, 2),
});

/** A condition with a memory: what it takes to make it true may be long over. */
function remembered(s: Setup, random: Random): Condition {
  const on: Condition = pick(random, [
    { kind: 'switch', control: 'sg', position: 1 } as Condition,
    somewhere(random),
  ]);
  const of = (): Condition =>
    random() < 0.3
      ? addLogic(s, {
          op: 'greater',
          follows: { kind: 'control', id: pick(random, ['stick-throttle', 'k2', 'l2']) },
          valuePct: int(random, -40, 80),
        })
      : on;
  switch (int(random, 0, 3)) {
    case 0:
      return addLogic(s, { op: 'latch', set: of(), reset: somewhere(random) });
    case 1:
      return addLogic(s, {
        op: 'delay',
        of: of(),
        onS: pick(random, [0.5, 1, 3]),
        offS: pick(random, [0, 2]),
      });
    case 2:
      return addLogic(s, {
        op: 'latch',
        set: addLogic(s, { op: 'toggles', of: somewhere(random), count: 2, withinS: 2 }),
        reset: somewhere(random),
      });
    default:
      return addLogic(s, {
        op: 'latch',
        set: { kind: 'all', of: [of(), somewhere(random)] },
        reset: somewhere(random),
      });
  }
}

/** Hands that move one control at a time, waits between, each switch often put back again. */
function play(
  setup: Setup,
  random: Random,
  moves: number,
  look: (hands: Float64Array, frame: Frame, memory: Memory) => boolean,
): boolean {
  const chain = compileChain(setup);
  const { controls } = setup.transmitter;
  const memory = chain.newMemory();
  memory.armed = true;
  const frame = chain.newFrame();
  const s = chain.restStimulus();
  for (let n = 0; n < moves; n++) {
    const at = int(random, 0, controls.length - 1);
    const { kind } = controls[at]!;
    if (kind === 'trim') continue;
    s.controls[at] = anywhere(kind, random);
    s.dtS = pick(random, [0, 0, 0.3, 1.1, 3.1]);
    chain.step(s, memory, frame);
    if (look(s.controls, frame, memory)) return true;
  }
  return false;
}

const copyOf = (m: Memory): Memory => ({
  ...m,
  logic: m.logic.slice(),
  slowPct: m.slowPct.slice(),
  lastReceivedUs: m.lastReceivedUs.slice(),
  lastPortsUs: m.lastPortsUs.slice(),
  holdErrorDeg: m.holdErrorDeg.slice(),
});

const most = (frame: Frame) => Math.max(0, ...frame.motorPct);
const at = (s: Setup, id: string) => s.transmitter.controls.findIndex((c) => c.id === id);

/** One more look with hands put somewhere, on a copy of what is remembered. */
function glance(
  setup: Setup,
  hands: Float64Array,
  memory: Memory,
  change: (hands: Float64Array) => void,
  waits: readonly number[] = [0],
): Frame {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const own = copyOf(memory);
  const s = chain.restStimulus();
  s.controls.set(hands);
  change(s.controls);
  for (const dtS of waits) chain.step({ ...s, dtS }, own, frame);
  return frame;
}

const MOTOR = (requirement: 'motor-cut' | 'motor-low'): FaultClass => ({
  requirement,
  words: 'a memory that lifts the motor',
  make(random) {
    const s = structuredClone(wished());
    addLine(s, 'throttle', { sharePct: int(random, 40, 100), when: remembered(s, random) });
    if (random() < 0.5) addLine(s, 'throttle', { sharePct: 60, when: remembered(s, random) });
    return s;
  },
  seen(setup, random) {
    const cut = setup.intents.program.cut!;
    const cutAt = at(setup, cut.control);
    const value = switchValue(setup.transmitter.controls[cutAt]!.kind, cut.position);
    const throttle = at(setup, 'stick-throttle');
    return play(setup, random, 1500, (hands, frame) =>
      requirement === 'motor-cut'
        ? hands[cutAt] === value && most(frame) > 2
        : hands[throttle] === -100 && most(frame) > 6,
    );
  },
});

/** Every class that was once called proven and was not, as a grammar of its neighbours. */
export const FAULT_CLASSES: readonly FaultClass[] = [
  MOTOR('motor-cut'),
  MOTOR('motor-low'),
  {
    requirement: 'launch',
    words: 'something pushes the elevator down while launch help is on',
    make(random) {
      const s = structuredClone(
        wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } }),
      );
      const down = s.program.lines.find((l) => l.purpose === 'launch' && l.effect === 'adds')!;
      addLine(s, 'elevator', {
        sharePct: -Math.sign(down.sharePct) * int(random, 20, 90),
        when: random() < 0.5 ? somewhere(random) : remembered(s, random),
      });
      return s;
    },
    seen(setup, random) {
      const elevator = setup.airframe.surfaces.findIndex((x) => x.id === 'elevator');
      return play(setup, random, 250, (hands, _, memory) => {
        const still = (h: Float64Array) =>
          setup.transmitter.controls.forEach((c, i) => {
            if ((c.kind === 'stick' && c.rest === 0) || c.kind === 'trim') h[i] = c.rest;
          });
        const pressed = (h: Float64Array) => {
          still(h);
          h[at(setup, 'sh')] = 100;
        };
        const frame = glance(setup, hands, memory, pressed, [0, 1.1, 0.1]);
        return frame.mode === 'level' && frame.surfaceDeg[elevator]! > -0.3;
      });
    },
  },
  {
    requirement: 'panic',
    words: 'a memory that the press of panic sets',
    make(random) {
      const s = structuredClone(
        wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } }),
      );
      const pressed: Condition = { kind: 'switch', control: 'sm', position: 1 };
      const set =
        random() < 0.5
          ? pressed
          : addLogic(s, { op: 'delay', of: pressed, onS: pick(random, [0.5, 3]), offS: 0 });
      const reset: Condition = somewhere(random);
      addLine(s, pick(random, ['mode', 'gain'] as const), {
        sharePct: pick(random, [-100, 100]),
        effect: 'takes-over',
        when: {
          kind: 'all',
          of: [addLogic(s, { op: 'latch', set, reset }), { kind: 'not', of: pressed }],
        },
      });
      return s;
    },
    seen(setup, random) {
      const sm = at(setup, 'sm');
      return play(setup, random, 150, (hands, _, memory) => {
        if (hands[sm] === 100) return false;
        const chain = compileChain(setup);
        const end = (press: boolean) => {
          const own = copyOf(memory);
          const frame = chain.newFrame();
          const s = chain.restStimulus();
          s.controls.set(hands);
          const go = (dtS: number) => chain.step({ ...s, dtS }, own, frame);
          go(0);
          s.controls[sm] = press ? 100 : -100;
          for (let i = 0; i < 40; i++) go(0.1);
          s.controls[sm] = -100;
          for (let i = 0; i < 40; i++) go(0.25);
          return [frame.mode, ...[...frame.gainPct].map((g) => Math.round(g / 3))].join();
        };
        return end(true) !== end(false);
      });
    },
  },
  {
    requirement: 'gain',
    words: 'gain taken away by something else that is held',
    make(random) {
      const s = structuredClone(wished());
      const by = pick(random, ['stick-throttle', 'k2', 'l2']);
      if (random() < 0.5)
        addLine(s, 'gain', {
          sharePct: -200,
          when: addLogic(s, {
            op: 'greater',
            follows: { kind: 'control', id: by },
            valuePct: int(random, -50, 70),
          }),
        });
      else
        addLine(s, 'gain', { sharePct: -100, effect: 'takes-over', when: remembered(s, random) });
      return s;
    },
    seen(setup, random) {
      const knob = at(setup, 'k1');
      return play(setup, random, 400, (hands, frame, memory) => {
        if (frame.mode === 'off') return false;
        return [-100, -50, 0, 50, 100].every(
          (place) =>
            Math.max(...glance(setup, hands, memory, (h) => (h[knob] = place)).gainPct) < 4,
        );
      });
    },
  },
  {
    requirement: 'sticks-alone',
    words: 'a knob, a slider or a foreign trim on a surface',
    make(random) {
      const s = structuredClone(wished());
      const [control, carries] = pick(random, [
        ['k2', 'elevator'],
        ['l1', 'rudder'],
        ['l2', 'aileron'],
        ['trim-rudder', 'elevator'],
        ['trim-aileron', 'rudder'],
      ] as const);
      addLine(s, carries, {
        follows: { kind: 'control', id: control },
        sharePct: int(random, 15, 90) * (random() < 0.5 ? -1 : 1),
        ...(random() < 0.6
          ? { when: random() < 0.5 ? somewhere(random) : remembered(s, random) }
          : {}),
      });
      return s;
    },
    seen(setup, random) {
      const line = setup.program.lines.find((l) => l.id.startsWith('added-line-'))!;
      const by = at(setup, line.follows.kind === 'control' ? line.follows.id : '');
      return play(setup, random, 400, (hands, _, memory) => {
        const stand = (value: number) =>
          glance(setup, hands, memory, (h) => {
            setup.transmitter.controls.forEach((c, i) => {
              if (c.kind === 'stick' && c.rest === 0) h[i] = 0;
            });
            h[by] = value;
          }).surfaceDeg;
        const [low, middle, high] = [stand(-100), stand(0), stand(100)];
        return middle.some((d, i) => Math.abs(high[i]! - d) > 1.3 || Math.abs(low[i]! - d) > 1.3);
      });
    },
  },
  {
    requirement: 'throttle',
    words: 'a throttle that falls again',
    make(random) {
      const s = structuredClone(wished());
      const own = s.program.lines.find(
        (l) => l.channel === channelOf(s, 'throttle') && l.purpose === 'stick',
      )!;
      if (random() < 0.5) {
        const bend = int(random, -20, 70);
        s.program.shapes.push({
          id: 'made',
          label: 'Made',
          points: [
            { inPct: -100, outPct: -100 },
            { inPct: bend, outPct: int(random, 20, 100) },
            { inPct: bend + 20, outPct: int(random, -60, 100) },
            { inPct: 100, outPct: int(random, 0, 100) },
          ],
        });
        own.shape = 'made';
      } else
        addLine(s, 'throttle', {
          follows: { kind: 'control', id: 'stick-throttle' },
          sharePct: -int(random, 110, 190),
          when: {
            kind: 'all',
            of: [somewhere(random), { kind: 'switch', control: 'sg', position: 1 }],
          },
        });
      return s;
    },
    seen(setup, random) {
      const throttle = at(setup, 'stick-throttle');
      return play(setup, random, 200, (hands, _, memory) => {
        let peak = 0;
        for (let place = -100; place <= 100; place += 4) {
          const now = most(glance(setup, hands, memory, (h) => (h[throttle] = place)));
          if (now < peak - 4) return true;
          peak = Math.max(peak, now);
        }
        return false;
      });
    },
  },
  {
    requirement: 'level',
    words: 'a level that is none',
    make(random) {
      const s = structuredClone(wished());
      s.unit.settings.levelOffsetDeg = { roll: int(random, -12, 12), pitch: int(random, -15, 15) };
      return s;
    },
    seen(setup) {
      const chain = compileChain(setup);
      const frame = chain.newFrame();
      const memory = chain.newMemory();
      memory.armed = true;
      const s = chain.restStimulus();
      s.controls[at(setup, 'sa')] = 100;
      s.controls[at(setup, 'k1')] = 100;
      // Tipped by as much as counts as off, the unit must bring it back; where level is elsewhere it does not.
      const asked = (change: Partial<typeof s>) => {
        chain.step({ ...s, ...change }, memory, frame);
        return frame.correctionPct.slice();
      };
      const [left, right] = [asked({ rollDeg: -6.5 })[0]!, asked({ rollDeg: 6.5 })[0]!];
      const [down, up] = [asked({ pitchDeg: -6.5 })[1]!, asked({ pitchDeg: 6.5 })[1]!];
      return !(left > 0 && right < 0 && down > 0 && up < 0);
    },
  },
];
