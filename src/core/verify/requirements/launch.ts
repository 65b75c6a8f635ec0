import { compileCondition, STILL_DEG, stickOf } from '../../chain';
import { authority } from '../../directions';
import { pointer } from '../../setup';
import { everyChannel } from './influence';
import { Looking, type Requirement } from './requirement';

export const launchLifts: Requirement = {
  id: 'launch',
  title: 'Launch help lifts the nose, and lets go',
  must: 'Something a hand does switches launch help on; with it on every surface that pitches goes up; a moved aileron or elevator stick ends it.',
  from: 'The wish for launch help.',
  applies: (setup) =>
    setup.intents.program.launch !== undefined ||
    setup.program.lines.some((l) => l.purpose === 'launch'),
  looksAt: everyChannel,
  check(asked) {
    const { setup, stand, chain } = asked;
    const looking = new Looking();
    const lines = setup.program.lines.flatMap((l, i) => (l.purpose === 'launch' ? [i] : []));
    const first = setup.program.lines[lines[0] ?? -1];
    const where =
      lines.length > 0 ? pointer('program', 'lines', lines[0]!) : '/intents/program/launch';
    const missing = () =>
      looking.fail({
        severity: first ? 'caution' : 'stop',
        says: first
          ? 'Nothing a hand can do switches launch help on.'
          : 'Launch help was wished for, and nothing in the program does it.',
        where: first ? `${where}/sharePct` : where,
        about: { how: 'missing' },
      });
    if (!first) return missing();
    // Whatever it hangs on: a latch, a switch, or nothing at all.
    const on = first.when ? compileCondition(first.when, chain.layout, setup) : () => true;
    const isOn = () => on(stand.stimulus, stand.frame);
    const channels = [...new Set(lines.map((i) => setup.program.lines[i]!.channel))];
    const table = asked.table(channels);
    if (!looking.needs('Launch help', table)) return looking;
    looking.states = table.cells.length;
    // Sticks let go: the cell that holds their middle.
    const helping = table.cells.find(
      (cell) =>
        table.cone.controls.every(
          (at, i) =>
            setup.transmitter.controls[at]!.kind !== 'stick' ||
            (cell.box.lo[i]! <= 0 && cell.box.hi[i]! >= 0),
        ) && (asked.into(table, cell).step(), isOn()),
    );
    if (!helping) return missing();
    const { controls, memory } = asked
      .into(table, helping, (at, lo, hi) =>
        Math.min(hi, Math.max(lo, setup.transmitter.controls[at]!.rest)),
      )
      .state();
    const helped = stand.put(controls, memory).step().surfaceDeg.slice();
    const before = asked.chain.newMemory();
    before.armed = true;
    const plain = stand.put(asked.chain.restStimulus().controls, before).step().surfaceDeg.slice();
    const adds = setup.program.lines.some(
      (l) => l.purpose === 'launch' && l.effect === 'adds' && l.sharePct !== 0,
    );
    if (adds)
      setup.airframe.surfaces.forEach((surface, i) => {
        if (!authority(setup.airframe, surface).pitch) return;
        const moved = helped[i]! - plain[i]!;
        if (moved < -STILL_DEG) return;
        looking.fail({
          severity: 'stop',
          says: `With launch help on the ${surface.label.toLowerCase()} ${moved > STILL_DEG ? `goes ${moved.toFixed(0)}° down` : 'does not move'}; it must go up.`,
          where: `${where}/sharePct`,
          witness: asked.witness(table, helping, 'launch help on, sticks let go'),
          about: { surface: surface.id, axis: 'pitch', how: moved > STILL_DEG ? 'down' : 'still' },
        });
      });
    // Each stick in turn ends it.
    for (const hand of ['aileron', 'elevator'] as const) {
      const at = stickOf(setup.transmitter, hand);
      if (at < 0) continue;
      const ends = [-100, 100].every((value) => {
        stand.put(controls, memory).move(at, value).step();
        stand.step({ dtS: 1 });
        return !isOn();
      });
      if (ends) continue;
      looking.fail({
        severity: 'stop',
        says: `Launch help stays on with the ${hand} stick moved: nothing ends it in the hand that flies.`,
        where,
        witness: asked.witness(table, helping, `launch help on, then the ${hand} stick moved`, {
          then: [{ control: at, value: 100 }],
        }),
        about: { control: setup.transmitter.controls[at]!.id, how: 'stays' },
      });
    }
    return looking;
  },
};
