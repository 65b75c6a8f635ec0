import canonicalize from 'canonicalize';
import { compileChain, positionsOf, switchValue } from '../chain';
import {
  allReads,
  parseSetup,
  parsedJson,
  readsOfCondition,
  WISHES,
  type Program,
  type ProgramWishes,
  type Result,
  type Setup,
  type WishId,
} from '../setup';
import { orderFunctions } from './functions';
import { LISTS, kindOf } from './wishes/draft';
import { modesAt, rewrite } from './wishes';
import { WISH_TITLES } from './wishes/words';

/** A Setup of any version brought to the current one, and what of it could not be understood. */
export interface Opened {
  setup: Setup;
  /** In words; empty for a file of the current version. */
  notes: string[];
}

/** Reads parsed data of any version. Entries of an old one are given back to the choices they come from. */
export function openSetup(data: unknown): Result<Opened> {
  const read = parseSetup(data);
  if (!read.ok) return read;
  const old = (data as { version?: unknown }).version === 1;
  return { ok: true, value: old ? recovered(read.value) : { setup: read.value, notes: [] } };
}

/** Reads the text of a Setup file of any version. */
export function readSetup(text: string): Result<Opened> {
  const parsed = parsedJson(text);
  return parsed.ok ? openSetup(parsed.value) : parsed;
}

/** By what the entries of a choice were known before they had owners. */
const NAMES: Partial<Record<WishId, RegExp>> = {
  launch: /^launch-/,
  panic: /^panic-/,
  voice: /^say-/,
  timer: /^timer-/,
};

type Purpose = NonNullable<Program['lines'][number]['purpose']>;
const PURPOSES: Partial<Record<Purpose, WishId>> = {
  stick: 'sticks',
  mode: 'modes',
  gain: 'gain',
  panic: 'panic',
  'throttle-cut': 'cut',
  launch: 'launch',
};

const DEVICES: Readonly<Record<string, WishId>> = {
  flap: 'flaps',
  flap2: 'flaps',
  'flaperon-left': 'flaps',
  'flaperon-right': 'flaps',
  gear: 'gear',
  brake: 'brake',
};

/** The program with everything that looks like a choice's own given to it, for the choices there are. */
function given({ program }: Setup, wishes: ReadonlySet<WishId>): Program {
  const own = <T extends object>(entry: T, wish: WishId | undefined): T =>
    wish && wishes.has(wish) ? { ...entry, owner: wish } : entry;
  const byName = <T extends { id: string }>(list: readonly T[]): T[] =>
    list.map((e) =>
      own(
        e,
        WISHES.find((wish) => NAMES[wish]?.test(e.id)),
      ),
    );
  const carries = (channel: number) =>
    program.outputs.find((o) => o.channel === channel)?.carries ?? '';
  return {
    ...program,
    inputs: program.inputs.map((input) =>
      own(
        {
          ...input,
          rates: input.rates.map((r) => own(r, input.id === 'throttle' ? 'sticks' : 'rates')),
        },
        'sticks',
      ),
    ),
    logic: byName(program.logic),
    variables: byName(program.variables),
    callouts: byName(program.callouts),
    timers: byName(program.timers),
    lines: program.lines.map((line) =>
      own(
        line,
        (line.purpose && PURPOSES[line.purpose]) ??
          (line.follows.kind === 'control' ? DEVICES[carries(line.channel)] : undefined),
      ),
    ),
    failsafe: program.failsafe.map((f) => own(f, 'failsafe')),
  };
}

/** The program with what belongs to a choice given back to the person. */
function disowned(program: Program, wish: WishId): Program {
  const next = { ...program };
  const free = <T extends { owner?: WishId | undefined }>(entry: T): T => {
    if (entry.owner !== wish) return entry;
    const { owner: _, ...mine } = entry;
    return mine as T;
  };
  for (const list of LISTS) Object.assign(next, { [list]: program[list].map(free) });
  next.inputs = next.inputs.map((input) => ({ ...input, rates: input.rates.map(free) }));
  return next;
}

/**
 * Finds the choices that an old program was written from, once. One is believed when what would be
 * written for it behaves as what is there; its entries then belong to it. All others stay, as the
 * person's own.
 */
export function recovered(old: Setup): Opened {
  const notes: string[] = [];
  const wished = new Map<WishId, unknown>();
  for (const wish of WISHES) {
    const value = wish === 'sticks' ? true : (old.intents.program[wish] ?? guessed(old, wish));
    if (value !== undefined) wished.set(wish, value);
  }
  const { sticks: _, ...program } = Object.fromEntries(wished);
  let setup: Setup = {
    ...old,
    program: given(old, new Set(wished.keys())),
    intents: { ...old.intents, program: program as ProgramWishes },
  };
  for (const wish of wished.keys()) {
    const again = rewrite(setup, wish);
    const unit = JSON.stringify(again.setup.unit) === JSON.stringify(setup.unit);
    if (again.reasons.length === 0 && unit && behavesAs(setup, again.setup)) {
      // Where only names differ they are those of today, so that writing it again changes nothing.
      if (nameless(again.setup) === nameless(setup)) setup = again.setup;
      continue;
    }
    setup = { ...setup, program: disowned(setup.program, wish) };
    const chosen = wish === 'sticks' || old.intents.program[wish] !== undefined;
    if (!chosen) {
      const { [wish]: _gone, ...others } = setup.intents.program;
      setup = { ...setup, intents: { ...setup.intents, program: others as ProgramWishes } };
    }
    notes.push(
      chosen
        ? `${WISH_TITLES[wish]}: the entries differ from your choice. They are kept as your own; the choice is kept too, and the differences are listed.`
        : `${WISH_TITLES[wish]}: matches no choice. The entries are kept as your own.`,
    );
  }
  return { setup, notes };
}

const nameless = ({ program }: Setup): string =>
  canonicalize(
    JSON.parse(
      JSON.stringify(
        LISTS.map((list) => program[list]),
        (key, value: unknown) => (key === 'id' || key === 'label' ? undefined : value),
      ),
    ),
  ) ?? '';

/** Switches that lines wait for. */
const switchesOf = (program: Program, lines: readonly Program['lines'][number][]): string[] =>
  allReads(
    program,
    lines.flatMap((l) => (l.when ? readsOfCondition(l.when) : [])),
  ).flatMap((r) => (r.kind === 'control' && r.position !== undefined ? [r.id] : []));

/** The choice that would write a program much like the one that is there; undefined where nothing looks like one. */
export function guessed(setup: Setup, wish: WishId): unknown {
  const { program, unit } = setup;
  const lines = (purpose: Purpose) => program.lines.filter((l) => l.purpose === purpose);
  const followed = (of: readonly Program['lines'][number][]) =>
    of.flatMap((l) => (l.follows.kind === 'control' ? [l.follows.id] : []));
  switch (wish) {
    case 'modes': {
      const switches = followed(lines('mode')).filter((id) =>
        /^switch|momentary/.test(kindOf(setup, id)),
      );
      if (switches.length === 0 || !orderFunctions(unit).includes('mode')) return undefined;
      return { switches, table: modesAt(compileChain(setup), switches).map((c) => c.mode) };
    }
    case 'gain': {
      const [control] = followed(lines('gain'));
      return control ? { by: 'knob', control } : undefined;
    }
    case 'panic': {
      const [control] = [...followed(lines('panic')), ...switchesOf(program, lines('panic'))];
      const carries = (line: Program['lines'][number]) =>
        program.outputs.find((o) => o.channel === line.channel)?.carries;
      const own = lines('panic').some((l) => carries(l) === 'recovery');
      const adds = lines('panic').some((l) => carries(l) === 'mode' && l.effect === 'adds');
      const gain = lines('panic').find((l) => carries(l) === 'gain');
      const held = program.logic.find((l) => l.id === 'panic-held');
      return control
        ? {
            way: own ? 'channel' : adds ? 'offsets' : 'replace',
            control,
            holdS: held?.op === 'delay' ? held.onS : 0,
            ...(gain ? { gainPct: 60 } : {}),
          }
        : undefined;
    }
    case 'cut': {
      const when = lines('throttle-cut')[0]?.when;
      return when?.kind === 'switch'
        ? { control: when.control, position: when.position }
        : undefined;
    }
    case 'failsafe': {
      const own = unit.settings.failsafe;
      if (own?.mode === 'home') return { school: 'home', pitchDeg: 0, rollDeg: 0 };
      const level = unit.traits.modes.includes('level');
      const roll = own?.rollDeg ?? 0;
      return {
        school: level ? (roll === 0 ? 'glide' : 'circle') : 'motor-off',
        pitchDeg: own?.pitchDeg ?? (level ? 3 : 0),
        rollDeg: roll,
      };
    }
    case 'launch': {
      const held = program.logic.find((l) => l.op === 'delay' && l.of.kind === 'switch');
      const near = program.logic.find((l) => l.op === 'near');
      if (lines('launch').length === 0 || held?.op !== 'delay' || held.of.kind !== 'switch')
        return undefined;
      return {
        control: held.of.control,
        holdS: held.onS,
        elevatorPct: program.variables.find((v) => v.id === 'launch-elevator')?.valuePct ?? 25,
        releasePct: near?.op === 'near' ? near.withinPct : 10,
      };
    }
    case 'gear':
    case 'brake': {
      const [control] = followed(
        program.lines.filter((l) =>
          program.outputs.some((o) => o.channel === l.channel && o.carries === wish),
        ),
      );
      return control ? { control } : undefined;
    }
    default:
      return undefined;
  }
}

/** Percent by which a value may differ that is entered in whole numbers. */
const ENTERED_PCT = 0.51;
const MOMENTS = 240;

/** Whether two programs do the same in a long walk of hands, time and lost links. */
function behavesAs(a: Setup, b: Setup): boolean {
  const spoken = ({ program }: Setup) =>
    JSON.stringify([
      program.callouts.map(({ when, say, reading }) => [when, say, reading]),
      program.timers.map(({ seconds }) => seconds),
    ]);
  if (spoken(a) !== spoken(b)) return false;
  const chains = [compileChain(a), compileChain(b)] as const;
  const memories = chains.map((c) => c.newMemory());
  const frames = chains.map((c) => c.newFrame());
  const stimulus = chains[0].restStimulus();
  const { controls } = a.transmitter;
  // A small generator of its own, the same every time (Numerical Recipes' linear congruence).
  let state = 12345;
  const below = (n: number): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return Math.floor((state / 4294967296) * n);
  };
  for (let moment = 0; moment < MOMENTS; moment++) {
    for (let n = 0; n < 2; n++) {
      const at = below(controls.length);
      const { kind } = controls[at]!;
      // Trims shift by little, and what launch help makes of them is better now than it was.
      if (kind === 'trim') continue;
      stimulus.controls[at] = /^switch|momentary/.test(kind)
        ? switchValue(kind, below(positionsOf(kind)))
        : [-100, -50, 0, 50, 100][below(5)]!;
    }
    stimulus.linkUp = below(8) > 0;
    stimulus.dtS = [0.02, 0.1, 0.4, 1.2][below(4)]!;
    chains.forEach((chain, i) => chain.step(stimulus, memories[i]!, frames[i]!));
    const [x, y] = frames as [(typeof frames)[0], (typeof frames)[0]];
    if (x.mode !== y.mode) return false;
    for (let c = 0; c < x.receivedUs.length; c++) {
      const [p, q] = [x.receivedUs[c]!, y.receivedUs[c]!];
      if (Number.isNaN(p) !== Number.isNaN(q)) return false;
      if (Math.abs(p - q) > (ENTERED_PCT / 100) * a.transmitter.pulse.usAt100) return false;
    }
  }
  return true;
}
