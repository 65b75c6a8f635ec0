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
  /** With the stick or switch that moves it at its far end, in the middle, at its near end. */
  low: Throw;
  centre: Throw;
  high: Throw;
  /** How far the endpoint is short of stick end because of the subtrim, percent of travel. */
  lostPct: number;
}

/**
 * How far every surface moves when the hand control that moves it most goes from end to end, unit
 * untouched (model still), all else at rest. Millimetres are along the arc's chord.
 */
export function throwsOf(setup: Setup): SurfaceThrows[] {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const at = (control: number, value: number) => {
    const stimulus = chain.restStimulus();
    if (control >= 0) stimulus.controls[control] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return {
      ports: frame.portsUs.slice(),
      servos: frame.servoDeg.slice(),
      surfaces: frame.surfaceDeg.slice(),
    };
  };
  const ends = setup.transmitter.controls.map((c, i) =>
    c.kind === 'trim' ? undefined : { low: at(i, -100), high: at(i, 100), i },
  );
  return setup.airframe.surfaces.map((surface, s) => {
    const span = (e: NonNullable<(typeof ends)[number]>) =>
      Math.abs(e.high.surfaces[s]! - e.low.surfaces[s]!);
    const moves = ends.filter((e) => e !== undefined);
    const best = moves.reduce((a, b) => (span(b) > span(a) + 1e-9 ? b : a));
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
    return {
      surface: surface.id,
      low: read(best.low),
      centre: read(at(best.i, 0)),
      high: read(best.high),
      lostPct: Math.abs(sent?.subtrimPct ?? 0),
    };
  });
}
