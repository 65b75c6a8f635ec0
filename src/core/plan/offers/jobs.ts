import { kindOf, type Control, type ProgramWishes, type Setup } from '../../setup';
import { panicWays } from '../wishes/panic';
import { flapsOn } from './flaps';
import { gainWays, gainsOn } from './gain';
import { PRESSABLE, SWITCHES, TURNABLE } from './kinds';
import { launchOn } from './launch';
import { modesOn } from './modes';
import { panicBy, panicWayNow } from './panic';
import { ratesOn } from './rates';

/** What a control can be made to do. */
export type JobId =
  'modes' | 'gain' | 'gain-values' | 'panic' | 'cut' | 'flaps' | 'gear' | 'rates' | 'launch';

/** Something a control could be made to do. */
export interface Job {
  id: JobId;
  /** The control does this now. */
  now: boolean;
  next: ProgramWishes;
}

/** What this control can be made to do on this model, with the figures there are or the usual ones. */
export function jobsFor(setup: Setup, wishes: ProgramWishes, { id, kind }: Control): Job[] {
  const [switches, presses, turns] = [SWITCHES, PRESSABLE, TURNABLE].map((k) => k.includes(kind));
  const carries = (f: string) => setup.program.outputs.some((o) => o.carries === f);
  const ways = gainWays(setup);
  const jobs: (Job | false | undefined)[] = [
    switches &&
      'bands' in setup.unit.traits.modeSelect && {
        id: 'modes',
        now: wishes.modes?.switches.includes(id) ?? false,
        next: { ...wishes, modes: modesOn(setup, wishes.modes?.table ?? [], [id]) },
      },
    turns &&
      ways.includes('knob') && {
        id: 'gain',
        now: wishes.gain?.by === 'knob' && wishes.gain.control === id,
        next: { ...wishes, gain: { by: 'knob', control: id } },
      },
    switches &&
      ways.includes('values') && {
        id: 'gain-values',
        now: wishes.gain?.by === 'values' && wishes.gain.control === id,
        next: { ...wishes, gain: { by: 'values', control: id, pct: gainsOn(setup, id) } },
      },
    presses &&
      panicWays(setup).replace === undefined && {
        id: 'panic',
        now: wishes.panic?.control === id,
        next: { ...wishes, panic: panicBy(setup, wishes, panicWayNow(wishes), id) },
      },
    switches &&
      setup.airframe.motors.length > 0 && {
        id: 'cut',
        now: wishes.cut?.control === id,
        next: { ...wishes, cut: { control: id, position: 0 } },
      },
    (switches || turns) &&
      carries('flap') && {
        id: 'flaps',
        now: wishes.flaps?.control === id,
        next: { ...wishes, flaps: flapsOn(setup, id, wishes.flaps) },
      },
    switches &&
      carries('gear') && {
        id: 'gear',
        now: wishes.gear?.control === id,
        next: { ...wishes, gear: { ...wishes.gear, control: id } },
      },
    switches && {
      id: 'rates',
      now: wishes.rates.by === 'switch' && wishes.rates.control === id,
      next: { ...wishes, rates: ratesOn(setup, id) },
    },
    presses &&
      !kindOf(setup.airframe).onSurface && {
        id: 'launch',
        now: wishes.launch?.control === id,
        next: { ...wishes, launch: launchOn(wishes, id) },
      },
  ];
  return jobs.filter((j): j is Job => Boolean(j));
}
