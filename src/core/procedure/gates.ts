import { kindOf, type Airframe, type Setup } from '../setup';
import { saidOf, type Caution, type Session, type Step } from './step';

/** What a person said is true of the bench as it is set up now, and when. */
export interface BenchSaid {
  /** What it was set up for then: another set-up, and all of it is asked again. */
  session: Session;
  /** @property at ISO 8601, UTC */
  sure: readonly { caution: Caution; at: string }[];
}

/** How long what was said of the bench counts: a propeller may be back on after a break. */
export const GATE_MS = 60 * 60_000;
/** Two clocks may differ by this much. */
const CLOCKS_MS = 5 * 60_000;

/** What must be true before a step; a model without a motor is asked nothing of one. */
export const gatesOf = (step: Step, setup: Setup): readonly Caution[] =>
  setup.airframe.motors.length === 0 ? [] : saidOf(step, setup).cautions;

/**
 * What must be true before a step and was not said of the bench as it stands.
 * @param atMs the moment it is asked for, milliseconds since 1970: the clock is the caller's
 */
export function openGates(
  step: Step,
  setup: Setup,
  said: BenchSaid | undefined,
  atMs: number,
): Caution[] {
  const holds = (caution: Caution) =>
    said !== undefined &&
    said.session === step.session &&
    said.sure.some((s) => {
      const ageMs = atMs - Date.parse(s.at);
      return s.caution === caution && ageMs <= GATE_MS && ageMs >= -CLOCKS_MS;
    });
  return gatesOf(step, setup).filter((caution) => !holds(caution));
}

/** The same with one thing more, or less, said of the bench; what was said of another set-up is dropped. */
export function saying(
  said: BenchSaid | undefined,
  session: Session,
  caution: Caution,
  yes: boolean,
  at: string,
): BenchSaid {
  const sure = (said?.session === session ? said.sure : []).filter((s) => s.caution !== caution);
  return { session, sure: yes ? [...sure, { caution, at }] : sure };
}

/** What must be true, as a statement to agree to, in the words of this kind of model. */
export function gateWords(caution: Caution, airframe: Pick<Airframe, 'kind'>): string {
  const { isSafe, clear } = kindOf(airframe);
  const words: Record<Caution, string> = {
    'prop-off': isSafe,
    'throttle-locked': 'Throttle cut is on.',
    'motor-dead':
      'The motor cannot run: its wires are off the controller, or the controller’s lead is out and the receiver has a battery of its own. An engine is stopped, its fuel off.',
    hold: 'The model is held, or tied: the motor may start.',
    'clear-behind': clear,
    tether: 'The kill tether stops the motor when it is pulled: tested today.',
  };
  return words[caution];
}
