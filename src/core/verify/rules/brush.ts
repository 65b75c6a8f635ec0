import { controlsOf } from '../explore';
import { compileChain } from '../../chain';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import { rewritten } from '../repair';

/** A brush with a sleeve is over sooner than this. Common practice, no source. */
const LAUNCH_MS = 500;
const PANIC_MS = 150;
const STEP_S = 0.02;

export const brush: Rule = {
  id: 'M39',
  title: 'Too easy to trigger by accident',
  why: 'A sleeve, or picking up the transmitter, sets off what acts at a touch.',
  check(setup, proof): Found[] {
    const findings: Found[] = [];
    const quickest = proof.rows.reduce(
      (least, r) =>
        r.panic?.righted && r.mode !== r.panic.mode ? Math.min(least, r.panic.afterMs) : least,
      Infinity,
    );
    if (proof.panic && quickest < PANIC_MS)
      findings.push({
        severity: 'note',
        says: `Panic acts ${quickest === 0 ? 'at once' : `after ${quickest} ms`}: an accidental touch is enough. A hold of 0.2 to 0.3 s costs little height.`,
        where: '/intents/program/panic/holdS',
        witness: {
          controls: { [proof.panic.id]: proof.panic.value },
          words: 'panic touched',
        },
        remedies: rewritten(setup, 'Hold panic 0.3 s before it acts', (w) =>
          w.panic ? { ...w, panic: { ...w.panic, holdS: 0.3 } } : w,
        ),
      });
    const launchMs = launchAfterMs(setup);
    if (launchMs !== undefined && launchMs.ms < LAUNCH_MS)
      findings.push({
        severity: 'caution',
        says: `Launch help comes on ${launchMs.ms === 0 ? 'at once' : `after ${launchMs.ms} ms`}. A one-second hold prevents accidents.`,
        where: '/intents/program/launch/holdS',
        witness: { controls: { [launchMs.control]: 100 }, words: 'the launch control touched' },
        remedies: rewritten(setup, 'Hold the launch control 1 s before it acts', (w) =>
          w.launch ? { ...w, launch: { ...w.launch, holdS: 1 } } : w,
        ),
      });
    return findings;
  },
};

/** How long the launch control must be held, tried on the chain. */
function launchAfterMs(
  setup: Parameters<Rule['check']>[0],
): { control: string; ms: number } | undefined {
  const when = setup.program.lines.find((l) => l.purpose === 'launch')?.when;
  if (when?.kind !== 'logic') return undefined;
  const chain = compileChain(setup);
  const latch = chain.layout.logic.get(when.id)!;
  for (const control of controlsOf(setup, when)) {
    const at = chain.layout.controls.get(control)!;
    if (setup.transmitter.controls[at]!.kind === 'stick') continue;
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    const stimulus = chain.restStimulus();
    chain.step(stimulus, memory, frame);
    stimulus.controls[at] = 100;
    for (let s = 0; s <= 3; s += STEP_S) {
      stimulus.dtS = s === 0 ? 0 : STEP_S;
      chain.step(stimulus, memory, frame);
      if (frame.logic[latch] === 1) return { control, ms: Math.round(s * 1000) };
    }
  }
  return undefined;
}
