import { axisFunction, positionWord, positionsOf, stickOf } from '../../chain';
import { motorArms } from '../../model';
import { kindOf, type Setup, type ThrustWay } from '../../setup';
import { PRESSABLE } from '../offers/kinds';
import { addLine, kindOf as kindOfControl, restPosition, type Draft } from '../wishes/draft';
import type { MixBy, MixKind } from './mix';
import { oneSided } from './one-sided';

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
function onPosition(setup: Setup, id: string): number {
  const last = positionsOf(kindOfControl(setup, id)) - 1;
  return restPosition(setup, id) === last ? 0 : last;
}

function write(draft: Draft, mix: Thrust): void {
  const { setup, reasons } = draft;
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
    const side = way < 0 ? 'right' : 'left';
    const slower = side === 'right' ? -1 : 1;
    addLine(draft, {
      ...line,
      shape: oneSided(draft, side),
      sharePct: slower * travel * mix.sharePct,
    });
  }
}

export const thrust: MixKind<'differential-thrust'> = {
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
