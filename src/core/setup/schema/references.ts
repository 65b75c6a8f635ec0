import { compileSteering, locksAtDeg, lockServoDeg, steersBy } from '../../linkage';
import { driveAt, drivesOf } from '../drives';
import { roleOf } from '../functions';
import { pointer, type Problem } from '../problem';
import { isWorked, nameOfWorked, readsOf, readsOfProgram, type Worked } from '../reads';
import { reportInto, type Path, type Report } from './report';
import type { Setup } from './setup';
import type { Transmitter } from './transmitter';
import type { Unit } from './unit';
import { checkWishes } from './wish-references';

/** Things one entry of a program may read, however they are nested. */
const MOST_TERMS = 100;

/** Reports names given twice in a list; the names come back as a set. */
const uniqueIn =
  (report: Report) =>
  <T>(path: Path, items: readonly T[], key: string, of: (t: T) => unknown) => {
    const first = new Map<unknown, number>();
    items.forEach((item, i) => {
      const value = of(item);
      if (first.has(value))
        report([...path, i, key], `${String(value)} is already used by entry ${first.get(value)}`);
      else first.set(value, i);
    });
    return new Set(first.keys());
  };

/** A unit on its own: outputs name ports, slots exist, bands do not overlap. @returns its ports */
export function checkUnit(unit: Unit, problems: Problem[], at: Path = []): Set<unknown> {
  const report = reportInto(problems);
  const unique = uniqueIn(report);
  const ports = unique([...at, 'traits', 'ports'], unit.traits.ports, 'id', (p) => p.id);
  unique([...at, 'settings', 'outputs'], unit.settings.outputs, 'port', (o) => o.port);
  unique([...at, 'settings', 'inputs'], unit.settings.inputs, 'carries', (i) => i.carries);
  unit.settings.outputs.forEach((o, i) => {
    const port = unit.traits.ports.find((p) => p.id === o.port);
    const path = [...at, 'settings', 'outputs', i];
    if (!port) report([...path, 'port'], `the unit has no port "${o.port}"`);
    else if (o.stabilized && !port.canStabilize)
      report([...path, 'stabilized'], `port "${o.port}" cannot be stabilized`);
  });
  unit.settings.inputs.forEach((input, i) => {
    if (input.channel > unit.traits.inputChannels)
      report(
        [...at, 'settings', 'inputs', i, 'channel'],
        `the unit receives ${unit.traits.inputChannels} channels only`,
      );
  });
  unit.settings.slots.forEach((mode, i) => {
    if (!unit.traits.modes.includes(mode))
      report([...at, 'settings', 'slots', i], `this unit has no ${mode} mode`);
  });
  const select = unit.traits.modeSelect;
  if (select.by === 'bands' || select.by === 'two-channels')
    select.bands.forEach((band, i) => {
      const path = [...at, 'traits', 'modeSelect', 'bands', i];
      if (band.fromUs >= band.toUs)
        report([...path, 'toUs'], `must be above fromUs (${band.fromUs})`);
      if (band.slot >= unit.settings.slots.length)
        report([...path, 'slot'], `there is no mode slot ${band.slot} in the settings`);
      select.bands.slice(0, i).forEach((other, j) => {
        const meets = (a: number, b: number, c: number, d: number) => a < d && c < b;
        const first = meets(band.fromUs, band.toUs, other.fromUs, other.toUs);
        const second = meets(
          band.secondFromUs ?? 0,
          band.secondToUs ?? 9999,
          other.secondFromUs ?? 0,
          other.secondToUs ?? 9999,
        );
        if (first && second) report([...path, 'fromUs'], `overlaps band ${j}`);
      });
    });
  if (select.by === 'gain-sign' && unit.settings.slots.length < 3)
    report([...at, 'settings', 'slots'], 'the gain channel chooses among three modes: give three');
  return ports;
}

/** A transmitter on its own: controls and links have names of their own. @returns its controls */
export function checkTransmitter(
  transmitter: Transmitter,
  problems: Problem[],
  at: Path = [],
): Set<unknown> {
  const report = reportInto(problems);
  const unique = uniqueIn(report);
  const controls = unique([...at, 'controls'], transmitter.controls, 'id', (c) => c.id);
  const links = unique([...at, 'linkVariants'], transmitter.linkVariants, 'id', (v) => v.id);
  if (!links.has(transmitter.link))
    report([...at, 'link'], `there is no link variant "${transmitter.link}"`);
  transmitter.switchOnly.forEach((channel, i) => {
    if (channel > transmitter.channels)
      report([...at, 'switchOnly', i], `the transmitter has ${transmitter.channels} channels only`);
  });
  return controls;
}

/** Everything a schema cannot say: names that must exist, be unique, and not go round in circles. */
export function checkReferences(setup: Setup): Problem[] {
  const problems: Problem[] = [];
  const report = reportInto(problems);
  const unique = uniqueIn(report);

  const { airframe, unit, transmitter, program, installation } = setup;

  // Airframe: surfaces depend on servos.
  const servos = unique(['airframe', 'servos'], airframe.servos, 'id', (s) => s.id);
  unique(['airframe', 'surfaces'], airframe.surfaces, 'id', (s) => s.id);
  unique(['airframe', 'motors'], airframe.motors, 'id', (m) => m.id);
  airframe.motors.forEach((m, i) => {
    if (servos.has(m.id)) report(['airframe', 'motors', i, 'id'], `${m.id} is also a servo`);
    if (m.stopUs === m.fullUs)
      report(['airframe', 'motors', i, 'fullUs'], 'must differ from stopUs');
  });
  airframe.surfaces.forEach((surface, i) => {
    const follows = steersBy(airframe, surface);
    if (follows && surface.ganged)
      report(['airframe', 'surfaces', i, 'ganged'], 'a wheel of a measured steering has no rods');
    drivesOf(surface).forEach(({ servo: id, linkage }, d) => {
      const path = ['airframe', 'surfaces', i, ...driveAt(d)];
      const servo = airframe.servos.find((v) => v.id === id);
      if (!servo) {
        report([...path, 'servo'], `there is no servo "${id}"`);
        return;
      }
      if (drivesOf(surface).findIndex((other) => other.servo === id) < d)
        report([...path, 'servo'], `"${id}" moves this part already`);
      if (follows) return;
      const lockDeg = locksAtDeg(linkage, Math.min(servo.degAt500Us, servo.limitDeg));
      if (lockDeg !== undefined)
        report(
          [...path, 'linkage', 'armMm'],
          `an arm of ${linkage.armMm} mm on a horn of ${linkage.hornMm} mm cannot follow: the rod locks when the servo has turned ${lockDeg.toFixed(0)}°`,
        );
    });
  });

  const { steering } = airframe;
  if (steering) {
    const servo = airframe.servos.find((v) =>
      airframe.surfaces.some((s) => steersBy(airframe, s) && s.servo === v.id),
    );
    const most = servo ? Math.min(servo.degAt500Us, servo.limitDeg) : 0;
    const at = compileSteering(steering);
    // Up to its stop, or as far as the servo goes, every rod must reach.
    const end = (to: 1 | -1) => lockServoDeg(steering, most, to) ?? to * most;
    const [left, right] = [at(end(1)), at(end(-1))];
    if (!servo) report(['airframe', 'steering'], 'there is no pair of wheels that steers');
    else if (Number.isNaN(left.left + left.right + right.left + right.right))
      report(
        ['airframe', 'steering', 'innerMm'],
        'the tie rods cannot follow: one of them does not reach before the steering is at its stop',
      );
  }

  const ports = checkUnit(unit, problems, ['unit']);
  const controls = checkTransmitter(transmitter, problems, ['transmitter']);

  // Program: every name used must be defined; logic and channels may look back, never round.
  const inputs = unique(['program', 'inputs'], program.inputs, 'id', (i) => i.id);
  const logic = unique(['program', 'logic'], program.logic, 'id', (l) => l.id);
  const shapes = unique(['program', 'shapes'], program.shapes, 'id', (c) => c.id);
  const variables = unique(['program', 'variables'], program.variables, 'id', (v) => v.id);
  const lines = unique(['program', 'lines'], program.lines, 'id', (l) => l.id);
  const aside = (program.aside ?? []).map((a) => a.line);
  unique(['program', 'aside'], aside, 'id', (l) => l.id);
  aside.forEach((l, i) => {
    if (lines.has(l.id))
      report(['program', 'aside', i, 'line', 'id'], `"${l.id}" is also a line that is switched on`);
  });
  unique(['program', 'outputs'], program.outputs, 'channel', (o) => o.channel);
  unique(['program', 'failsafe'], program.failsafe, 'channel', (f) => f.channel);
  unique(['program', 'callouts'], program.callouts, 'id', (c) => c.id);
  unique(['program', 'timers'], program.timers, 'id', (t) => t.id);

  const needControl = (path: Path, id: string) => {
    if (!controls.has(id)) report(path, `the transmitter has no control "${id}"`);
  };
  const needChannel = (path: Path, channel: number) => {
    if (channel > transmitter.channels)
      report(path, `the transmitter has ${transmitter.channels} channels only`);
  };

  const defined = { logic, inputs, variables, shapes };
  const terms = new Map<string, number>();
  for (const read of readsOfProgram(program)) {
    const [list, at] = read.path;
    const entry = pointer('program', list!, at!);
    const n = (terms.get(entry) ?? 0) + 1;
    terms.set(entry, n);
    if (n === MOST_TERMS + 1)
      report(
        ['program', list!, at!],
        `reads more than ${MOST_TERMS} things: split its conditions into logic`,
      );
    const path = ['program', ...read.path];
    switch (read.kind) {
      case 'channel':
        needChannel(path, read.channel);
        break;
      case 'control': {
        needControl(path, read.id);
        if (read.position === undefined) break;
        const kind = transmitter.controls.find((k) => k.id === read.id)?.kind;
        if (kind && !kind.startsWith('switch') && kind !== 'momentary')
          report(path, `"${read.id}" is a ${kind}, not a switch`);
        if (kind && kind !== 'switch-3' && read.position > 1)
          report([...path.slice(0, -1), 'position'], `"${read.id}" has only two positions`);
        break;
      }
      case 'logic':
        if (!defined.logic.has(read.id)) report(path, `there is no logic "${read.id}"`);
        break;
      default:
        if (!defined[`${read.kind}s`].has(read.id))
          report(path, `there is no ${read.kind} "${read.id}"`);
    }
  }
  program.inputs.forEach((input, i) =>
    input.rates.forEach((rate, j) => {
      const path = ['program', 'inputs', i, 'rates', j];
      if (!rate.when && j < input.rates.length - 1)
        report(path, 'a rate without a condition hides the rates after it: put it last');
      if (rate.when && j === input.rates.length - 1)
        report(path, 'the last rate must have no condition');
    }),
  );
  program.shapes.forEach((c, i) =>
    c.points.slice(1).forEach((p, j) => {
      if (p.inPct <= c.points[j]!.inPct)
        report(
          ['program', 'shapes', i, 'points', j + 1, 'inPct'],
          'points must rise from left to right',
        );
    }),
  );
  program.lines.forEach((line, i) => needChannel(['program', 'lines', i, 'channel'], line.channel));
  program.outputs.forEach((o, i) => {
    needChannel(['program', 'outputs', i, 'channel'], o.channel);
    // What steers or tells the unit something must not come late.
    if (o.slowS && roleOf(o.carries) !== 'device' && roleOf(o.carries) !== 'free')
      report(['program', 'outputs', i, 'slowS'], 'only flaps, gear and spare channels may be slow');
  });
  program.failsafe.forEach((f, i) => needChannel(['program', 'failsafe', i, 'channel'], f.channel));
  checkWishes(setup, report);

  const cycle = findCycle(setup);
  if (cycle)
    report(
      ['program', cycle[0]!.list, cycle[0]!.index],
      `forms a loop: ${cycle.map((n) => n.name).join(' → ')} → ${cycle[0]!.name}`,
    );

  // Installation: one lead a plug, one plug a servo.
  const driven = new Map<string, number>();
  const drivable = new Set([...servos, ...airframe.motors.map((m) => m.id)]);
  unique(['installation', 'plugs'], installation.plugs, 'port', (p) => p.port);
  installation.plugs.forEach((plug, i) => {
    const path = ['installation', 'plugs', i];
    if (!ports.has(plug.port)) report([...path, 'port'], `the unit has no port "${plug.port}"`);
    if (plug.lead === 'plain' && plug.drives.length > 1)
      report([...path, 'drives'], 'two on one output need a Y-lead');
    plug.drives.forEach((id, j) => {
      if (!drivable.has(id)) report([...path, 'drives', j], `there is no servo or motor "${id}"`);
      if (driven.has(id))
        report([...path, 'drives', j], `"${id}" is already plugged in at entry ${driven.get(id)}`);
      driven.set(id, i);
    });
  });
  unique(
    ['installation', 'travelCapture'],
    installation.travelCapture ?? [],
    'carries',
    (c) => c.carries,
  );
  return problems;
}

interface Node {
  list: 'inputs' | 'logic' | 'lines';
  index: number;
  name: string;
}

/** First circle among logic and channels that read each other, or undefined. */
function findCycle(setup: Setup): Node[] | undefined {
  const { program } = setup;
  const nodes = new Map<string, { node: Node; needs: string[] }>();
  const needsOf = (of: Worked) =>
    readsOf(program, of).flatMap((r) => (isWorked(r) ? [nameOfWorked(r)] : []));
  program.inputs.forEach((input, index) => {
    const of = { kind: 'input', id: input.id } as const;
    const name = nameOfWorked(of);
    nodes.set(name, { node: { list: 'inputs', index, name }, needs: needsOf(of) });
  });
  program.logic.forEach((entry, index) => {
    const of = { kind: 'logic', id: entry.id } as const;
    const name = nameOfWorked(of);
    nodes.set(name, { node: { list: 'logic', index, name }, needs: needsOf(of) });
  });
  program.lines.forEach(({ channel }, index) => {
    const of = { kind: 'channel', channel } as const;
    const name = nameOfWorked(of);
    if (!nodes.has(name))
      nodes.set(name, { node: { list: 'lines', index, name }, needs: needsOf(of) });
  });

  const done = new Set<string>();
  const trail: string[] = [];
  const visit = (name: string): Node[] | undefined => {
    const at = trail.indexOf(name);
    if (at >= 0) return trail.slice(at).map((n) => nodes.get(n)!.node);
    const entry = nodes.get(name);
    if (!entry || done.has(name)) return undefined;
    trail.push(name);
    for (const next of entry.needs) {
      const found = visit(next);
      if (found) return found;
    }
    trail.pop();
    done.add(name);
    return undefined;
  };
  for (const name of nodes.keys()) {
    const found = visit(name);
    if (found) return found;
  }
  return undefined;
}
