import { armsOf } from '../../model';
import { kindOf, type Setup } from '../../setup';
import { SWITCHES, TURNABLE } from '../offers/kinds';
import { addLine, labelOf, type Draft } from '../wishes/draft';
import type { MixBy, MixKind } from './mix';
import { lowers } from '../wishes/senses';

type Crow = MixBy<'crow'>;

/** Ailerons give half of their way and keep the other half for rolling. Common practice, no source. */
const USUAL = { aileronUpPct: 50, flapDownPct: 100, elevatorDownPct: 10 };

const AILERONS = ['aileron'] as const;
const FLAPS = ['flap'] as const;
const ELEVATORS = ['elevator', 'ruddervator', 'elevon'] as const;

const hasRole = ({ airframe }: Setup, role: string) =>
  airframe.surfaces.some((s) => s.role === role);

/** Of what they can do in roll, parts that go down together may leave this much over. Planning figure, no source. */
const LOPSIDED_SHARE = 0.1;

/** Whether parts of these roles, moved alike, roll the model. */
function isLopsided({ airframe }: Setup, roles: readonly string[]): boolean {
  const rolls = airframe.surfaces
    .filter((s) => roles.includes(s.role))
    .map((s) => armsOf(airframe, s).roll);
  const sum = rolls.reduce((a, b) => a + b, 0);
  return Math.abs(sum) > LOPSIDED_SHARE * rolls.reduce((a, b) => a + Math.abs(b), 0);
}

/** The stick that has no motor to work, on a sailplane. */
const freeStick = ({ airframe, transmitter }: Setup): string[] =>
  airframe.motors.length > 0
    ? []
    : transmitter.controls.flatMap((c) =>
        c.kind === 'stick' && c.hand === 'throttle' ? [c.id] : [],
      );

/** How far a control is from where it rests towards its other end, as a shape of 0 to 100 %. */
function writeShape(draft: Draft, control: string): string {
  const rest = draft.setup.transmitter.controls.find((c) => c.id === control)!.rest;
  const outPct = (inPct: number) =>
    rest > 0 ? 100 * ((rest - inPct) / (rest + 100)) : 100 * ((inPct - rest) / (100 - rest));
  const at = [-100, rest, 100].filter((v, i, all) => all.indexOf(v) === i);
  draft.own.shapes.push({
    id: 'crow',
    label: 'Crow from rest',
    points: at.map((inPct) => ({ inPct, outPct: Math.max(0, Math.min(100, outPct(inPct))) })),
    owner: draft.owner,
  });
  return 'crow';
}

function write(draft: Draft, mix: Crow): void {
  const { setup, reasons } = draft;
  const parts = [
    { name: 'ailerons', roles: AILERONS, pct: -mix.aileronUpPct },
    { name: 'flaps', roles: FLAPS, pct: mix.flapDownPct },
    { name: 'elevator', roles: ELEVATORS, pct: mix.elevatorDownPct },
  ] as const;
  const lines = setup.program.outputs.flatMap(({ carries, channel }) =>
    parts.flatMap(({ name, roles, pct }) => {
      // One channel of a V-tail or a delta lowers both halves, the other turns the model.
      const way = pct === 0 ? undefined : lowers(setup, channel, roles);
      return way === undefined ? [] : [{ name, roles, carries, channel, sharePct: pct * way, way }];
    }),
  );
  if (lines.some((l) => l.roles === AILERONS && l.way === 0)) {
    reasons.push(
      'Both ailerons are on one channel, so one goes down when the other goes up: give each aileron a channel of its own first (Model: a servo and a channel for each).',
    );
    return;
  }
  const oneSided = parts.find((p) => p.pct !== 0 && isLopsided(setup, p.roles));
  if (oneSided) {
    reasons.push(
      `The ${oneSided.name} are not alike on both sides, so crow would roll the model: give it the same on the other side first (Model: Mirror).`,
    );
    return;
  }
  const shape = writeShape(draft, mix.control);
  for (const { name, roles, carries, channel, sharePct, way } of lines)
    if (way !== 0)
      addLine(draft, {
        id: `crow-${carries}-${roles[0]}`,
        label: `Crow by ${labelOf(setup, mix.control)}: ${name}`.slice(0, 80),
        channel,
        follows: { kind: 'control', id: mix.control },
        shape,
        sharePct,
        effect: 'adds',
        purpose: 'mix',
      });
}

export const crow: MixKind<'crow'> = {
  when: 'For landing a sailplane in a small place: ailerons up and flaps down brake hard, and the elevator keeps the nose where it is. Leave the ailerons at least half of their way, or they no longer roll the model.',
  offered: (setup) => kindOf(setup.airframe).moves === 'air' && hasRole(setup, 'aileron'),
  first: (_, free) => ({ mix: 'crow', control: free([...TURNABLE, ...SWITCHES]), ...USUAL }),
  write,
  says(setup, mix) {
    const number = (key: 'aileronUpPct' | 'flapDownPct' | 'elevatorDownPct', label: string) =>
      ({
        kind: 'number',
        label,
        value: mix[key],
        unit: '%',
        at: key,
        set: (value: number): Crow => ({ ...mix, [key]: value }),
      }) as const;
    return [
      'Crow by ',
      {
        kind: 'control',
        label: 'Crow by',
        kinds: [...TURNABLE, ...SWITCHES],
        also: freeStick(setup),
        value: mix.control,
        set: (control) => ({ ...mix, control: control ?? mix.control }),
      },
      ': ailerons ',
      number('aileronUpPct', 'ailerons up in crow'),
      ' up',
      ...(hasRole(setup, 'flap')
        ? [', flaps ', number('flapDownPct', 'flaps down in crow'), ' down']
        : []),
      ', elevator ',
      number('elevatorDownPct', 'elevator down in crow'),
      ' down.',
    ];
  },
};
