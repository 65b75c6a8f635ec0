import type { ControlKind } from '../../setup';

/** Kinds of control a choice needs: with positions, pressable, turnable. */
export const SWITCHES: readonly ControlKind[] = ['switch-2', 'switch-3'];
export const PRESSABLE: readonly ControlKind[] = ['momentary', ...SWITCHES];
export const TURNABLE: readonly ControlKind[] = ['knob', 'slider'];
