import { isWorked, nameOfWorked, readsOf, type Setup, type Worked } from '../setup';
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
 * Everything a program works out in a frame, each after everything it reads; variables, which read
 * controls only, are not among it. The validator has refused programs that go round in a circle.
 */
export function workOrder(program: Setup['program']): Worked[] {
  const order: Worked[] = [];
  const done = new Set<string>();
  const need = (of: Worked): void => {
    if (of.kind === 'variable' || done.has(nameOfWorked(of))) return;
    done.add(nameOfWorked(of));
    readsOf(program, of).filter(isWorked).forEach(need);
    order.push(of);
  };
  program.inputs.forEach(({ id }) => need({ kind: 'input', id }));
  program.logic.forEach(({ id }) => need({ kind: 'logic', id }));
  program.lines.forEach(({ channel }) => need({ kind: 'channel', channel }));
  return order;
}

/** Compiles variables, inputs, logic and channels into one list of steps, in the order of work. */
export function compileProgram(setup: Setup, layout: Layout): ProgramStep {
  const { program } = setup;
  const steps: Step[] = [];

  const make = (of: Worked): Partial<Step> => {
    switch (of.kind) {
      case 'input':
        return { input: compileInput(setup, layout, layout.inputs.get(of.id)!) };
      case 'logic':
        return { other: compileLogic(setup, layout, layout.logic.get(of.id)!) };
      case 'channel':
        return { channel: compileChannel(setup, layout, of.channel) };
      case 'variable':
        return {};
    }
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
  workOrder(program).forEach((of) => steps.push(step(make(of))));

  return (stimulus, memory, frame) => {
    for (let i = 0; i < steps.length; i++) {
      const { input, channel, other } = steps[i]!;
      if (input !== undefined) runInput(input, stimulus, frame);
      else if (channel !== undefined) runChannel(channel, stimulus, frame);
      else other!(stimulus, memory, frame);
    }
  };
}
