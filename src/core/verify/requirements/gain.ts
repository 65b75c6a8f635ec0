import { switchValue } from '../../chain';
import { combinations } from '../../plan';
import { AXES, isOrder, pointer, type Control, type Mode, type Setup } from '../../setup';
import type { Asked, OrderCell } from '../asked';
import { coneOf, isContinuous, type Cell, type Stand } from '../explore';
import { orderChannels } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

const NONE_PCT = 0.5;
/** More of the turn than this without effect is a mistake, not a margin. */
const DEAD_SHARE = 0.35;
/** Percent of gain for a percent of the way: less than this is nothing. */
const DEAD_SLOPE = 0.01;
/** How far a value may be from what was wished; scales and ends cost some. */
const OFF_PCT = 12;
const STEPS = 20;

/** Channels that say how much. */
function gainChannels(setup: Setup): number[] {
  return setup.unit.settings.inputs
    .filter((i) => i.carries === 'gain' || i.carries.startsWith('gain-'))
    .map((i) => i.channel)
    .filter((c) => c <= setup.transmitter.channels);
}

/** Knobs and sliders, by position, that reach the gain by whatever way. */
function gainKnobs(setup: Setup): number[] {
  return coneOf(setup, gainChannels(setup)).controls.filter((at) => {
    const { kind } = setup.transmitter.controls[at]!;
    return kind === 'knob' || kind === 'slider';
  });
}

/** One turn of a knob from end to end, everything else standing still. */
interface Turn {
  at: number;
  control: Control;
  cell: Cell;
  /** Where it stands, rising: evenly spread, and on both sides of every place something changes. */
  places: readonly number[];
  /** Share of the most that the unit gives anywhere, in percent. */
  gains: number[];
  modes: Mode[];
}

/** Turns a knob from end to end in every state of everything else, panic and launch help left out. */
function turnsOf(asked: Asked, at: number): Turn[] {
  const { orders, setup, stand } = asked;
  const k = orders.cone.controls.indexOf(at);
  if (k < 0) return [];
  const spread = Array.from({ length: STEPS + 1 }, (_, i) => -100 + (200 * i) / STEPS);
  const corners = asked.orderCells.flatMap(({ cell: { box } }) => [box.lo[k]!, box.hi[k]!]);
  const places = [...new Set([...spread, ...corners])].toSorted((a, b) => a - b);
  const seen = new Set<string>();
  return asked.orderCells.flatMap((c): Turn[] => {
    if (c.panicking || c.launching) return [];
    // Cells that differ in this knob alone are one turn of it.
    const key = `${c.cell.memory} ${[...c.cell.box.lo].filter((_, i) => i !== k && !isContinuous(setup, orders.cone.controls[i]!)).join()}`;
    if (seen.has(key)) return [];
    seen.add(key);
    const { controls, memory } = asked.into(orders, c.cell).state();
    const gains: number[] = [];
    const modes: Mode[] = [];
    const all = setup.unit.traits.axes.map((a) => AXES.indexOf(a));
    const scales = new Map<Mode, number>();
    const frames = places.map((place) => {
      const frame = stand.put(controls, memory).move(at, place).step();
      const { mode } = frame;
      modes.push(mode);
      const given = all.map((i) => frame.gainPct[i]!);
      const scale = scales.get(mode) ?? mostGiven(stand);
      scales.set(mode, scale);
      return given.map((g) => g / scale);
    });
    // A knob that tunes one axis is looked at on that axis.
    const moved = all.filter((_, k) => frames.some((g) => g[k] !== frames[0]![k]));
    const looked = moved.length > 0 ? moved : all;
    for (const g of frames) gains.push(Math.max(...looked.map((i) => g[all.indexOf(i)]!)));
    return [{ at, control: setup.transmitter.controls[at]!, cell: c.cell, places, gains, modes }];
  });
}

/** Both ends of a gain channel: between them lies all a unit gives. */
const ENDS_US = [1000, 2000];

/**
 * The most gain the unit gives any axis in the mode it stands in, as a multiple of what its channel asks
 * for: asked of the chain with its gain channels at either end.
 */
function mostGiven({ chain, frame, stimulus, memory }: Stand): number {
  const { mode } = frame;
  const most = ENDS_US.map((us) => {
    for (const channel of gainChannels(chain.setup)) frame.receivedUs[channel - 1] = us;
    chain.fromLink(stimulus, memory, frame);
    return frame.mode === mode ? Math.max(...frame.gainPct) : 0;
  });
  return Math.max(...most) / 100 || 1;
}

export const gainAsWished: Requirement = {
  id: 'gain',
  title: 'Gain goes from least to most, and only there',
  must: 'A gain knob goes from no gain at one end to full at the other, rising all the way, and never through the middle of a gain channel into what lies beyond; values on a switch are what was wished, in every state.',
  from: 'The wish for gain and the unit’s gain law.',
  applies: (setup) =>
    setup.unit.settings.inputs.some((i) => isOrder(i.carries) && /^gain/.test(i.carries)),
  looksAt: orderChannels,
  check(asked) {
    const { setup, orders } = asked;
    const looking = new Looking();
    if (!looking.needs(ORDERS, orders)) return looking;
    const wish = setup.intents.program.gain;
    const bySign =
      setup.unit.traits.modeSelect.by === 'gain-sign' ||
      setup.unit.traits.gainLaw === 'sign-selects-set';
    if (setup.intents.program.lock) {
      const open = asked.orderCells.find((c) => Math.max(...c.gainHi) > NONE_PCT);
      looking.states += asked.orderCells.length;
      if (open)
        looking.fail({
          severity: 'stop',
          says: `The gain is to be locked at off, and can be ${Math.max(...open.gainHi).toFixed(0)} %.`,
          where: '/intents/program/lock',
          witness: asked.witness(orders, open.cell, 'gain not at off'),
          about: { how: 'unlocked' },
        });
      return looking;
    }
    for (const at of gainKnobs(setup)) {
      const told = new Set<string>();
      for (const turn of turnsOf(asked, at)) {
        looking.states += 1;
        const { control, places, gains, modes } = turn;
        const most = Math.max(...gains);
        const least = Math.min(...gains);
        const where = '/program/lines';
        const fail = (how: string, says: string, severity: 'stop' | 'caution') => {
          if (told.has(how)) return;
          told.add(how);
          looking.fail({
            severity,
            says,
            where,
            witness: asked.witness(orders, turn.cell, `${control.label} at its lower end`, {
              then: [{ control: at, value: -100 }],
            }),
            about: { control: control.id, how },
          });
        };
        // Off in its middle and a set on each side is what was asked for.
        const bothSides =
          wish?.by === 'knob' && wish.middleOff === true && wish.control === control.id;
        if (bothSides) {
          if (Math.abs(least) > NONE_PCT || gains[0]! < 50 || gains.at(-1)! < 50)
            fail(
              'short',
              `${control.label} gives ${gains[0]!.toFixed(0)} % gain at one end, ${gains.at(-1)!.toFixed(0)} % at the other and ${least.toFixed(0)} % in the middle.`,
              'caution',
            );
          continue;
        }
        if (bySign) {
          const on = modes.map((mode, i) => gains[i]! > NONE_PCT && mode !== 'off');
          const off = on.indexOf(false, on.indexOf(true));
          const crosses = off > 0 && on.includes(true) && on.indexOf(true, off) > off;
          const several = new Set(modes.filter((_, i) => on[i])).size > 1;
          const v = gains.indexOf(least);
          const bent =
            gains[0]! > least + 5 && gains.at(-1)! > least + 5 && v > 0 && v < gains.length - 1;
          if (several || crosses || bent) {
            fail(
              'crosses',
              `${control.label} goes through the middle of the gain: on one side ${modes[0]}, on the other ${modes.at(-1)}.`,
              'stop',
            );
            continue;
          }
        }
        if (most - least < 1) continue;
        const twoEnds = Math.min(gains[0]!, gains.at(-1)!) > least + (most - least) * 0.6;
        const dead = deadShare(places, gains);
        const falls = gains.slice(1).some((g, i) => g < gains[i]! - 0.5);
        const rises = gains.slice(1).some((g, i) => g > gains[i]! + 0.5);
        const [first, last] = [gains[0]!, gains.at(-1)!];
        if (twoEnds)
          fail(
            'two-ends',
            `${control.label} gives ${first.toFixed(0)} % gain at one end and ${last.toFixed(0)} % at the other, ${least.toFixed(0)} % between.`,
            'stop',
          );
        else if (dead > DEAD_SHARE)
          fail(
            'dead',
            `${Math.round(dead * 100)} % of the way of ${control.label} changes nothing.`,
            'caution',
          );
        else if (falls && rises)
          fail(
            'turns-back',
            `Gain rises and falls again while ${control.label} is turned one way.`,
            'caution',
          );
        else if (wish?.by === 'knob' && wish.control === control.id && (most < 60 || least > 25))
          fail(
            'short',
            `${control.label} gives ${least.toFixed(0)} to ${most.toFixed(0)} % gain, not the full range.`,
            'caution',
          );
      }
    }
    // Values on a switch, in every state of everything else.
    const values =
      wish?.by === 'values' || wish?.by === 'flap'
        ? { control: wish.control, pct: wish.pct, off: wish.by === 'flap' ? wish : undefined }
        : undefined;
    const tuned = setup.unit.settings.inputs.some((i) => i.carries.startsWith('gain-'));
    if (values && !tuned) {
      const scales = new Map<Mode, number>();
      const scaleIn = (c: OrderCell): number => {
        const stand = asked.into(orders, c.cell);
        stand.step();
        const scale = scales.get(c.mode) ?? mostGiven(stand);
        scales.set(c.mode, scale);
        return scale;
      };
      const { controls } = setup.transmitter;
      const at = controls.findIndex((c) => c.id === values.control);
      const offAt = values.off ? controls.findIndex((c) => c.id === values.off!.off) : -1;
      const offValues = (values.off?.offPositions ?? []).map((p) =>
        switchValue(controls[offAt]!.kind, p),
      );
      combinations(setup, [values.control]).forEach(({ positions, words }, i) => {
        const wrong = asked.orderCells.find((c) => {
          if (c.panicking || c.launching) return false;
          if (!standsAt(asked, c, at, switchValue(controls[at]!.kind, positions[0]!))) return false;
          const off = offAt >= 0 && offValues.some((v) => standsAt(asked, c, offAt, v));
          const wanted = off ? 0 : Math.abs(values.pct[i]!) * scaleIn(c);
          const got = Math.max(...c.gainHi);
          return Math.abs(got - wanted) > (off ? 3 : OFF_PCT);
        });
        looking.states += 1;
        if (!wrong) return;
        looking.fail({
          severity:
            Math.max(...wrong.gainHi) > Math.abs(values.pct[i]!) * scaleIn(wrong)
              ? 'stop'
              : 'caution',
          says: `${words}: gain ${Math.max(...wrong.gainHi).toFixed(0)} % where ${values.pct[i]} % was wished for.`,
          where: pointer('intents', 'program', 'gain', 'pct', i),
          witness: asked.witness(orders, wrong.cell, words),
          about: { control: values.control, how: 'other-value', figure: i },
        });
      });
    }
    return looking;
  },
};

/** Share of the way of a knob on which hardly anything changes. */
const deadShare = (places: readonly number[], gains: readonly number[]): number =>
  places.slice(1).reduce((sum, place, i) => {
    const width = place - places[i]!;
    return Math.abs(gains[i + 1]! - gains[i]!) < DEAD_SLOPE * width ? sum + width : sum;
  }, 0) / 200;

/** Whether a control of a cell stands at a value, or at one nothing tells from it. */
function standsAt(asked: Asked, c: OrderCell, at: number, value: number): boolean {
  const k = asked.orders.cone.controls.indexOf(at);
  if (k < 0) return true;
  const told = asked.orders.told.get(at);
  return c.cell.box.lo[k] === (!told || told.values.includes(value) ? value : told.other);
}

export const masterOff: Requirement = {
  id: 'master-off',
  title: 'One movement switches everything off',
  must: 'One position of one control turns the unit off wherever everything else stands, except while a helper that was asked for is acting.',
  from: 'When the unit does something wrong there is time for one movement, found by touch.',
  applies: () => true,
  looksAt: orderChannels,
  check(asked) {
    const looking = new Looking();
    const { orders, setup } = asked;
    if (!looking.needs(ORDERS, orders)) return looking;
    looking.states = asked.orderCells.length;
    const on = asked.orderCells.find((c) => isOn(c) && !c.panicking && !c.launching);
    if (!on || offPositions(asked).length > 0) return looking;
    const { traits } = setup.unit;
    if (!(traits.modes.includes('off') || traits.gainLaw !== 'fixed')) return looking;
    return looking.fail({
      severity: 'caution',
      says: `With the unit on (${asked.words(on)}) there is no one control that always turns it off.`,
      where: '/program/lines',
      witness: asked.witness(orders, on.cell, 'the unit on'),
      about: { how: 'no-off' },
    });
  },
};

export const isOn = (c: OrderCell): boolean =>
  c.mode !== 'off' && c.gainHi.some((g) => g > NONE_PCT);

/** Positions of single controls in which the unit is off wherever everything else stands. */
export function offPositions(asked: Asked): { control: string; value: number }[] {
  const { orders, setup } = asked;
  const cells = asked.orderCells.filter((c) => !c.panicking && !c.launching);
  if (!cells.some(isOn)) return [];
  return orders.cone.controls.flatMap((at, k) => {
    const control = setup.transmitter.controls[at]!;
    if (control.kind === 'trim' || control.kind === 'stick' || at === asked.panic?.at) return [];
    const values = isContinuous(setup, at) ? [-100, 0, 100] : orders.told.get(at)!.values;
    return values
      .filter((value) =>
        cells.some((c) => c.cell.box.lo[k]! <= value && c.cell.box.hi[k]! >= value),
      )
      .filter((value) =>
        cells.every((c) => {
          const within = c.cell.box.lo[k]! <= value && c.cell.box.hi[k]! >= value;
          if (!within || !isOn(c)) return true;
          // At the very end of a knob, or in its middle, the gain of its cell may be nothing all the same.
          return isContinuous(setup, at) && offAt(asked, c, at, value);
        }),
      )
      .map((value) => ({ control: control.id, value }));
  });
}

function offAt(asked: Asked, c: OrderCell, at: number, value: number): boolean {
  const { controls, memory } = asked
    .into(asked.orders, c.cell, (_, lo, hi) => (hi > lo ? hi : lo))
    .state();
  const frame = asked.stand.put(controls, memory).move(at, value).step();
  return frame.mode === 'off' || frame.gainPct.every((g) => g <= NONE_PCT);
}
