import type { ControlKind } from '../../setup';

/** Controls by what a choice needs of them: positions, something to press, something to turn. */
export const SWITCHES: readonly ControlKind[] = ['switch-2', 'switch-3'];
export const PRESSABLE: readonly ControlKind[] = ['momentary', ...SWITCHES];
export const TURNABLE: readonly ControlKind[] = ['knob', 'slider'];
