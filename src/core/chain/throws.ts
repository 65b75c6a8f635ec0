import { compileChain } from './chain';
import { edgeMm } from '../linkage';
import type { Setup } from '../setup';

/** One end of a surface's movement. */
export interface Throw {
  pulseUs: number;
  servoDeg: number;
  /** Down or left positive. */
  surfaceDeg: number;
  /** At the trailing edge. */
  edgeMm: number;
}

export interface SurfaceThrows {
  surface: string;
  /** The stick, switch or knob that is moved. */
  control: string;
  /** With the stick or switch that moves it at its far end, in the middle, at its near end. */
  low: Throw;
  centre: Throw;
  high: Throw;
  /** How far the endpoint is short of stick end because of the subtrim, percent of travel. */
  lostPct: number;
}

/** Less than this is what a mixer spills over, not a throw. */
const SPILL_DEG = 2;

/**
 * How far every surface moves when the hand control that moves it most goes from end to end, unit
 * untouched (model still), all else at rest. Millimetres are along the arc's chord.
 */
export function throwsOf(setup: Setup): SurfaceThrows[] {
  return eachThrow(setup).map((rows) => rows[0]!);
}

/** The same for every control that moves a surface: a panel of a V-tail has two throws. */
export function allThrowsOf(setup: Setup): SurfaceThrows[] {
  return eachThrow(setup).flatMap((rows) =>
    rows.filter((row, i) => i === 0 || span(row) > SPILL_DEG),
  );
}

const span = ({ low, high }: SurfaceThrows): number => Math.abs(high.surfaceDeg - low.surfaceDeg);

/** Of every surface, what each control does to it; the one that moves it most first. */
function eachThrow(setup: Setup): SurfaceThrows[][] {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const at = (control: number, value: number) => {
    const stimulus = chain.restStimulus();
    stimulus.controls[control] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return {
      ports: frame.portsUs.slice(),
      servos: frame.servoDeg.slice(),
      surfaces: frame.surfaceDeg.slice(),
    };
  };
  const moved = setup.transmitter.controls.flatMap((c, i) =>
    c.kind === 'trim'
      ? []
      : [{ control: c.id, low: at(i, -100), centre: at(i, 0), high: at(i, 100) }],
  );
  return setup.airframe.surfaces.map((surface, s) => {
    const servo = setup.airframe.servos.findIndex((v) => v.id === surface.servo);
    const plug = setup.installation.plugs.find((p) => p.drives.includes(surface.servo));
    const port = setup.unit.traits.ports.findIndex((p) => p.id === plug?.port);
    const read = (state: ReturnType<typeof at>): Throw => ({
      pulseUs: port < 0 ? NaN : state.ports[port]!,
      servoDeg: state.servos[servo]!,
      surfaceDeg: state.surfaces[s]!,
      edgeMm: edgeMm(surface.chordMm, state.surfaces[s]!),
    });
    const output = setup.unit.settings.outputs.find((o) => o.port === plug?.port);
    const sent = setup.program.outputs.find((o) => o.carries === output?.carries);
    return moved
      .map(({ control, low, centre, high }) => ({
        surface: surface.id,
        control,
        low: read(low),
        centre: read(centre),
        high: read(high),
        lostPct: Math.abs(sent?.subtrimPct ?? 0),
      }))
      .sort((a, b) => span(b) - span(a));
  });
}
