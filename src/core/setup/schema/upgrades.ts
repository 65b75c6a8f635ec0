/*
 * Functions that carry an old document to the next version, by the version they start from. They work
 * on what a stranger wrote, before it is checked: what is not as it should be passes through, and the
 * schema says so afterwards.
 */

type Json = Record<string, unknown>;

const isObject = (v: unknown): v is Json =>
  typeof v === 'object' && v !== null && !Array.isArray(v);

const eachOf = (list: unknown, change: (entry: Json) => Json): unknown =>
  Array.isArray(list) ? list.map((e: unknown) => (isObject(e) ? change(e) : e)) : list;

/** Some fields under other names, in the place they had; the others as they are. */
const renamed = (entry: Json, names: Readonly<Record<string, string>>): Json =>
  Object.fromEntries(Object.entries(entry).map(([key, v]) => [names[key] ?? key, v]));

const EFFECTS: Readonly<Record<string, string>> = {
  add: 'adds',
  multiply: 'scales',
  replace: 'takes-over',
};

/** A constant has become a fixed value. */
const source = (v: unknown): unknown =>
  isObject(v) && v.kind === 'constant' ? { ...v, kind: 'fixed' } : v;

const rateTwo = (rate: Json): Json => renamed(rate, { weightPct: 'sharePct' });

function programTwo(program: Json): Json {
  const next = renamed(program, { curves: 'shapes' });
  return {
    ...next,
    inputs: eachOf(next.inputs, (i) => ({ ...i, rates: eachOf(i.rates, rateTwo) })),
    logic: eachOf(next.logic, (l) =>
      'source' in l ? renamed({ ...l, source: source(l.source) }, { source: 'follows' }) : l,
    ),
    lines: eachOf(next.lines, (l) =>
      renamed(
        {
          ...l,
          source: source(l.source),
          op: typeof l.op === 'string' ? (EFFECTS[l.op] ?? l.op) : l.op,
        },
        {
          source: 'follows',
          weightPct: 'sharePct',
          offsetPct: 'shiftPct',
          curve: 'shape',
          op: 'effect',
        },
      ),
    ),
    callouts: eachOf(next.callouts, (c) =>
      'reading' in c ? { ...c, reading: source(c.reading) } : c,
    ),
  };
}

/** What the sticks are rated at, where nothing was chosen: as the first of them stands. */
function rateOf(program: unknown): Json {
  const inputs = isObject(program) && Array.isArray(program.inputs) ? program.inputs : [];
  const steering = inputs.find(
    (i: unknown): i is Json => isObject(i) && i.id !== 'throttle' && Array.isArray(i.rates),
  );
  const rate: unknown = (steering?.rates as unknown[] | undefined)?.at(-1);
  const within = (v: unknown, low: number, high: number, usual: number) =>
    typeof v === 'number' ? Math.min(high, Math.max(low, v)) : usual;
  return isObject(rate)
    ? {
        by: 'one',
        pct: within(rate.weightPct, 10, 150, 100),
        expoPct: within(rate.expoPct, -100, 100, 20),
      }
    : { by: 'one', pct: 100, expoPct: 20 };
}

function wishesTwo(wishes: unknown, program: unknown): unknown {
  if (wishes !== undefined && !isObject(wishes)) return wishes;
  const { callouts, timerMin, rates, gain, ...others } = wishes ?? {};
  return {
    ...others,
    ...(gain === undefined
      ? {}
      : {
          gain:
            isObject(gain) && gain.by === 'flap' && 'offPosition' in gain
              ? renamed(
                  { ...gain, offPosition: [gain.offPosition] },
                  { offPosition: 'offPositions' },
                )
              : gain,
        }),
    rates: isObject(rates)
      ? {
          by: 'mode',
          off: { pct: rates.offPct, expoPct: rates.offExpoPct },
          on: { pct: rates.onPct, expoPct: rates.onExpoPct },
        }
      : (rates ?? rateOf(program)),
    ...(callouts === true ? { voice: { modes: true } } : {}),
    ...(timerMin === undefined ? {} : { timer: { minutes: timerMin } }),
  };
}

/** Lines in our own words; every Setup has wishes. Entries have no owner yet: see `plan/recover.ts`. */
function toVersion2(old: Json): Json {
  const { program, intents } = old;
  return {
    ...old,
    version: 2,
    program: isObject(program) ? programTwo(program) : program,
    intents: isObject(intents)
      ? { ...intents, program: wishesTwo(intents.program, program) }
      : intents,
  };
}

export const UPGRADES: Readonly<Record<number, (old: Json) => Json>> = { 1: toVersion2 };
