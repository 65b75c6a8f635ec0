import { modeWords, switchValue } from '../../chain';
import { pointer, type Mode } from '../../setup';
import { combinations } from '../../plan';
import type { Asked, OrderCell } from '../asked';
import { orderChannels } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

/** A trim click or a little drift moves a pulse by about this. Common practice, no source. */
const CLICK_US = 12;
const DRIFT_US = 40;
/** What 100 % is on other transmitters. Common practice, no source. */
const SCALES_US = [400, 500, 512];
/** Modes in which a unit refuses to be set up, or does things nobody asked for. */
export const BLOCKS: ReadonlySet<Mode> = new Set(['home', 'level', 'hover']);

const quiet = (c: OrderCell) => !c.panicking && !c.launching && !c.recovering;

export const modesAsWished: Requirement = {
  id: 'modes',
  title: 'Every switch position gives its mode',
  must: 'Each position of the mode switches gives the mode that was wished, wherever everything else stands, while nothing else has been given the say.',
  from: 'The wish for modes.',
  applies: (setup) => setup.intents.program.modes !== undefined,
  looksAt: orderChannels,
  check(asked) {
    const { setup, orders } = asked;
    const looking = new Looking();
    if (!looking.needs(ORDERS, orders)) return looking;
    const wish = setup.intents.program.modes!;
    const { controls } = setup.transmitter;
    const places = combinations(setup, wish.switches);
    const at = wish.switches.map((id) => controls.findIndex((c) => c.id === id));
    const cells = asked.orderCells.filter(quiet);
    looking.states = cells.length;
    places.forEach(({ positions, words }, i) => {
      const wished = wish.table[i]!;
      const stands = (c: OrderCell) =>
        at.every((control, n) => {
          const k = orders.cone.controls.indexOf(control);
          // A switch that nothing listens to stands anywhere.
          if (k < 0) return true;
          const told = orders.told.get(control)!;
          const value = switchValue(controls[control]!.kind, positions[n]!);
          return c.cell.box.lo[k] === (told.values.includes(value) ? value : told.other);
        });
      const wrong = cells.find((c) => stands(c) && c.mode !== wished);
      if (!wrong) return;
      looking.fail({
        severity: wished === 'off' ? 'stop' : 'caution',
        says: `${words} gives ${modeWords(setup.unit, wrong.mode)}, you wished for ${modeWords(setup.unit, wished)}.`,
        where: pointer('intents', 'program', 'modes', 'table', i),
        witness: asked.witness(orders, wrong.cell, words),
        about: { mode: wrong.mode, how: 'other-mode', figure: i },
      });
    });
    return looking;
  },
};

export const modeMargins: Requirement = {
  id: 'mode-margins',
  title: 'Modes keep clear of the edges of their bands',
  must: `No pulse on a mode channel that stands still lies within ${CLICK_US} µs of the edge of its band, nor outside it on a transmitter with another pulse scale; none on a recovery channel near its threshold, nor on a gain channel near the edge of its middle.`,
  from: 'The unit’s mode bands.',
  applies: (setup) =>
    'bands' in setup.unit.traits.modeSelect ||
    setup.unit.traits.modeSelect.by === 'gain-sign' ||
    setup.unit.settings.inputs.some((i) => i.carries === 'recovery'),
  looksAt: orderChannels,
  check(asked) {
    const { setup, orders } = asked;
    const looking = new Looking();
    if (!looking.needs(ORDERS, orders)) return looking;
    edgesOfOthers(asked, looking);
    const select = setup.unit.traits.modeSelect;
    if (!('bands' in select)) return looking;
    const { pulse } = setup.transmitter;
    const told = new Set<string>();
    const channels = (['mode', 'mode2'] as const).flatMap((carries) => {
      const input = setup.unit.settings.inputs.find((i) => i.carries === carries);
      const i = orders.watch.findIndex((w) => w.at + 1 === input?.channel);
      return input && i >= 0 ? [{ carries, i }] : [];
    });
    for (const c of asked.orderCells) {
      if (c.recovering) continue;
      for (const { carries, i } of channels) {
        const lo = c.cell.us[2 * i]!;
        const hi = c.cell.us[2 * i + 1]!;
        const key = `${carries} ${lo.toFixed(1)} ${hi.toFixed(1)} ${c.slot}`;
        if (told.has(key)) continue;
        told.add(key);
        looking.states += 1;
        // A pulse that sweeps through its band by a knob is chosen by eye, not by a click.
        if (hi - lo > 2 * CLICK_US) continue;
        const inBand = (x: number) =>
          select.bands.some((b) => {
            const [from, to] =
              carries === 'mode' ? [b.fromUs, b.toUs] : [b.secondFromUs ?? 0, b.secondToUs ?? 9999];
            return b.slot === c.slot && x >= from && x < to;
          });
        const us = (lo + hi) / 2;
        const scaled = SCALES_US.find(
          (scale) => !inBand(pulse.centreUs + ((us - pulse.centreUs) * scale) / pulse.usAt100),
        );
        if (inBand(lo - DRIFT_US) && inBand(hi + DRIFT_US) && scaled === undefined) continue;
        const band = select.bands.find((b) => b.slot === c.slot);
        const edges = band
          ? carries === 'mode'
            ? [band.fromUs, band.toUs]
            : [band.secondFromUs ?? 0, band.secondToUs ?? 9999]
          : undefined;
        const room = edges ? Math.max(0, Math.min(lo - edges[0]!, edges[1]! - hi)) : 0;
        const click = !inBand(lo - CLICK_US) || !inBand(hi + CLICK_US);
        looking.fail({
          severity: click ? 'stop' : 'caution',
          says: `${us.toFixed(0)} µs on the ${carries === 'mode' ? 'mode channel' : 'second mode channel'} is ${
            edges
              ? `${room.toFixed(0)} µs from the edge of ${modeWords(setup.unit, c.mode)}`
              : 'in no band at all'
          }${scaled !== undefined && room > DRIFT_US ? `; where 100 % is ${scaled} µs it is another mode` : ''}.`,
          where: '/program/lines',
          witness: asked.witness(orders, c.cell, `${us.toFixed(0)} µs on the mode channel`),
          about: { mode: c.mode, how: click ? 'click' : 'drift', figure: room },
        });
      }
    }
    looking.failures.splice(3);
    return looking;
  },
};

/** Pulses that stand still near a recovery's threshold, or near the edge of a gain channel's middle. */
function edgesOfOthers(asked: Asked, looking: Looking): void {
  const { setup, orders } = asked;
  const bySign = setup.unit.traits.modeSelect.by === 'gain-sign';
  const told = new Set<string>();
  for (const { carries, channel } of setup.unit.settings.inputs) {
    if (carries !== 'recovery' && !(carries === 'gain' && bySign)) continue;
    const i = orders.watch.findIndex((w) => w.at + 1 === channel);
    if (i < 0) continue;
    for (const c of asked.orderCells) {
      const lo = c.cell.us[2 * i]!;
      const hi = c.cell.us[2 * i + 1]!;
      if (hi - lo > 2 * CLICK_US) continue;
      const us = (lo + hi) / 2;
      // Dead in the middle of a gain channel is meant; a recovery at its threshold is not.
      const edge = orders.watch[i]!.cutsUs.find(
        (cut) => Math.abs(us - cut) < DRIFT_US && !(carries === 'gain' && Math.abs(us - cut) < 1),
      );
      const key = `${carries} ${us.toFixed(0)}`;
      if (edge === undefined || told.has(key)) continue;
      const roomUs = Math.abs(us - edge);
      // Off, in the middle of the dead zone, stands as clear as it can.
      if (carries === 'gain' && c.mode === 'off') continue;
      told.add(key);
      looking.fail({
        severity: roomUs < CLICK_US ? 'stop' : 'caution',
        says: `${us.toFixed(0)} µs on the ${carries === 'recovery' ? 'recovery' : 'gain'} channel is ${roomUs.toFixed(0)} µs from where the unit changes its mind.`,
        where: '/program/lines',
        witness: asked.witness(orders, c.cell, `${us.toFixed(0)} µs on channel ${channel}`),
        about: { mode: c.mode, how: roomUs < CLICK_US ? 'click' : 'drift', figure: roomUs },
      });
    }
  }
}

export const restCalm: Requirement = {
  id: 'rest',
  title: 'Switched on at rest, the unit leaves the model alone',
  must: 'From power-up with every control at rest, before and after the unit is armed and knows its position, it takes no attitude and no way of its own, for as long as nothing is touched.',
  from: 'Some units refuse their menus or the throttle; surfaces would move with hands near.',
  applies: () => true,
  looksAt: orderChannels,
  check(asked) {
    const { setup, chain, stand } = asked;
    const looking = new Looking();
    if (asked.panic && setup.transmitter.controls[asked.panic.at]!.rest === asked.panic.value)
      looking.fail({
        severity: 'stop',
        says: `${setup.transmitter.controls[asked.panic.at]!.label} calls panic, and rests where it is pressed.`,
        where: '/intents/program/panic/control',
        witness: { controls: {}, words: 'nothing touched' },
        about: { control: asked.panic.id, how: 'panic' },
      });
    const rest = chain.restStimulus();
    const { program } = setup;
    const times = [
      ...new Set([
        0,
        ...program.logic.flatMap((l) =>
          l.op === 'delay' ? [l.onS, l.offS] : l.op === 'toggles' ? [l.withinS + 0.001] : [],
        ),
        (setup.unit.settings.recovery?.delayMs ?? 0) / 1000,
      ]),
    ].toSorted((a, b) => a - b);
    for (const armed of [false, true])
      for (const positionFix of [false, true]) {
        const memory = chain.newMemory();
        memory.armed = armed;
        stand.put(rest.controls, memory);
        let passed = 0;
        // Twice the longest, since one delay may start another.
        for (const t of [...times, ...times.map((x) => x + (times.at(-1) ?? 0))]) {
          const { mode, recovering } = stand.step({ positionFix, dtS: Math.max(0, t - passed) });
          passed = Math.max(passed, t);
          looking.states += 1;
          if (!BLOCKS.has(mode) && !recovering) continue;
          return looking.fail({
            severity: mode === 'home' || recovering ? 'stop' : 'caution',
            says: recovering
              ? 'Panic is pressed as the switches rest.'
              : `With every switch where it rests the unit is in ${modeWords(setup.unit, mode)}${passed > 0 ? ` after ${passed.toFixed(1)} s` : ''}.`,
            where: '/intents/program/modes/table',
            witness: {
              controls: {},
              words: 'nothing touched',
              ...(passed > 0 ? { steps: [{ waitS: passed }] } : {}),
            },
            about: { mode, how: recovering ? 'panic' : 'blocks' },
          });
        }
      }
    return looking;
  },
};
