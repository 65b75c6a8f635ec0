import { compileChain, gainWords, modeWords, placesOf, RELEASED, type Frame } from '../chain';
import { devicesOf, MIX_NAMES } from '../model';
import {
  controlsOfMix,
  functionOf,
  usesOf,
  type Control,
  type Line,
  type Setup,
  type Use,
} from '../setup';

/** What a control does with it in one place. */
export interface TagPlace {
  /** "far", "held", "left end" */
  place: string;
  /** Value of the control there, in percent. */
  value: number;
  /** "levels"; several where it does several things. */
  does: string[];
}

/** The tag on a control: what it is for, and what it does in each of its places. */
export interface Tag {
  control: Control;
  /** "mode", "gain"; empty where the program does not use it. */
  purposes: string[];
  places: TagPlace[];
}

type Purpose = NonNullable<Line['purpose']>;

/** Purposes in the words of a tag; those that say less than the channel does are left out. */
const PURPOSE_WORDS: Partial<Record<Purpose, string>> = {
  mode: 'mode',
  gain: 'gain',
  panic: 'panic',
  'throttle-cut': 'throttle cut',
  launch: 'hand launch',
};

/** Letting go of a button says nothing of what it is for. */
const told = (control: Control) => placesOf(control.kind).filter(([place]) => place !== RELEASED);

/** As long as any wait of a program, in seconds, and a step of it. */
const SETTLE_S = 4;
const STEP_S = 0.1;

const known = new WeakMap<Setup, Tag[]>();

/**
 * The tag of every control that is no stick and no trim. What it does is asked of the chain, with
 * everything else at rest and the unit armed: nothing here knows what a line means.
 */
export function tagsOf(setup: Setup): Tag[] {
  const found = known.get(setup) ?? workOut(setup);
  known.set(setup, found);
  return found;
}

function workOut(setup: Setup): Tag[] {
  const { controls } = setup.transmitter;
  const chain = compileChain(setup);
  /** How everything stands some time after one control was put somewhere, the throttle open. */
  const settled = (at: number, value: number, more: readonly [number, number][] = []): Frame => {
    const memory = chain.newMemory();
    const frame = chain.newFrame();
    const stimulus = chain.restStimulus();
    memory.armed = true;
    for (const [i, v] of more) stimulus.controls[i] = v;
    chain.step(stimulus, memory, frame);
    stimulus.controls[at] = value;
    stimulus.dtS = STEP_S;
    for (let t = 0; t < SETTLE_S; t += STEP_S) chain.step(stimulus, memory, frame);
    return frame;
  };
  const full = controls.flatMap((c, i): [number, number][] =>
    c.kind === 'stick' ? [[i, 100]] : [],
  );
  return controls
    .filter((c) => c.kind !== 'stick' && c.kind !== 'trim')
    .map((control) => {
      const at = controls.indexOf(control);
      const uses = usesOf(setup).get(control.id) ?? [];
      const frames = told(control).map(([place, value]) => ({
        place,
        value,
        frame: settled(at, value),
        full: settled(at, value, full),
      }));
      const rest = settled(at, control.rest);
      const all = KINDS.filter((k) => uses.some((u) => kindOfUse(u) === k));
      // Rates that go with the mode are told where the rates are; the tag keeps to what the hand is for.
      const kinds = all.filter((k, i) => k !== 'rates' || i === 0);
      return {
        control,
        purposes: [
          ...new Set(uses.toSorted(byWeight).map((u) => purposeOf(setup, control, u))),
        ].filter((p) => p !== ''),
        places: frames.map(({ place, value, ...seen }) => ({
          place,
          value,
          does: [
            ...new Set(kinds.flatMap((kind) => SAYS[kind](setup, { ...seen, control, rest }))),
          ],
        })),
      };
    });
}

interface Seen {
  control: Control;
  frame: Frame;
  /** The same with every stick at its full end. */
  full: Frame;
  /** With the control where it rests. */
  rest: Frame;
}

/** What can be said of a use, the weightiest first. */
const KINDS = [
  'mode',
  'panic',
  'motor',
  'gain',
  'launch',
  'flaps',
  'device',
  'spare',
  'rates',
  'voice',
] as const;
type Kind = (typeof KINDS)[number];

/** A use of which nothing can be said comes last. */
const weight = (use: Use) => {
  const at = KINDS.findIndex((k) => k === kindOfUse(use));
  return at < 0 ? KINDS.length : at;
};
const byWeight = (a: Use, b: Use) => weight(a) - weight(b);

/** What there is to be said of a use, in the order it is said. */
function kindOfUse(use: Use): Kind | undefined {
  if (use.of === 'call-out') return 'voice';
  if (use.of === 'timer') return undefined;
  if (use.purpose === 'panic') return 'panic';
  if (use.purpose === 'launch') return 'launch';
  if (use.purpose === 'throttle-cut') return 'motor';
  const role = use.carries && functionOf(use.carries).role;
  if (use.carries === 'mode' || use.purpose === 'mode') return 'mode';
  if (use.carries === 'gain' || use.purpose === 'gain') return 'gain';
  if (use.carries === 'flap' || use.carries?.startsWith('flaperon')) return 'flaps';
  if (use.carries === 'gear' || use.carries === 'brake' || use.carries === 'capture')
    return 'device';
  if (role === 'free') return 'spare';
  if (role !== undefined && use.indirect) return 'rates';
  return undefined;
}

/** The mix a control was chosen for; a stick that a mix reads as well is none of it. */
const mixBy = ({ intents }: Setup, { id }: Control): string | undefined => {
  const own = intents.program.mixes?.find((m) => controlsOfMix(m).includes(id));
  return own && MIX_NAMES[own.mix];
};

function purposeOf(setup: Setup, control: Control, use: Use): string {
  if (use.of !== 'channel') return use.of === 'timer' ? 'timer' : 'voice';
  const named = use.purpose && PURPOSE_WORDS[use.purpose];
  if (named) return named;
  const mixed = use.purpose === 'mix' ? mixBy(setup, control) : undefined;
  if (mixed) return mixed;
  if (kindOfUse(use) === 'rates') return 'rates';
  const device = devicesOf(setup.airframe).find((d) => d.servo.carries === use.carries);
  if (device) return device.device.label.toLowerCase();
  return use.carries ? functionOf(use.carries).words : `channel ${use.channel}`;
}

const percent = (v: number) => `${Math.round(Math.max(0, v))} %`;
const loudest = (values: Float64Array | readonly number[]) => Math.max(0, ...values);

/** How the gain of the axes reads: one number, or one for each where they differ. */
function gainOf({ unit }: Setup, frame: Frame): string {
  const own = unit.traits.axes.map((_, i) => gainWords(frame.gainPct[i] ?? 0));
  return new Set(own).size === 1 ? own[0]! : own.join(' / ');
}

const SAYS: Record<Kind, (setup: Setup, seen: Seen) => string[]> = {
  mode: (setup, { frame }) => [modeWords(setup.unit, frame.mode)],
  gain: (setup, { frame }) => [`gain ${gainOf(setup, frame)}`],
  motor: (_, { full }) => [loudest(full.motorPct) < 1 ? 'motor held off' : 'motor free'],
  panic: (setup, { frame, rest }) =>
    frame.mode === rest.mode && !frame.recovering
      ? []
      : [frame.recovering ? 'recovery' : modeWords(setup.unit, frame.mode)],
  launch: (setup, { frame, rest }) =>
    frame.mode === rest.mode ? [] : [modeWords(setup.unit, frame.mode)],
  flaps: ({ airframe }, { frame }) => {
    const i = airframe.surfaces.findIndex((s) => s.role === 'flap');
    const deg = i < 0 ? NaN : Math.round(frame.surfaceDeg[i]!);
    return Number.isNaN(deg) ? [] : [deg > 1 ? `flaps ${deg}° down` : 'flaps up'];
  },
  rates: ({ program, transmitter }, { full }) => {
    const steers = program.inputs.flatMap((input, i) => {
      const hand = transmitter.controls.find((c) => c.id === input.control)?.hand;
      return hand && functionOf(hand).role === 'steering' ? [Math.abs(full.inputsPct[i]!)] : [];
    });
    const [first = 100] = steers;
    return [
      steers.every((r) => Math.abs(r - first) < 0.5)
        ? `rates ${percent(first)}`
        : `rates ${percent(Math.min(...steers))} to ${percent(Math.max(...steers))}`,
    ];
  },
  device: () => [],
  spare: ({ airframe, program, transmitter, intents }, { frame, control }) =>
    devicesOf(airframe).flatMap(({ device, servo }) => {
      const output = program.outputs.find((o) => o.carries === servo.carries);
      const own = intents.program.devices?.some(
        (d) => d.device === device.id && d.control === control.id,
      );
      if (!output || !own) return [];
      const { centreUs, usAt100 } = transmitter.pulse;
      const pct = ((frame.sentUs[output.channel - 1]! - centreUs) / usAt100) * 100;
      const near = device.states.toSorted((a, b) => Math.abs(a.pct - pct) - Math.abs(b.pct - pct));
      return [near[0]!.words];
    }),
  voice: () => [],
};

/** "Switch A, mode: far off, middle rate damping, near self-levelling" */
export const tagWords = ({ control, purposes, places }: Tag): string =>
  purposes.length === 0
    ? `${control.label}: not used`
    : `${control.label}, ${purposes.join(' and ')}: ${places
        .filter((p) => p.does.length > 0)
        .map((p) => `${p.place} ${p.does.join(', ')}`)
        .join(', ')}`;
