import type { Evidence, Status } from '../logbook';
import type { Setup } from '../setup';
import type { Finding, RuleId } from '../verify';
import type { StationId } from './stations';

/** What a step's status is worked out from: the Setup, what was seen, and the verdict on the program. */
export interface ProofContext {
  setup: Setup;
  evidence: readonly Evidence[];
  /** Undefined while the proof is still running. */
  findings: readonly Finding[] | undefined;
}

/** One thing that proves a step, with whether it still holds. */
export interface Proof {
  what: string;
  status: Status;
  reasons: string[];
}

/** What must be at hand: a session on the bench is kept together, because changing it takes time. */
export const SESSIONS = ['paper', 'table', 'prop-off', 'link-off', 'prop-on', 'out'] as const;
export type Session = (typeof SESSIONS)[number];

/** What must be true of the bench before a step in which somebody can be hurt. */
export const CAUTIONS = [
  'prop-off',
  'hold',
  'throttle-locked',
  'motor-dead',
  'clear-behind',
  'tether',
] as const;
export type Caution = (typeof CAUTIONS)[number];

/** Every step, in the order a handbook would print them. A test, its station and its name go by this too. */
export const STEP_IDS = [
  'model',
  'safe',
  'identify',
  'ask',
  'program',
  'entry',
  'unit',
  'calibration',
  'mounting',
  'sticks',
  'plain-model',
  'steering',
  'capture',
  'throws',
  'corrections',
  'level',
  'panic',
  'failsafe',
  'chassis',
  'preflight',
  'tune',
  'lock',
  'record',
] as const;
export type StepId = (typeof STEP_IDS)[number];

/** What a step is called and asks for. */
export interface StepWords {
  title: string;
  /** What to do, as an order. */
  does: string;
}

/** One piece of the job: when it applies, what proves it, what must come before, what can hurt. */
export interface Step extends StepWords {
  id: StepId;
  /** The same for a kind of model or a transmitter that has words of its own. */
  said?(setup: Setup): Partial<StepWords & Pick<Step, 'cautions'>>;
  /** The station it is done at. */
  station: StationId;
  session: Session;
  cautions: readonly Caution[];
  /** Done out there with a model that is ready: it keeps none on the ground unless something was found wrong. */
  afterReady?: true;
  /** Asked wherever the way is drawn: it looks at choices and traits, and works nothing out. */
  applies(setup: Setup): boolean;
  /** Rules whose findings stop this step; all others stop the program. */
  rules?: readonly RuleId[];
  /** Everything that must hold; each stamped with what it reads, so that none is ticked by hand. */
  proofs(bench: ProofContext): Proof[];
  /** Steps that must be proven before it makes sense; the chosen school has a say. */
  after(setup: Setup): readonly StepId[];
}

/** A step in the words of this model and this transmitter. */
export const saidOf = (step: Step, setup: Setup): Step => ({ ...step, ...step.said?.(setup) });
