import { isDevice, pointer, STEERING_STICKS, type Axis, type Sense } from '../../setup';
import type { Claim, Facts, Moment, Scope } from '../engine';
import { mixedOnPurpose } from './on-purpose';
import { surfaceScope, type Requirement } from './requirement';

/** At full stick a surface moves at least so far. Half of a low rate's; common practice, no source. */
const USEFUL_DEG = 2;
/** A control may move a surface it does not control by this much. */
const STRAY_DEG = 1;

const surfacePath = (i: number) => pointer('airframe', 'surfaces', i);
const moves = ({ airframe }: Facts['setup']) => airframe.surfaces.length > 0;

/** Angles of a surface at the places of a sweep; undefined where launch help, which ends with a stick, has a part in it. */
const angles = (seen: readonly Moment[], surface: number): number[] | undefined =>
  seen.some((m) => m.launching) ? undefined : seen.map((m) => m.frame.surfaceDeg[surface]!);

/** What a stick does to a surface it is for: to each side, and how far it ever turns back. */
function follows(places: readonly number[], deg: readonly number[], wanted: number) {
  const middle = deg[places.indexOf(0)]!;
  const high = deg.at(-1)! - middle;
  const low = middle - deg[0]!;
  let back = 0;
  for (let i = 1; i < deg.length; i++) back = Math.max(back, wanted * (deg[i - 1]! - deg[i]!));
  return { right: wanted * high, left: wanted * low, high, low, back };
}

/** How far one that may only go one way goes beyond its rest the other way, wherever a trim puts its middle. */
const inward = (deg: readonly number[], oneWay: Sense, restDeg: number): number =>
  deg.reduce((most, d) => Math.max(most, -oneWay * (d - restDeg)), 0);

/** Each stick on each surface it should move, in every state of what reaches that surface. */
export const sticksRight: Requirement = {
  id: 'sticks',
  title: 'Every control moves its surfaces the right way',
  must: `In every state, each control that steers moves every surface that turns the model about its axis, the right way, by at least ${USEFUL_DEG}° at its ends, and never back.`,
  from: 'The turning moment of each surface (ISO 1151-1 signs).',
  leavesOut: 'Other sticks beyond a quarter of their way: two at their ends leave a mix no room.',
  applies: moves,
  looksAt: (facts) => facts.steering,
  claims: (facts) =>
    facts.setup.airframe.surfaces.flatMap((surface, s) =>
      facts.hands.flatMap(({ axis, at, asks }): Claim[] => {
        const moment = facts.surfaces.authority[s]![axis];
        if (!moment) return [];
        const wanted = moment * asks;
        const stick = facts.label(at);
        // A switch may have a rear axle do something else on purpose: what, is asked of the mix.
        const turns = facts.mixes.rearTurnsAt(s);
        if (turns === 'never') return [];
        const oneWay = facts.mixes.oneWay(s);
        return [
          {
            key: `${surface.id} ${axis}`,
            form: 'sweep',
            asked: 'always',
            control: at,
            scope: {
              ...surfaceScope(facts, s, 'near'),
              ...(turns
                ? {
                    hands: [
                      [
                        facts.at(turns.control),
                        facts.position(turns.control, turns.position).value,
                      ],
                    ],
                  }
                : {}),
            },
            severity: 'stop',
            where: surfacePath(s),
            about: { axis, surface: surface.id, control: facts.setup.transmitter.controls[at]!.id },
            shows: `${stick} at its end`,
            when: (now) => !now.launching,
            holds(places, seen) {
              const deg = angles(seen, s);
              if (!deg) return USEFUL_DEG;
              const { right, left, back } = follows(places, deg, wanted);
              const margin = oneWay
                ? Math.min(
                    (wanted === oneWay ? right : left) - USEFUL_DEG,
                    STRAY_DEG - inward(deg, oneWay, facts.surfaces.restDeg[s]!),
                    STRAY_DEG - back,
                  )
                : Math.min(right - USEFUL_DEG, left - USEFUL_DEG, STRAY_DEG - back);
              return Number.isNaN(margin) ? -100 : margin;
            },
            says({ seen }) {
              const places = seen.map((m) => m.hands[at]!);
              const deg = angles(seen, s)!;
              const { right, left, high, low } = follows(places, deg, wanted);
              const way = right < left ? 100 : -100;
              const then = [at, way] as const;
              if (Number.isNaN(high + low))
                return {
                  says: `${surface.label}: its linkage locks before ${stick} is at its end.`,
                  about: { how: 'locks' },
                  then,
                };
              if (oneWay && inward(deg, oneWay, facts.surfaces.restDeg[s]!) > STRAY_DEG)
                return {
                  says: `${surface.label} moves inward with ${stick}: it was chosen to move outward only.`,
                  about: { how: 'inward' },
                  then: [at, wanted === oneWay ? -100 : 100],
                };
              if (Math.min(right, left) >= USEFUL_DEG)
                return {
                  says: `${surface.label} turns back while ${stick} goes on.`,
                  about: { how: 'turns-back' },
                  then,
                };
              const still = Math.abs(high) < USEFUL_DEG && Math.abs(low) < USEFUL_DEG;
              const goes = facts.surfaces.goes(s, right < left ? high : -low);
              const should = facts.surfaces.goes(s, wanted * (way / 10));
              return {
                says:
                  still || goes === 'centre' || goes === should
                    ? `${surface.label} does not move as it should with ${stick}: ${Math.abs(high).toFixed(0)}° one way, ${Math.abs(low).toFixed(0)}° the other.`
                    : `${surface.label} goes ${goes} where ${stick} asks for ${should}.`,
                about: { how: still ? 'still' : 'reversed' },
                then,
              };
            },
          },
        ];
      }),
    ),
};

/** A control that must leave a surface alone: why it might not, and what hands it is checked with. */
interface Stranger {
  at: number;
  axis?: Axis;
  sticks: Scope['sticks'];
}

/** Sticks that are not for a surface, and knobs, sliders and trims that are for none or for another. */
function strangersTo(facts: Facts, surface: number): Stranger[] {
  const { setup } = facts;
  const { transmitter, airframe, program, intents } = setup;
  const own = facts.surfaces.authority[surface]!;
  const forIt = new Set(facts.hands.filter((h) => own[h.axis]).map((h) => h.at));
  const sticks = [
    ...new Set([...STEERING_STICKS.map((f) => facts.stick(f)), facts.throttle]),
  ].filter((at) => at >= 0 && transmitter.controls[at]!.kind === 'stick' && !forIt.has(at));
  const device = isDevice(airframe, airframe.surfaces[surface]!);
  const ownTrims = new Set(
    program.inputs.flatMap((i) =>
      i.trim !== undefined && forIt.has(facts.at(i.control)) ? [i.trim] : [],
    ),
  );
  const meant = new Set([intents.program.launch?.adjust, intents.program.flaps?.control]);
  const others = device
    ? []
    : [...transmitter.controls.keys()].filter((at) => {
        const { id, kind } = transmitter.controls[at]!;
        return (
          (kind === 'knob' || kind === 'slider' || kind === 'trim') &&
          !ownTrims.has(id) &&
          !meant.has(id)
        );
      });
  return [
    ...sticks.map((at): Stranger => {
      const axis = facts.hands.find((h) => h.at === at)?.axis;
      return { at, sticks: 'near', ...(axis ? { axis } : {}) };
    }),
    ...others.map((at): Stranger => ({ at, sticks: 'released' })),
  ];
}

const strayOf = (places: readonly number[], deg: readonly number[]) => {
  const middle = deg[places.indexOf(0)]!;
  const [high, low] = [Math.abs(deg.at(-1)! - middle), Math.abs(deg[0]! - middle)];
  return { deg: Math.max(high, low), value: high > low ? 100 : -100 };
};

export const sticksAlone: Requirement = {
  id: 'sticks-alone',
  title: 'No control moves what it should not',
  must: `In every state, no control that steers moves a surface by more than ${STRAY_DEG}° that does not turn the model about the axis it is for, and no knob, slider or foreign trim moves any surface that steers, but where a mix was put there on purpose.`,
  from: 'The turning moment of each surface; lines meant as mixes are choices.',
  leavesOut: 'Switches: what they move is a choice of its own.',
  applies: moves,
  looksAt: (facts) => facts.steering,
  claims: (facts) =>
    facts.setup.airframe.surfaces.flatMap((surface, s) =>
      strangersTo(facts, s).flatMap(({ at, axis, sticks }): Claim[] => {
        const control = facts.setup.transmitter.controls[at]!;
        const channels = facts.surfaces.channels[s]!;
        if (!facts.reaches(at, channels) || mixedOnPurpose(facts, channels, control.id)) return [];
        return [
          {
            key: `${surface.id} ${control.id}`,
            form: 'sweep',
            asked: 'always',
            control: at,
            scope: surfaceScope(facts, s, sticks),
            severity: 'stop',
            where: surfacePath(s),
            about: {
              surface: surface.id,
              control: control.id,
              how: 'stray',
              ...(axis ? { axis } : {}),
            },
            shows: `${control.label} at its end`,
            when: (now) => !now.launching,
            holds(places, seen) {
              const deg = angles(seen, s);
              const margin = deg ? STRAY_DEG - strayOf(places, deg).deg : STRAY_DEG;
              return Number.isNaN(margin) ? STRAY_DEG : margin;
            },
            says({ seen }) {
              const stray = strayOf(
                seen.map((m) => m.hands[at]!),
                angles(seen, s)!,
              );
              return {
                says: `${control.label} moves the ${surface.label.toLowerCase()} by ${stray.deg.toFixed(0)}°: it must not move it at all.`,
                then: [at, stray.value],
              };
            },
          },
        ];
      }),
    ),
};

/** Flaps, gear and the like: something a hand can move controls each of them. */
export const devicesWork: Requirement = {
  id: 'devices',
  title: 'No surface is left out',
  must: `Whatever else a switch controls moves by at least ${USEFUL_DEG}° with something you can do.`,
  from: 'The airframe has them.',
  leavesOut: 'Which way it moves: only the person knows which way is down.',
  applies: (setup) => setup.airframe.surfaces.some((s) => isDevice(setup.airframe, s)),
  looksAt: (facts) => facts.everyChannel,
  claims: (facts) =>
    facts.setup.airframe.surfaces.flatMap((surface, s): Claim[] =>
      isDevice(facts.setup.airframe, surface)
        ? [
            {
              key: surface.id,
              form: 'moment',
              asked: 'somewhere',
              scope: surfaceScope(facts, s, 'anywhere'),
              severity: 'stop',
              where: surfacePath(s),
              about: { surface: surface.id, how: 'still' },
              shows: 'nothing moves it',
              holds: ({ frame }) => {
                const moved =
                  Math.abs(frame.surfaceDeg[s]! - facts.surfaces.restDeg[s]!) - USEFUL_DEG;
                return Number.isNaN(moved) ? -USEFUL_DEG : moved;
              },
              says: () => `Nothing on the transmitter moves the ${surface.label.toLowerCase()}.`,
            },
          ]
        : [],
    ),
};
