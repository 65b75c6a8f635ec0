import { panicWays } from '@/core/plan';
import type { Control, ProgramWishes, Setup } from '@/core/setup';
import { PRESSABLE, SWITCHES, TURNABLE } from './ControlWord';
import { flapsOn } from './sentences/devices';
import { gainWays } from './sentences/gain';
import { launchOn } from './sentences/launch';
import { modesOn } from './sentences/modes';
import { panicBy } from './sentences/panic';
import { ratesOn } from './sentences/rates';

/** Something a control could be made to do. */
export interface Job {
  words: string;
  /** It does that now. */
  now: boolean;
  next: ProgramWishes;
}

/** What this control can be made to do on this model, with the figures there are or the usual ones. */
export function jobsFor(setup: Setup, wishes: ProgramWishes, control: Control): Job[] {
  const { id, kind } = control;
  const carries = (f: string) => setup.program.outputs.some((o) => o.carries === f);
  const jobs: (Job | false)[] = [
    SWITCHES.includes(kind) &&
      'bands' in setup.unit.traits.modeSelect && {
        words: 'choose the mode',
        now: wishes.modes?.switches.includes(id) ?? false,
        next: { ...wishes, modes: modesOn(setup, wishes.modes?.table ?? [], [id]) },
      },
    TURNABLE.includes(kind) &&
      gainWays(setup).includes('knob') &&
      setup.unit.traits.gainLaw !== 'fixed' && {
        words: 'set the gain',
        now: wishes.gain?.by === 'knob' && wishes.gain.control === id,
        next: { ...wishes, gain: { by: 'knob', control: id } },
      },
    SWITCHES.includes(kind) &&
      setup.unit.traits.gainLaw !== 'fixed' && {
        words: 'set the gain, a value for each position',
        now: wishes.gain?.by === 'values' && wishes.gain.control === id,
        next: { ...wishes, gain: { by: 'values', control: id, pct: gainsOn(kind) } },
      },
    PRESSABLE.includes(kind) &&
      panicWays(setup).replace === undefined && {
        words: 'level the model in panic',
        now: wishes.panic?.control === id,
        next: { ...wishes, panic: panicBy(setup, wishes, panicWay(wishes), id) },
      },
    SWITCHES.includes(kind) &&
      setup.airframe.motors.length > 0 && {
        words: 'hold the motor off',
        now: wishes.cut?.control === id,
        next: { ...wishes, cut: { control: id, position: 0 } },
      },
    (SWITCHES.includes(kind) || TURNABLE.includes(kind)) &&
      carries('flap') && {
        words: 'control the flaps',
        now: wishes.flaps?.control === id,
        next: { ...wishes, flaps: flapsOn(setup, wishes, id) },
      },
    SWITCHES.includes(kind) &&
      carries('gear') && {
        words: 'control the landing gear',
        now: wishes.gear?.control === id,
        next: { ...wishes, gear: { ...wishes.gear, control: id } },
      },
    SWITCHES.includes(kind) && {
      words: 'choose the rates',
      now: wishes.rates.by === 'switch' && wishes.rates.control === id,
      next: { ...wishes, rates: ratesOn(setup, id) },
    },
    PRESSABLE.includes(kind) && {
      words: 'help the hand launch',
      now: wishes.launch?.control === id,
      next: { ...wishes, launch: launchOn(wishes, id) },
    },
  ];
  return jobs.filter((j) => j !== false);
}

const gainsOn = (kind: Control['kind']) => (kind === 'switch-3' ? [0, 35, 55] : [0, 40]);

/** The way panic works now, or taking the mode channel over. */
const panicWay = ({ panic }: ProgramWishes) =>
  panic && panic.way !== 'none' && panic.way !== 'mode-position' ? panic.way : 'replace';
