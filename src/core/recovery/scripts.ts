import {
  compileChain,
  controlWords,
  describeSurface,
  modeWords,
  releaseCut,
  stickOf,
} from '../chain';
import { levellingMust } from './answers';
import type { ScriptStep } from '../script';
import { kindOf, type Setup } from '../setup';
import { proofOf, type ProofRow } from '../verify';

/** Far enough over that levelling cannot be mistaken for damping. */
const TIP_DEG = 50;

/** Enough to hear the motor run. */
const OPEN = 0.35;

/** Every distinct position of the orders without panic pressed and without anything remembered. */
function startingRows(setup: Setup): ProofRow[] {
  const proof = proofOf(setup);
  const seen = new Set<string>();
  const knobs = proof.controls.map((id) => {
    const kind = setup.transmitter.controls.find((c) => c.id === id)!.kind;
    return kind === 'knob' || kind === 'slider' || kind === 'stick';
  });
  return proof.rows.filter((row) => {
    if (!row.panic || row.remembered.length > 0) return false;
    const key = row.values.filter((_, i) => !knobs[i]).join();
    // One place of each knob is enough for the hands; the proof has looked at the others.
    return !seen.has(key) && seen.add(key);
  });
}

/** Panic, tried from every position with the model in hand. */
export function panicScript(setup: Setup): ScriptStep[] {
  const proof = proofOf(setup);
  const { panic } = proof;
  if (!panic) return [];
  const control = setup.transmitter.controls[panic.at]!;
  const answers = levellingMust(setup);
  return startingRows(setup).map((row, i) => ({
    check: 'test:panic',
    item: `from-${i + 1}`,
    does: `${wordsOf(setup, row)}. Hold the model right wing down, about ${TIP_DEG}°. ${control.kind === 'momentary' ? `Press ${control.label} and hold it` : `${control.label} on`}.`,
    sees: [
      row.panic!.righted
        ? `${modeWords(setup.unit, row.panic!.mode)} comes ${row.panic!.afterMs === 0 ? 'at once' : `after ${(row.panic!.afterMs / 1000).toFixed(1)} s`}`
        : `WRONG in the program: ${modeWords(setup.unit, row.panic!.mode)}, not self-levelling`,
      ...answers,
      `let go: ${modeWords(setup.unit, row.mode)} again`,
    ],
  }));
}

function wordsOf(setup: Setup, row: ProofRow): string {
  const proof = proofOf(setup);
  return proof.controls
    .map((id, i) => {
      const control = setup.transmitter.controls.find((c) => c.id === id)!;
      return proof.panic?.id === id ? '' : controlWords(control, row.values[i]!);
    })
    .filter((w) => w !== '')
    .join(', ');
}

/** The link switched off with the model held: what must be seen, in which order. */
export function failsafeScript(setup: Setup): ScriptStep[] {
  const { safe, onSurface } = kindOf(setup.airframe);
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  memory.armed = true;
  const at = stickOf(setup.transmitter, 'throttle');
  releaseCut(setup, stimulus.controls);
  const motors = setup.airframe.motors.length > 0;
  // A third open, from wherever it rests: a trigger rests in its middle.
  const closed = setup.transmitter.controls[at]?.rest ?? -100;
  if (at >= 0) stimulus.controls[at] = closed + (100 - closed) * OPEN;
  chain.step(stimulus, memory, frame);
  const runningPct = Math.max(0, ...frame.motorPct);
  stimulus.linkUp = false;
  chain.step(stimulus, memory, frame);
  const lostPct = Math.max(0, ...frame.motorPct);
  const { mode } = frame;
  const surfaces = setup.airframe.surfaces.map((s, i) => describeSurface(s, frame.surfaceDeg[i]!));
  const levels = frame.failsafeActive || mode === 'level';
  const step = (item: string, does: string, sees: string[]): ScriptStep => ({
    check: 'test:failsafe',
    item,
    does,
    sees,
  });
  return [
    ...(motors
      ? [
          step(
            'motor',
            `${safe}, the model held all the same. Release the throttle cut and open the throttle one third${runningPct > 1 ? ` (the motor runs at ${runningPct.toFixed(0)} %)` : ''}. Switch the transmitter off.`,
            [
              mode === 'home' && setup.unit.traits.failsafe.includes('autopilot')
                ? 'the motor is the autopilot’s now: with a position fix it may run, so stay clear'
                : lostPct < 5
                  ? 'the motor stops within a second or two'
                  : `WRONG in the program: the motor runs on at ${lostPct.toFixed(0)} %`,
            ],
          ),
        ]
      : []),
    step(
      'surfaces',
      motors
        ? `Still off: look at ${onSurface ? 'the steering' : 'every surface'}.`
        : `Switch the transmitter off and look at ${onSurface ? 'the steering' : 'every surface'}.`,
      surfaces,
    ),
    ...(levels
      ? [step('tilt', `Still off: right wing down, about ${TIP_DEG}°.`, levellingMust(setup))]
      : []),
    step('back', 'Close the throttle, then switch the transmitter on again.', [
      onSurface ? 'the steering follows again' : 'surfaces follow the sticks again',
      ...(motors ? ['the motor stays still until the throttle is opened'] : []),
    ]),
  ];
}
