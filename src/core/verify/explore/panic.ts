import { allReads, readsOfCondition, type Condition, type Setup } from '../../setup';

/** The control that calls panic recovery, and the value at which it does. */
export interface PanicControl {
  at: number;
  id: string;
  value: number;
}

/** Controls a condition looks at, logic seen through. */
export const controlsIn = ({ program }: Setup, condition: Condition): string[] =>
  allReads(program, readsOfCondition(condition)).flatMap((r) =>
    r.kind === 'control' ? [r.id] : [],
  );

/**
 * Which control is panic: the one wished for, else the one that lines meant for panic look at and
 * lines meant for modes do not.
 */
export function panicControlOf(setup: Setup): PanicControl | undefined {
  const { program, intents, transmitter } = setup;
  const lines = program.lines.filter((l) => l.purpose === 'panic');
  const looked = (purpose: string) =>
    program.lines
      .filter((l) => l.purpose === purpose)
      .flatMap((l) => [
        ...(l.source.kind === 'control' ? [l.source.id] : []),
        ...(l.when ? controlsIn(setup, l.when) : []),
      ]);
  const modes = new Set(looked('mode'));
  const wished = intents.program?.panic?.control;
  const seen = looked('panic').filter((id) => !modes.has(id));
  const id = wished !== undefined && lines.length > 0 ? wished : seen[0];
  const at = transmitter.controls.findIndex((c) => c.id === id);
  return id === undefined || at < 0 ? undefined : { at, id, value: 100 };
}
