import { builtWith, busy, VARIANTS, withGang } from '../model';
import {
  AIRFRAME_KINDS,
  kindEntry,
  kindOf,
  servedBy,
  type Airframe,
  type Servo,
  type SurfaceRole,
} from '../setup';
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

const idsOf = (list: readonly { id: string }[]) => list.map(({ id }) => id);

/** Ids of everything that answers and variants can build; what has another one was added by hand. */
let buildable: ReadonlySet<string> | undefined;
function isBuildable(id: string): boolean {
  buildable ??= new Set(
    AIRFRAME_KINDS.flatMap((kind) =>
      (['one-servo', 'y-lead', 'flaperons'] as const).flatMap((ailerons) =>
        ([1, 2] as const).flatMap((motors) => {
          const all: AirframeAnswers = {
            kind,
            ailerons,
            motors,
            flaps: true,
            gear: true,
            brake: true,
            wheel: 'separate',
            rudder: true,
          };
          const whole = builtWith(
            buildAirframe(all),
            VARIANTS.map((v) => v.id),
          );
          return idsOf([...whole.surfaces, ...whole.servos, ...whole.motors]);
        }),
      ),
    ),
  );
  return buildable.has(id);
}

const withoutAdded = (airframe: Airframe): Airframe => ({
  ...airframe,
  surfaces: airframe.surfaces.filter((s) => isBuildable(s.id)),
  servos: airframe.servos.filter((s) => isBuildable(s.id)),
  motors: airframe.motors.filter((m) => isBuildable(m.id)),
});

/** An airframe of new answers with the parts that were added and without those that were taken off by hand. */
function changedAsBefore(fresh: Airframe, before: Airframe, now: Airframe): Airframe {
  if (kindOf(fresh).moves !== kindOf(now).moves) return fresh;
  /** @param stays whether what was added still belongs there */
  const merged = <T extends { id: string }>(
    list: readonly T[],
    was: readonly T[],
    is: readonly T[],
    stays: (item: T) => boolean = () => true,
  ): T[] => [
    ...list.filter(({ id }) => !idsOf(was).includes(id) || idsOf(is).includes(id)),
    ...is.filter((item) => ![...idsOf(was), ...idsOf(list)].includes(item.id) && stays(item)),
  ];
  // Parts of a role that an answer has just taken off go with it.
  const surfaces = merged(
    fresh.surfaces,
    before.surfaces,
    now.surfaces,
    ({ role }) =>
      fresh.surfaces.some((s) => s.role === role) || !before.surfaces.some((s) => s.role === role),
  ).map((s) => withGang(s, now.surfaces.find(({ id }) => id === s.id)?.ganged ?? []));
  const servos = merged(fresh.servos, before.servos, now.servos);
  const moving = [fresh, before, now].flatMap((a) => a.surfaces);
  return {
    ...fresh,
    surfaces,
    servos: busy({ servos, surfaces: moving }, surfaces),
    motors:
      fresh.motors.length === before.motors.length
        ? merged(fresh.motors, before.motors, now.motors)
        : fresh.motors,
  };
}

/**
 * The airframe with other answers. Parts that stay keep what was measured and set on them; the
 * measures stay as long as the kind does.
 */
export function rebuildAirframe(airframe: Airframe, answers: AirframeAnswers): Airframe {
  const known = withoutAdded(airframe);
  const besides = VARIANTS.filter((v) => v.fits(known) && v.has(known)).map((v) => v.id);
  const built = (from: AirframeAnswers) => builtWith(buildAirframe(from), besides);
  const before = built(answersOf(known));
  const fresh = changedAsBefore(built(answers), before, airframe);
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
