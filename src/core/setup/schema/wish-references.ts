import { isSwitched } from '../lists';
import type { Path, Report } from './report';
import type { Setup } from './setup';
import type { Control } from './transmitter';

const positionsOf = (kind: string) => (kind === 'switch-3' ? 3 : 2);

/** Wishes name controls that are there and can do what is asked of them. */
export function checkWishes(setup: Setup, report: Report): void {
  const { transmitter, unit, intents } = setup;
  const wishes = intents.program;
  const at = ['intents', 'program'] as const;
  const need = (path: Path, id: string, asSwitch: boolean) => {
    const control = transmitter.controls.find((c) => c.id === id);
    if (!control) report(path, `the transmitter has no control "${id}"`);
    else if (asSwitch && !isSwitched(control))
      report(path, `${control.label} is a ${control.kind}, not a switch`);
    else return control;
    return undefined;
  };
  const { modes, gain, rates, panic, cut, launch, flaps, gear, brake, capture } = wishes;
  if (modes) {
    const switches = modes.switches.map((id, i) => need([...at, 'modes', 'switches', i], id, true));
    const count = switches.reduce((n, c) => n * (c ? positionsOf(c.kind) : NaN), 1);
    if (modes.switches[0] === modes.switches[1])
      report([...at, 'modes', 'switches', 1], 'is the same switch twice');
    else if (count !== modes.table.length && !Number.isNaN(count))
      report(
        [...at, 'modes', 'table'],
        `${switches.map((c) => c!.label).join(' and ')} ${switches.length > 1 ? 'have' : 'has'} ${count} positions, ${modes.table.length} modes were asked for`,
      );
    modes.table.forEach((mode, i) => {
      if (!unit.traits.modes.includes(mode))
        report([...at, 'modes', 'table', i], `this unit has no ${mode} mode`);
    });
  }
  if (gain?.by === 'values' || gain?.by === 'flap') {
    const control = need([...at, 'gain', 'control'], gain.control, true);
    if (control && positionsOf(control.kind) !== gain.pct.length)
      report(
        [...at, 'gain', 'pct'],
        `${control.label} has ${positionsOf(control.kind)} positions, ${gain.pct.length} values were given`,
      );
  }
  if (gain?.by === 'flap') {
    const control = need([...at, 'gain', 'off'], gain.off, true);
    gain.offPositions.forEach((position, i) => {
      if (control && position >= positionsOf(control.kind))
        report([...at, 'gain', 'offPositions', i], `${control.label} has no such position`);
    });
  }
  if (rates.by === 'switch') {
    const control = need([...at, 'rates', 'control'], rates.control, true);
    if (control && positionsOf(control.kind) !== rates.at.length)
      report(
        [...at, 'rates', 'at'],
        `${control.label} has ${positionsOf(control.kind)} positions, ${rates.at.length} rates were given`,
      );
  }
  if (flaps) {
    const control = need([...at, 'flaps', 'control'], flaps.control, false);
    if (control && positionsOf(control.kind) !== flaps.downPct.length)
      report(
        [...at, 'flaps', 'downPct'],
        `${control.label} needs ${positionsOf(control.kind)} values, ${flaps.downPct.length} were given`,
      );
  }
  if (gear) need([...at, 'gear', 'control'], gear.control, false);
  if (brake) need([...at, 'brake', 'control'], brake.control, false);
  if (capture) need([...at, 'capture', 'control'], capture.control, true);
  if (gain?.by === 'knob') need([...at, 'gain', 'control'], gain.control, false);
  if (gain?.by === 'sets') need([...at, 'gain', 'control'], gain.control, true);
  if (gain?.by === 'sets' && gain.knob) need([...at, 'gain', 'knob'], gain.knob, false);
  if (gain?.by === 'axes')
    for (const axis of ['roll', 'pitch', 'yaw'] as const)
      if (gain[axis]) need([...at, 'gain', axis], gain[axis], false);
  if (panic?.control) need([...at, 'panic', 'control'], panic.control, true);
  if (panic && panic.way !== 'none' && panic.way !== 'mode-position' && !panic.control)
    report([...at, 'panic', 'control'], 'this way of panic recovery needs a control');
  if (cut) {
    const control = need([...at, 'cut', 'control'], cut.control, true);
    if (control && cut.position >= positionsOf(control.kind))
      report([...at, 'cut', 'position'], `${control.label} has no such position`);
  }
  if (launch) need([...at, 'launch', 'control'], launch.control, true);
  if (launch?.adjust) need([...at, 'launch', 'adjust'], launch.adjust, false);
  checkMixes(setup, need, report);
}

type Need = (path: Path, id: string, asSwitch: boolean) => Control | undefined;

/** Mixes and devices: one of a kind, each by a control that can do what is asked of it. */
function checkMixes({ airframe, intents }: Setup, need: Need, report: Report): void {
  const { mixes = [], devices = [] } = intents.program;
  const at = ['intents', 'program'] as const;
  mixes.forEach((mix, i) => {
    const here = [...at, 'mixes', i] as const;
    if (mixes.findIndex((m) => m.mix === mix.mix) !== i)
      report([...here, 'mix'], `the mix "${mix.mix}" is there twice`);
    if ('only' in mix && mix.only) {
      const control = need([...here, 'only', 'control'], mix.only.control, true);
      if (control && mix.only.position >= positionsOf(control.kind))
        report([...here, 'only', 'position'], `${control.label} has no such position`);
    }
    if (!('control' in mix)) return;
    const control = need([...here, 'control'], mix.control, 'at' in mix);
    if (control && 'at' in mix && mix.at.length !== positionsOf(control.kind))
      report(
        [...here, 'at'],
        `${control.label} has ${positionsOf(control.kind)} positions, ${mix.at.length} were given`,
      );
  });
  devices.forEach(({ device, control, atPct }, i) => {
    const here = [...at, 'devices', i] as const;
    if (devices.findIndex((d) => d.device === device) !== i)
      report([...here, 'device'], `"${device}" is there twice`);
    if (!airframe.servos.some((s) => s.id === device))
      report([...here, 'device'], `the model has no servo "${device}"`);
    const by = need([...here, 'control'], control, false);
    if (by && positionsOf(by.kind) !== atPct.length)
      report(
        [...here, 'atPct'],
        `${by.label} has ${positionsOf(by.kind)} positions, ${atPct.length} values were given`,
      );
  });
}
