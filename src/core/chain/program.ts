import type { Condition, Setup, Source } from '../setup';
import type { Frame, Layout, Memory, Stimulus } from './frame';
import { compileInput, runInput, type CompiledInput } from './inputs';
import { compileChannel, runChannel, type CompiledChannel } from './lines';
import { compileLogic } from './logic';

type ProgramStep = (stimulus: Stimulus, memory: Memory, frame: Frame) => void;

/** Inputs and channels are data run in place; only what has memory is a function of its own. */
interface Step {
  input: CompiledInput | undefined;
  channel: CompiledChannel | undefined;
  other: ProgramStep | undefined;
}

const step = (part: Partial<Step>): Step => ({
  input: part.input,
  channel: part.channel,
  other: part.other,
});

/**
 * Compiles variables, inputs, logic and channels into one list of steps, each after everything it
 * reads. The validator has already refused programs that go round in a circle.
 */
export function compileProgram(setup: Setup, layout: Layout): ProgramStep {
  const { program } = setup;
  const steps: Step[] = [];
  const done = new Set<string>();

  const needCondition = (c: Condition): void => {
    if (c.kind === 'logic') needLogic(c.id);
    else if (c.kind === 'not') needCondition(c.of);
    else if (c.kind !== 'switch') c.of.forEach(needCondition);
  };
  const needSource = (s: Source): void => {
    if (s.kind === 'input') needInput(s.id);
    if (s.kind === 'channel') needChannel(s.channel);
  };
  const once = (name: string, make: () => Partial<Step>) => {
    if (done.has(name)) return;
    done.add(name);
    steps.push(step(make()));
  };
  const needInput = (id: string) => {
    if (done.has(`input ${id}`)) return;
    const position = layout.inputs.get(id)!;
    program.inputs[position]!.rates.forEach((r) => r.when && needCondition(r.when));
    once(`input ${id}`, () => ({ input: compileInput(setup, layout, position) }));
  };
  const needLogic = (id: string) => {
    if (done.has(`logic ${id}`)) return;
    const position = layout.logic.get(id)!;
    const entry = program.logic[position]!;
    if (entry.op === 'near' || entry.op === 'greater') needSource(entry.source);
    else if (entry.op === 'when') needCondition(entry.when);
    else if (entry.op === 'latch') [entry.set, entry.reset].forEach(needCondition);
    else needCondition(entry.of);
    once(`logic ${id}`, () => ({ other: compileLogic(setup, layout, position) }));
  };
  const needChannel = (channel: number) => {
    if (done.has(`channel ${channel}`)) return;
    for (const line of program.lines.filter((l) => l.channel === channel)) {
      needSource(line.source);
      if (line.when) needCondition(line.when);
    }
    once(`channel ${channel}`, () => ({ channel: compileChannel(setup, layout, channel) }));
  };

  program.variables.forEach((variable, i) => {
    const { adjust, valuePct } = variable;
    const control = adjust ? layout.controls.get(adjust.control)! : -1;
    const share = adjust ? adjust.rangePct / 100 : 0;
    steps.push(
      step({
        other: (s, _, f) => {
          f.variablesPct[i] = control < 0 ? valuePct : valuePct + share * s.controls[control]!;
        },
      }),
    );
  });
  program.inputs.forEach((i) => needInput(i.id));
  program.logic.forEach((l) => needLogic(l.id));
  program.lines.forEach((l) => needChannel(l.channel));

  return (stimulus, memory, frame) => {
    for (let i = 0; i < steps.length; i++) {
      const { input, channel, other } = steps[i]!;
      if (input !== undefined) runInput(input, stimulus, frame);
      else if (channel !== undefined) runChannel(channel, stimulus, frame);
      else other!(stimulus, memory, frame);
    }
  };
}
