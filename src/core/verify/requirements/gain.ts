import { AXES, isOrder, pointer, type Mode } from '../../setup';
import type { Claim, Facts, Moment } from '../engine';
import { GAIN_NONE_PCT, orderScope, type Requirement } from './requirement';

/** More of the turn than this without effect is a mistake, not a margin. */
const DEAD_SHARE = 0.35;
/** Percent of gain for a percent of the way: less than this is nothing. */
const DEAD_SLOPE = 0.01;
/** How far a value may be from what was chosen; scales and ends cost some. */
const OFF_PCT = 12;
/** Gain that can be raised no further than this does nothing a person could see. Planning figure, no source. */
const ALIVE_PCT = 5;
/** Gain that turns back by less is rounding. */
const TURNS_PCT = 1;
const SPREAD = 19;
/** Closer than this a control is where it is said to be. */
const AT_PCT = 1e-6;

const plain = (now: Moment) => !now.panicking && !now.launching;
const most = ({ frame }: Moment) => Math.max(...frame.gainPct);

/** Scales of the modes: gain is said as a share of the most the unit gives in its mode. */
function scaler(facts: Facts): (now: Moment) => number {
  const known = new Map<Mode, number>();
  return (now) => {
    const scale = known.get(now.frame.mode) ?? facts.mostGiven(now);
    known.set(now.frame.mode, scale);
    return scale;
  };
}

/** Knobs and sliders, by position, that reach the gain by whatever way. */
const gainKnobs = (facts: Facts): number[] =>
  [...facts.setup.transmitter.controls.keys()].filter((at) => {
    const { kind } = facts.setup.transmitter.controls[at]!;
    return (kind === 'knob' || kind === 'slider') && facts.reaches(at, facts.gainChannels);
  });

/** What is wrong with how a knob turns the gain, the gravest first. */
interface Turn {
  how: string;
  says: string;
  severity: 'stop' | 'caution';
}

/** Judges one turn of a knob from end to end. */
function turnOf(
  facts: Facts,
  at: number,
  seen: readonly Moment[],
  scale: (now: Moment) => number,
): Turn | undefined {
  const { setup } = facts;
  const { traits } = setup.unit;
  const choice = setup.intents.program.gain;
  const label = facts.label(at);
  const { id } = setup.transmitter.controls[at]!;
  const places = seen.map((m) => m.hands[at]!);
  const modes = seen.map((m) => m.frame.mode);
  const all = traits.axes.map((a) => AXES.indexOf(a));
  const given = seen.map((m) => {
    const by = scale(m);
    return all.map((i) => m.frame.gainPct[i]! / by);
  });
  // A knob that tunes one axis is checked on that axis.
  const moved = all.filter((_, k) => given.some((g) => g[k] !== given[0]![k]));
  const looked = moved.length > 0 ? moved : all;
  const gains = given.map((g) => Math.max(...looked.map((i) => g[all.indexOf(i)]!)));
  const [first, last] = [gains[0]!, gains.at(-1)!];
  const highest = Math.max(...gains);
  const least = Math.min(...gains);
  const pct = (n: number) => `${n.toFixed(0)} %`;
  // Off in its middle and a set on each side is what was asked for.
  if (choice?.by === 'knob' && choice.middleOff === true && choice.control === id)
    return Math.abs(least) > GAIN_NONE_PCT || first < 50 || last < 50
      ? {
          how: 'short',
          says: `${label} gives ${pct(first)} gain at one end, ${pct(last)} at the other and ${pct(least)} in the middle.`,
          severity: 'caution',
        }
      : undefined;
  if (traits.modeSelect.by === 'gain-sign' || traits.gainLaw === 'sign-selects-set') {
    const on = modes.map((mode, i) => gains[i]! > GAIN_NONE_PCT && mode !== 'off');
    const off = on.indexOf(false, on.indexOf(true));
    const crosses = off > 0 && on.includes(true) && on.indexOf(true, off) > off;
    const several = new Set(modes.filter((_, i) => on[i])).size > 1;
    const v = gains.indexOf(least);
    const bent = first > least + 5 && last > least + 5 && v > 0 && v < gains.length - 1;
    if (several || crosses || bent)
      return {
        how: 'crosses',
        says: `${label} crosses the centre of the gain channel: on one side ${facts.mode(modes[0]!)}, on the other ${facts.mode(modes.at(-1)!)}.`,
        severity: 'stop',
      };
  }
  if (highest - least < 1) return undefined;
  if (Math.min(first, last) > least + (highest - least) * 0.6)
    return {
      how: 'two-ends',
      says: `${label} gives ${pct(first)} gain at one end and ${pct(last)} at the other, ${pct(least)} between.`,
      severity: 'stop',
    };
  const dead =
    places.slice(1).reduce((sum, place, i) => {
      const width = place - places[i]!;
      return Math.abs(gains[i + 1]! - gains[i]!) < DEAD_SLOPE * width ? sum + width : sum;
    }, 0) / 200;
  if (dead > DEAD_SHARE)
    return {
      how: 'dead',
      says: `${Math.round(dead * 100)} % of the way of ${label} changes nothing.`,
      severity: 'caution',
    };
  // By how much it ever falls below where it was, and rises above: however closely one looks.
  let [peak, trough, fall, rise] = [first, first, 0, 0];
  for (const g of gains) {
    peak = Math.max(peak, g);
    trough = Math.min(trough, g);
    fall = Math.max(fall, peak - g);
    rise = Math.max(rise, g - trough);
  }
  const [falls, rises] = [fall > TURNS_PCT, rise > TURNS_PCT];
  if (falls && rises)
    return {
      how: 'turns-back',
      says: `Gain rises and falls again while ${label} is turned one way.`,
      severity: 'caution',
    };
  if (choice?.by === 'knob' && choice.control === id && (highest < 60 || least > 25))
    return {
      how: 'short',
      says: `${label} gives ${pct(least)} to ${pct(highest)} gain, not the full range.`,
      severity: 'caution',
    };
  return undefined;
}

const WEIGHT = { stop: -2, caution: -1 } as const;

const turned = (facts: Facts, scale: (now: Moment) => number) =>
  gainKnobs(facts).map((at): Claim => ({
    key: `turn ${facts.setup.transmitter.controls[at]!.id}`,
    form: 'sweep',
    asked: 'always',
    control: at,
    spread: SPREAD,
    scope: orderScope(facts),
    severity: 'caution',
    where: '/program/lines',
    about: { control: facts.setup.transmitter.controls[at]!.id },
    shows: `${facts.label(at)} at its lower end`,
    when: plain,
    holds(_, seen) {
      const wrong = turnOf(facts, at, seen, scale);
      return wrong ? WEIGHT[wrong.severity] : 1;
    },
    says({ seen }) {
      const { how, says, severity } = turnOf(facts, at, seen, scale)!;
      return { says, severity, about: { how }, then: [at, -100] };
    },
  }));

/** The controls a person raises the gain with, as chosen; each is enough by itself. */
function raisers({ setup }: Facts): { id: string; axis?: number }[] {
  const choice = setup.intents.program.gain;
  switch (choice?.by) {
    case 'knob':
    case 'values':
    case 'flap':
      return [{ id: choice.control }];
    case 'sets':
      return choice.knob === undefined ? [] : [{ id: choice.knob }];
    case 'axes':
      return AXES.flatMap((axis, i) => {
        const id = choice[axis];
        return id === undefined ? [] : [{ id, axis: i }];
      });
    default:
      return [];
  }
}

/** Wherever everything else stands, the control the gain was given to can raise it. */
function alive(facts: Facts): Claim[] {
  const { setup } = facts;
  const choice = setup.intents.program.gain;
  const common = {
    asked: 'always',
    scope: orderScope(facts),
    severity: 'stop',
    where: '/program/lines',
    // Off is off; a mode that is another one by the sign of the gain has its own turn.
    when: (now: Moment) =>
      plain(now) && !now.frame.recovering && now.frame.mode !== 'off' && !isOffByChoice(facts, now),
  } as const;
  const about = { how: 'dead-here' };
  const says = (now: Moment, state: string, by: string) => ({
    says: `In ${facts.mode(now.frame.mode)} ${by} gives no gain (${state}): the unit corrects nothing there.`,
    about: { mode: now.frame.mode },
  });
  if (choice?.by === 'fixed' && choice.pct > ALIVE_PCT)
    return [
      {
        ...common,
        key: 'alive fixed',
        form: 'moment',
        about,
        shows: 'no gain',
        holds: (now) => most(now) - ALIVE_PCT,
        says: ({ now, state }) => says(now, state, 'the fixed gain'),
      },
    ];
  // A control that no longer reaches the gain is a choice that differs, and not a dead gain.
  const reaching = raisers(facts).filter(({ id }) =>
    facts.reaches(facts.at(id), facts.gainChannels),
  );
  return reaching.map(({ id, axis }): Claim => {
    const at = facts.at(id);
    const height = (m: Moment) => (axis === undefined ? most(m) : m.frame.gainPct[axis]!);
    return {
      ...common,
      key: `alive ${id}`,
      form: 'sweep',
      control: at,
      about: { ...about, control: id },
      shows: `${facts.label(at)} in every position`,
      holds: (_, seen) =>
        Math.max(...seen.filter((m) => m.frame.mode !== 'off').map(height), 0) - ALIVE_PCT,
      says: ({ now, state }) => says(now, state, `no place of ${facts.label(at)}`),
    };
  });
}

/** Whether a switch that was chosen for it turns the gain off. */
function isOffByChoice(facts: Facts, { hands }: Moment): boolean {
  const choice = facts.setup.intents.program.gain;
  if (choice?.by !== 'flap') return false;
  const at = facts.at(choice.off);
  return choice.offPositions.some((p) => facts.position(choice.off, p).value === hands[at]);
}

/** Values on a switch, in every state of everything else. */
function values(facts: Facts, scale: (now: Moment) => number): Claim[] {
  const { setup } = facts;
  const choice = setup.intents.program.gain;
  if (choice?.by !== 'values' && choice?.by !== 'flap') return [];
  if (setup.unit.settings.inputs.some((i) => i.carries.startsWith('gain-'))) return [];
  const at = facts.at(choice.control);
  return choice.pct.map((pct, i): Claim => {
    const { value, words } = facts.position(choice.control, i);
    const wanted = (now: Moment) => (isOffByChoice(facts, now) ? 0 : Math.abs(pct) * scale(now));
    return {
      key: `value ${i}`,
      form: 'moment',
      asked: 'always',
      scope: orderScope(facts),
      severity: 'caution',
      where: pointer('intents', 'program', 'gain', 'pct', i),
      about: { control: choice.control, how: 'other-value', figure: i },
      shows: words,
      when: (now) => plain(now) && now.hands[at] === value,
      holds: (now) => (isOffByChoice(facts, now) ? 3 : OFF_PCT) - Math.abs(most(now) - wanted(now)),
      says: ({ now }) => ({
        severity: most(now) > wanted(now) ? 'stop' : 'caution',
        says: isOffByChoice(facts, now)
          ? `${words}: gain ${most(now).toFixed(0)} % where you chose off.`
          : `${words}: gain ${most(now).toFixed(0)} % where you chose ${pct} %.`,
      }),
    };
  });
}

export const gainAsChosen: Requirement = {
  id: 'gain',
  title: 'The gain knob covers the gain range, and no more',
  must: `A gain knob goes from no gain at one end to full at the other, rising all the way, and never through the middle of a gain channel into what lies beyond; values on a switch are what was chosen; and wherever everything else stands, what the gain was given to can raise it above ${ALIVE_PCT} %.`,
  from: 'The choice of a gain and the unit’s gain law.',
  leavesOut: `Values closer than ${OFF_PCT} % to what was chosen.`,
  applies: (setup) =>
    setup.unit.settings.inputs.some((i) => isOrder(i.carries) && /^gain/.test(i.carries)),
  looksAt: (facts) => facts.orderChannels,
  claims(facts) {
    if (facts.setup.intents.program.lock)
      return [
        {
          key: 'locked',
          form: 'moment',
          asked: 'always',
          scope: orderScope(facts),
          severity: 'stop',
          where: '/intents/program/lock',
          about: { how: 'unlocked' },
          shows: 'gain not at off',
          holds: (now) => GAIN_NONE_PCT - most(now),
          says: ({ now }) =>
            `The gain is to be locked at off, and can be ${most(now).toFixed(0)} %.`,
        },
      ];
    const scale = scaler(facts);
    return [...turned(facts, scale), ...values(facts, scale), ...alive(facts)];
  },
  /** A gain that is dead everywhere says so once, whatever the control. */
  told(failures) {
    const dead = failures.find((f) => f.about.how === 'dead-here');
    return failures.filter((f) => f.about.how !== 'dead-here' || f === dead);
  },
};

const isOff = ({ frame }: Moment): boolean =>
  frame.mode === 'off' || [...frame.gainPct].every((g) => g <= GAIN_NONE_PCT);

/** Positions of single controls that might switch everything off, as "control value". */
function candidates(facts: Facts): string[] {
  return [...facts.setup.transmitter.controls.entries()].flatMap(([at, control]) => {
    if (control.kind === 'trim' || control.kind === 'stick' || at === facts.panic?.at) return [];
    if (!facts.reaches(at, facts.orderChannels)) return [];
    const places = facts.isContinuous(at)
      ? [-100, 0, 100]
      : control.kind === 'switch-3'
        ? [-100, 0, 100]
        : [-100, 100];
    return places.map((value) => `${control.id} ${value}`);
  });
}

export const masterOff: Requirement = {
  id: 'master-off',
  title: 'One movement switches everything off',
  must: 'One position of one control turns the unit off wherever everything else stands, except while a helper that you chose is acting.',
  from: 'When the unit does something wrong there is time for one movement, found by touch.',
  leavesOut: 'Units that have no off and no gain channel.',
  applies: ({ unit }) => unit.traits.modes.includes('off') || unit.traits.gainLaw !== 'fixed',
  looksAt: (facts) => facts.orderChannels,
  claims: (facts) => [
    {
      key: 'off',
      form: 'moment',
      asked: 'one-of',
      choices: candidates(facts),
      scope: orderScope(facts),
      severity: 'caution',
      where: '/program/lines',
      about: { how: 'no-off' },
      shows: 'the unit on',
      when: plain,
      allows(now, choice) {
        const [id, value] = choice.split(' ');
        const off = Math.abs(now.hands[facts.at(id!)]! - Number(value));
        return off > AT_PCT ? undefined : isOff(now);
      },
      says: ({ state }) =>
        `With the unit on (${state}) there is no one control that always turns it off.`,
    },
  ],
};
