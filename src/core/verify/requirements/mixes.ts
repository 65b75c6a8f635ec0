import { pointer, type AxleWay, type Mix } from '../../setup';
import type { Claim, Facts, Moment, Scope } from '../engine';
import { mixedOnPurpose } from './on-purpose';
import type { Requirement } from './requirement';

/** Brakes may turn the model by this share of what its controls can. Planning figure, no source. */
const TURNS_SHARE = 0.1;
/** Opposed motors that give less than this share of their thrust turn nothing. Planning figure, no source. */
const WORTH_SHARE = 0.1;
/** A wheel at less than this is straight, degrees. */
const STRAIGHT_DEG = 1;
const AXES_TURNED = ['roll', 'yaw'] as const;

const mixPath = ({ setup }: Facts, mix: Mix): string =>
  pointer('intents', 'program', 'mixes', setup.intents.program.mixes!.indexOf(mix));

const scopeOf = (channels: readonly number[], more: Partial<Scope> = {}): Scope => ({
  channels,
  sticks: 'released',
  unit: 'in-use',
  ...more,
});

/** Crow brakes; it must not roll or swing the model. */
function crowClaims(facts: Facts): Claim[] {
  const mix = facts.mixes.of('crow');
  if (!mix) return [];
  const { airframe } = facts.setup;
  const at = facts.at(mix.control);
  const channels = [...new Set(airframe.surfaces.flatMap((_, s) => facts.surfaces.channels[s]!))];
  return AXES_TURNED.flatMap((axis): Claim[] => {
    const { most, by } = facts.mixes.surfaces(axis, facts.surfaces.throwDeg);
    if (most === 0) return [];
    const share = (places: readonly number[], seen: readonly Moment[]) => {
      const rest = by(seen[0]!.frame);
      const worst = seen.reduce((w, m) => Math.max(w, Math.abs(by(m.frame) - rest)), 0);
      return places.length === 0 ? 0 : worst / most;
    };
    return [
      {
        key: `crow ${axis}`,
        form: 'sweep',
        asked: 'always',
        control: at,
        scope: scopeOf(channels),
        severity: 'stop',
        where: mixPath(facts, mix),
        about: { axis, control: mix.control, how: 'turns' },
        shows: 'crow, the sticks released',
        when: (now) => !now.launching,
        holds: (places, seen) => TURNS_SHARE - share(places, seen),
        says: ({ seen }) =>
          `Crow ${axis === 'roll' ? 'rolls' : 'swings'} the model, with ${Math.round(
            100 * share([0], seen),
          )} % of what its controls can: both sides must move alike.`,
      },
    ];
  });
}

/** Motors that turn the model turn it where the stick points. */
function thrustClaims(facts: Facts): Claim[] {
  const mix = facts.mixes.of('differential-thrust');
  const hand = facts.hands.find((h) => h.axis === 'yaw');
  if (!mix || !hand) return [];
  const { most, by } = facts.mixes.thrust();
  const only = mix.only && facts.position(mix.only.control, mix.only.position).value;
  const common = {
    form: 'sweep',
    control: hand.at,
    scope: scopeOf(facts.motorChannels, {
      sticks: 'anywhere',
      ...(mix.only ? { hands: [[facts.at(mix.only.control), only!] as const] } : {}),
    }),
    severity: 'stop',
    where: mixPath(facts, mix),
    shows: `${facts.label(hand.at)} at its end`,
  } as const;
  const change = (seen: readonly Moment[]) =>
    (hand.asks * (by(seen.at(-1)!.frame) - by(seen[0]!.frame))) / most;
  return [
    {
      ...common,
      key: 'thrust way',
      asked: 'always',
      about: { axis: 'yaw', how: 'reversed' },
      holds(_places: readonly number[], seen: readonly Moment[]) {
        const steps = seen.slice(1).map((m, i) => hand.asks * (by(m.frame) - by(seen[i]!.frame)));
        return TURNS_SHARE + Math.min(0, ...steps) / most;
      },
      says: ({ state }) =>
        `The motors turn the model against ${facts.label(hand.at)} (${state}): the one on the outside must pull more.`,
    },
    {
      ...common,
      key: 'thrust worth',
      asked: 'somewhere',
      about: { axis: 'yaw', how: 'weak' },
      holds: (_places: readonly number[], seen: readonly Moment[]) => change(seen) - WORTH_SHARE,
      says: () =>
        'Differential thrust is chosen, but nowhere do the motors differ enough to turn the model.',
    },
  ];
}

/** What the rear wheels do beside the front ones, by the signs of both. */
const AXLE: Readonly<Record<AxleWay, (front: number, rear: number) => number>> = {
  against: (front, rear) => -Math.sign(front) * rear - STRAIGHT_DEG,
  straight: (_, rear) => STRAIGHT_DEG - Math.abs(rear),
  with: (front, rear) => Math.sign(front) * rear - STRAIGHT_DEG,
};

const AXLE_SAYS: Readonly<Record<AxleWay, string>> = {
  against: 'against the front wheels',
  straight: 'straight ahead',
  with: 'with the front wheels',
};

/** The rear wheels do in each position of their switch what was chosen for it. */
function axleClaims(facts: Facts): Claim[] {
  const { setup } = facts;
  const mix = facts.mixes.of('rear-axle');
  const hand = facts.hands.find((h) => h.axis === 'yaw');
  const wheels = setup.airframe.surfaces;
  const front = wheels.findIndex((s, i) => s.role === 'wheel' && !facts.mixes.isRear(i));
  if (!mix || !hand || front < 0) return [];
  const at = facts.at(mix.control);
  return wheels.flatMap((wheel, rear): Claim[] =>
    !facts.mixes.isRear(rear)
      ? []
      : mix.at.map((way, position): Claim => {
          const { value, words } = facts.position(mix.control, position);
          const ends = (seen: readonly Moment[]) => {
            const by = (i: number) =>
              seen.at(-1)!.frame.surfaceDeg[i]! - seen[0]!.frame.surfaceDeg[i]!;
            return [by(front) / 2, by(rear) / 2] as const;
          };
          return {
            key: `${wheel.id} ${position}`,
            form: 'sweep',
            asked: 'always',
            control: hand.at,
            scope: scopeOf(
              [...new Set([front, rear].flatMap((s) => facts.surfaces.channels[s]!))],
              { hands: [[at, value]] },
            ),
            severity: 'stop',
            where: mixPath(facts, mix),
            about: { surface: wheel.id, control: mix.control, how: way },
            shows: `${words}, steered`,
            holds: (_, seen) => AXLE[way](...ends(seen)),
            says: () =>
              `${words}: the ${wheel.label.toLowerCase()} must go ${AXLE_SAYS[way]}, and does not.`,
          };
        }),
  );
}

/** What a stick moves besides its own surfaces may take away this much of what those do. Planning figure, no source. */
const FOUGHT_SHARE = 0.5;

/** Lines meant as mixes, by what else they move: together with a stick's own surfaces they must still turn the model its way. */
function togetherClaims(facts: Facts): Claim[] {
  const { setup } = facts;
  const { surfaces } = setup.airframe;
  return facts.hands.flatMap(({ axis, at, asks }): Claim[] => {
    const control = setup.transmitter.controls[at]!;
    const isOwn = (s: number) => facts.surfaces.authority[s]![axis] !== undefined;
    const mixed = surfaces.flatMap((_, s) =>
      !isOwn(s) && mixedOnPurpose(facts, facts.surfaces.channels[s]!, control.id) ? [s] : [],
    );
    const own = facts.mixes.surfaces(axis, facts.surfaces.throwDeg, isOwn);
    if (mixed.length === 0 || own.most === 0) return [];
    const all = facts.mixes.surfaces(axis, facts.surfaces.throwDeg);
    const turning = ({ by }: typeof all, seen: readonly Moment[]) =>
      asks * (by(seen.at(-1)!.frame) - by(seen[0]!.frame));
    const channels = surfaces.flatMap((_, s) =>
      isOwn(s) || mixed.includes(s) ? facts.surfaces.channels[s]! : [],
    );
    return [
      {
        key: `together ${control.id}`,
        form: 'sweep',
        asked: 'always',
        control: at,
        scope: scopeOf([...new Set(channels)]),
        severity: 'stop',
        where: pointer('airframe', 'surfaces', mixed[0]!),
        about: { axis, control: control.id, how: 'fights' },
        shows: `${control.label} at its end`,
        when: (now) => !now.launching,
        holds: (_, seen) =>
          (turning(all, seen) - FOUGHT_SHARE * turning(own, seen)) / (2 * own.most),
        says: ({ seen }) => {
          const left = Math.round((100 * turning(all, seen)) / turning(own, seen));
          const names = mixed.map((s) => surfaces[s]!.label.toLowerCase()).join(' and ');
          return left > 0
            ? `Mixed with ${control.label}, the ${names} take away what its own surfaces do: ${left} % of it remains.`
            : `Mixed with ${control.label}, the ${names} turn the model against it.`;
        },
      },
    ];
  });
}

export const mixesWork: Requirement = {
  id: 'mixes',
  title: 'Mixes do what they are for',
  must: 'Crow neither rolls nor swings the model; motors that turn it turn it where the stick points; rear wheels do in each position of their switch what was chosen for it; surfaces mixed with a stick leave at least half of what its own surfaces do.',
  from: 'The choice of a mix; the turning moment of each part about the balance point (ISO 1151-1 signs).',
  leavesOut: 'What crow does to the nose: how much elevator it needs is found in flight.',
  applies: ({ intents, program }) =>
    (intents.program.mixes ?? []).length > 0 || program.lines.some((l) => l.purpose === 'mix'),
  looksAt: (facts) => [...facts.steering, ...facts.motorChannels],
  claims: (facts) => [
    ...crowClaims(facts),
    ...thrustClaims(facts),
    ...axleClaims(facts),
    ...togetherClaims(facts),
  ],
};
