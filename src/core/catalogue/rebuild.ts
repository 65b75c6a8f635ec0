import { builtWith, VARIANTS } from '../model';
import { kindEntry, servedBy, type Airframe, type Servo, type SurfaceRole } from '../setup';
import { buildAirframe, type AirframeAnswers } from './airframes';

/** The answers an airframe would be built from: what it has, read off its parts. */
export function answersOf(airframe: Airframe): AirframeAnswers {
  const { kind, surfaces, servos, motors } = airframe;
  const has = (role: SurfaceRole) => surfaces.some((s) => s.role === role);
  const aileronServos = new Set(surfaces.filter((s) => s.role === 'aileron').map((s) => s.servo));
  const ownOutput = servos.some((s) => s.carries === 'aileron2');
  const wheel = surfaces.find((s) => s.role === 'wheel' && s.side === 'centre');
  return {
    kind,
    ailerons: has('flaperon')
      ? 'flaperons'
      : aileronServos.size === 0
        ? 'none'
        : aileronServos.size === 1
          ? 'one-servo'
          : ownOutput
            ? 'two-outputs'
            : 'y-lead',
    flaps: has('flap'),
    gear: has('gear'),
    brake: has('brake'),
    wheel: !wheel
      ? 'none'
      : servos.find((s) => s.id === wheel.servo)?.carries === 'wheel'
        ? 'separate'
        : 'shared',
    motors: Math.min(2, motors.length) as 0 | 1 | 2,
    rudder: kindEntry(kind).rudderOptional === true && has('rudder'),
  };
}

/**
 * The airframe with other answers. Parts that stay keep what was measured and set on them; the
 * measures stay as long as the kind does.
 */
export function rebuildAirframe(airframe: Airframe, answers: AirframeAnswers): Airframe {
  const besides = VARIANTS.filter((v) => v.fits(airframe) && v.has(airframe)).map((v) => v.id);
  const built = (from: AirframeAnswers) => builtWith(buildAirframe(from), besides);
  const fresh = built(answers);
  const before = built(answersOf(airframe));
  /** The second of a pair may have been given a channel of its own, which no answer says. */
  const isChosen = ({ id, carries }: Pick<Servo, 'id' | 'carries'>) =>
    before.servos.some((s) => s.id === id && s.carries !== carries);
  const kept = <T extends { id: string }>(
    old: readonly T[],
    item: T,
    over: (o: T) => Partial<T>,
  ) => {
    const same = old.find((o) => o.id === item.id);
    return same ? { ...item, ...over(same) } : item;
  };
  return {
    ...fresh,
    ...(answers.kind === airframe.kind
      ? { measures: airframe.measures, assumed: airframe.assumed ?? [] }
      : {}),
    surfaces: fresh.surfaces.map((s) =>
      kept(airframe.surfaces, s, ({ label, linkage, chordMm, place }) => ({
        label,
        linkage,
        chordMm,
        ...(place ? { place } : {}),
      })),
    ),
    servos: fresh.servos.map((s) =>
      kept(airframe.servos, s, ({ carries, ...own }) => ({
        ...own,
        carries:
          isChosen({ id: s.id, carries }) && servedBy(carries) === servedBy(s.carries)
            ? carries
            : s.carries,
      })),
    ),
    motors: fresh.motors.map((m) => kept(airframe.motors, m, (own) => own)),
  };
}
