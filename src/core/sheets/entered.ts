import { NAME_FIELDS, type Setup } from '../setup';

/** With another one of these the entry is the same. */
const ASIDE = new Set([...NAME_FIELDS, 'note']);

/**
 * What of the program a step of the sheet stands for, as text to compare: names and notes left out.
 * A line and what is made of lines stand for their whole channel, in whichever style they are entered.
 * @param id of the step: "failsafe 3", "line panic-1"
 */
export function enteredAs({ program }: Setup, id: string): string {
  const [kind, name] = id.split(' ');
  const ofChannel = (channel: number) => [
    program.lines.filter((l) => l.channel === channel).map(({ id: _, ...line }) => line),
    program.shapes,
    program.variables,
  ];
  const found = (): unknown => {
    switch (kind) {
      case 'failsafe':
        return [
          program.failsafe.find((f) => f.channel === Number(name)) ?? null,
          program.outputs.find((o) => o.channel === Number(name))!.carries,
        ];
      case 'output':
        return program.outputs.find((o) => o.channel === Number(name));
      case 'input':
        return program.inputs.find((i) => i.id === name);
      case 'callout':
        return program.callouts.find((c) => c.id === name);
      case 'timer':
        return program.timers.find((t) => t.id === name);
      case 'logic':
        return program.logic.find((l) => l.id === name);
      case 'shape':
        return program.shapes.find((s) => s.id === name);
      case 'variable':
        return program.variables.find((v) => v.id === name);
      case 'line':
        return ofChannel(program.lines.find((l) => l.id === name)!.channel);
      default:
        return ofChannel(Number(name));
    }
  };
  return JSON.stringify(found() ?? null, (key, value: unknown) =>
    ASIDE.has(key) ? undefined : value,
  );
}
