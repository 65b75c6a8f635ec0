import { allReads, readsOfCondition, type Condition, type Setup } from '../../setup';

/** The control that calls panic recovery, and the value at which it does. */
export interface PanicControl {
  at: number;
  id: string;
  value: number;
}

/** Controls a condition looks at, logic seen through. */
export const controlsOf = ({ program }: Setup, condition: Condition): string[] =>
  allReads(program, readsOfCondition(condition)).flatMap((r) =>
    r.kind === 'control' ? [r.id] : [],
  );

/**
 * Which control is panic: the one chosen, else the one that lines meant for panic look at and
 * lines meant for modes do not.
 */
export function panicControlOf(setup: Setup): PanicControl | undefined {
  const { program, intents, transmitter } = setup;
  const looked = (purpose: string) =>
    program.lines
      .filter((l) => l.purpose === purpose)
      .flatMap((l) => [
        ...(l.follows.kind === 'control' ? [l.follows.id] : []),
        ...(l.when ? controlsOf(setup, l.when) : []),
      ]);
  const modes = new Set(looked('mode'));
  const wish = intents.program.panic;
  const wished =
    wish && wish.way !== 'none' && wish.way !== 'mode-position' ? wish.control : undefined;
  const seen = looked('panic').filter((id) => !modes.has(id));
  const id = wished ?? seen[0];
  const at = transmitter.controls.findIndex((c) => c.id === id);
  return id === undefined || at < 0 ? undefined : { at, id, value: 100 };
}

/** Logic that lines of a purpose wait for, by position: while one of them is true they may act. */
export function actingLogic(setup: Setup, purpose: 'panic' | 'launch'): number[] {
  const { program } = setup;
  const ids = new Set(
    program.lines
      .filter((l) => l.purpose === purpose && l.when)
      .flatMap((l) => readsOfCondition(l.when!))
      .flatMap((r) => (r.kind === 'logic' ? [r.id] : [])),
  );
  return program.logic.flatMap((l, i) => (ids.has(l.id) ? [i] : []));
}
