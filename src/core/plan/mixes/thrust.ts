import { axisFunction, positionWord, positionsOf, stickOf, switchPosition } from '../../chain';
import { motorArms } from '../../model';
import { kindOf, type Setup, type ThrustWay } from '../../setup';
import { PRESSABLE } from '../offers/kinds';
import { addLine, kindOf as kindOfControl, type Draft } from '../wishes/draft';
import type { MixBy, MixKind } from './mix';

type Thrust = MixBy<'differential-thrust'>;

/** Half of the thrust away on the inside turns a model well on the ground. Common practice, no source. */
const SHARE_PCT = 50;

/** Motor channels by the side they pull on: which way one more of each turns the model. */
function sides({ airframe, program }: Setup) {
  return program.outputs.flatMap(({ carries, channel }) => {
    const yaws = airframe.motors
      .filter((m) => m.carries === carries)
      .map((m) => motorArms(airframe, m).yaw);
    const yaw = yaws.reduce((sum, y) => sum + y, 0);
    return yaws.length === 0 || Math.abs(yaw) < 1
      ? []
      : [{ carries, channel, way: yaw > 0 ? (1 as const) : (-1 as const) }];
  });
}

/** The stick that turns the model, by itself: its trim must not set a motor going. */
const stickOfYaw = (setup: Setup): string | undefined =>
  setup.transmitter.controls[stickOf(setup.transmitter, axisFunction(setup, 'yaw'))]?.id;

const restsBetween = ({ transmitter }: Setup): boolean =>
  transmitter.controls.some((c) => c.kind === 'stick' && c.hand === 'throttle' && c.rest === 0);

/** The controllers can run astern, and the throttle rests between ahead and astern. */
const canOppose = (setup: Setup): boolean =>
  setup.airframe.motors.every((m) => m.reverse === 'reverses') && restsBetween(setup);

/** Where a switch means "on": its end away from where it rests. */
function onPosition({ transmitter }: Setup, id: string): number {
  const { kind, rest } = transmitter.controls.find((c) => c.id === id)!;
  const last = positionsOf(kind) - 1;
  return switchPosition(kind, rest) === last ? 0 : last;
}

function write(draft: Draft, mix: Thrust): void {
  const { setup, reasons, own, owner } = draft;
  const channels = sides(setup);
  const stick = stickOfYaw(setup);
  if (!channels.some((c) => c.way > 0) || !channels.some((c) => c.way < 0)) {
    reasons.push(
      'Both motors are on one throttle channel: give the second motor a channel of its own first (Model: its lead carries “second throttle”).',
    );
    return;
  }
  if (!stick) {
    reasons.push('No stick turns this model.');
    return;
  }
  if (mix.way === 'against' && !canOppose(setup)) {
    reasons.push(
      'Motors can run against each other only where both controllers reverse and the throttle rests in its middle.',
    );
    return;
  }
  if (mix.way === 'against' && !mix.only) {
    reasons.push(
      'Motors that run against each other turn with the throttle closed: choose a switch that allows it.',
    );
    return;
  }
  const only = mix.only && {
    kind: 'switch' as const,
    control: mix.only.control,
    position: mix.only.position,
  };
  // From stop to full is one side of a channel, or both of them.
  const travel = restsBetween(setup) ? 1 : 2;
  for (const { carries, channel, way } of channels) {
    const line = {
      id: `thrust-${carries}`,
      label: 'Differential thrust',
      channel,
      follows: { kind: 'control', id: stick },
      ...(only ? { when: only } : {}),
      effect: 'adds',
      purpose: 'mix',
    } as const;
    if (mix.way === 'against') {
      addLine(draft, { ...line, sharePct: way * mix.sharePct });
      continue;
    }
    // One that turns the model left is on the right: it goes slower while the stick is right.
    const right = way < 0;
    const shape = right ? 'thrust-right' : 'thrust-left';
    own.shapes.push({
      id: shape,
      label: right ? 'Stick right of its middle' : 'Stick left of its middle',
      points: [
        { inPct: -100, outPct: right ? 0 : 100 },
        { inPct: 0, outPct: 0 },
        { inPct: 100, outPct: right ? 100 : 0 },
      ],
      owner,
    });
    addLine(draft, { ...line, shape, sharePct: -travel * mix.sharePct });
  }
}

export const thrust: MixKind<'differential-thrust'> = {
  title: 'Differential thrust',
  when: 'For taxiing a twin on the ground or on the water, where the rudder has no air yet; most switch it off to fly. Motors against each other turn a boat on the spot at low speed.',
  offered: ({ airframe }) => airframe.motors.length > 1,
  first: (setup, free) => {
    const control = free(PRESSABLE);
    return {
      mix: 'differential-thrust',
      way: 'slower',
      sharePct: SHARE_PCT,
      ...(control ? { only: { control, position: onPosition(setup, control) } } : {}),
    };
  },
  write,
  says(setup, mix) {
    const { front } = kindOf(setup.airframe);
    const stick = kindOf(setup.airframe).onSurface ? 'Steering' : 'The rudder stick';
    const options: { value: ThrustWay; words: string }[] = [
      { value: 'slower', words: 'slows the motor on the inside' },
      { value: 'against', words: 'runs the motors against each other' },
    ];
    return [
      `${stick} `,
      {
        kind: 'choice',
        label: 'How the motors turn it',
        value: mix.way,
        options: options.filter(
          (o) => o.value === mix.way || o.value === 'slower' || canOppose(setup),
        ),
        set: (value) => ({ ...mix, way: value as ThrustWay }),
      },
      ' by ',
      {
        kind: 'number',
        label: 'share of the thrust',
        value: mix.sharePct,
        unit: '%',
        at: 'sharePct',
        set: (sharePct) => ({ ...mix, sharePct }),
      },
      `, so that the ${front} turns, `,
      {
        kind: 'control',
        label: 'Only while this is on',
        kinds: PRESSABLE,
        value: mix.only?.control,
        none: 'whatever the switches do',
        set: (control) => {
          const { only: _, ...rest } = mix;
          return control
            ? { ...rest, only: { control, position: onPosition(setup, control) } }
            : rest;
        },
      },
      mix.only
        ? ` ${positionWord(kindOfControl(setup, mix.only.control), mix.only.position)} only.`
        : '.',
    ];
  },
};
