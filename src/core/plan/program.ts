import { axisWeights, positionsOf, stickOf } from '../chain';
import {
  functionOf,
  roleOf,
  type Airframe,
  type ChannelFunction,
  type Control,
  type ControlKind,
  type Failsafe,
  type GainLaw,
  type Input,
  type Line,
  type Output,
  type Program,
  type Transmitter,
  type Unit,
} from '../setup';
import { PANIC_GAIN_PCT } from './figures';
import type { Assignment } from './channels';
import { gainPulse } from './wishes/values';

/** Which hand control works what, beyond the sticks. */
export interface Hands {
  mode?: string | undefined;
  gain?: string | undefined;
  throttleCut?: string | undefined;
  flap?: string | undefined;
  gear?: string | undefined;
  mode2?: string | undefined;
  recovery?: string | undefined;
}

/** A knob's whole turn laid over the useful part of a gain law: value = weight × knob + offset. */
export function knobToGain(law: GainLaw): { weightPct: number; offsetPct: number } {
  // Only −100…+100 uses the knob as it is; the others waste or mirror its lower half.
  return law === 'full-range' ? { weightPct: 100, offsetPct: 0 } : { weightPct: 50, offsetPct: 50 };
}

/** First control of one of these kinds that nothing uses yet. */
function freeControl(
  transmitter: Transmitter,
  kinds: readonly ControlKind[],
  used: readonly (string | undefined)[],
): string | undefined {
  for (const kind of kinds) {
    const found = transmitter.controls.find((c) => c.kind === kind && !used.includes(c.id));
    if (found) return found.id;
  }
  return undefined;
}

/** Gives every function a control of its own, as long as there are any. */
export function chooseHands(
  transmitter: Transmitter,
  airframe: Airframe,
  unit: Unit,
  wanted: ReadonlySet<ChannelFunction>,
): Hands {
  const used: (string | undefined)[] = [];
  const give = (kinds: ControlKind[], needed: boolean): string | undefined => {
    const found = needed ? freeControl(transmitter, kinds, used) : undefined;
    used.push(found);
    return found;
  };
  const three = unit.settings.slots.length > 2;
  const hands = {
    mode: give(three ? ['switch-3', 'switch-2'] : ['switch-2', 'switch-3'], wanted.has('mode')),
    throttleCut: give(['switch-2', 'switch-3'], airframe.motors.length > 0),
    mode2: give(['switch-2', 'switch-3'], wanted.has('mode2')),
    recovery: give(['momentary', 'switch-2', 'switch-3'], wanted.has('recovery')),
    gain: give(
      ['knob', 'slider'],
      [...wanted].some((f) => f === 'gain' || functionOf(f).tunes),
    ),
    flap: give(
      ['switch-3', 'switch-2', 'slider'],
      wanted.has('flap') || wanted.has('flaperon-left'),
    ),
    gear: give(['switch-2', 'switch-3', 'slider', 'knob'], wanted.has('gear')),
  };
  // With nothing left, gear goes with the flaps.
  return { ...hands, gear: hands.gear ?? (wanted.has('gear') ? hands.flap : undefined) };
}

/** The position of a switch that means "on": pressed, or nearest to the body. */
const lastPosition = ({ controls }: Transmitter, id: string) =>
  positionsOf(controls.find((c) => c.id === id)!.kind) - 1;

function stickFor(transmitter: Transmitter, carries: ChannelFunction): Control | undefined {
  return transmitter.controls[stickOf(transmitter, carries)];
}

/** Stick of each axis, and the input it becomes. */
const AXIS_INPUT = { roll: 'aileron', pitch: 'elevator', yaw: 'rudder' } as const;

/** A complete transmitter program for an assignment: sticks, mode, gain, throttle cut, failsafe. */
export function writeProgram(
  transmitter: Transmitter,
  assignment: Assignment,
  hands: Hands,
  gainLaw: GainLaw,
): Program {
  const inputs: Input[] = [];
  const lines: Line[] = [];
  const outputs: Output[] = [];
  const failsafe: Failsafe[] = [];

  const input = (carries: ChannelFunction): string | undefined => {
    const stick = stickFor(transmitter, carries);
    if (!stick) return undefined;
    if (!inputs.some((i) => i.id === carries)) {
      const trim = transmitter.controls.find((c) => c.kind === 'trim' && c.hand === stick.hand);
      inputs.push({
        id: carries,
        label: carries[0]!.toUpperCase() + carries.slice(1),
        control: stick.id,
        ...(trim ? { trim: trim.id } : {}),
        rates: [{ weightPct: 100, expoPct: carries === 'throttle' ? 0 : 20 }],
      });
    }
    return carries;
  };
  const line = (partial: Pick<Line, 'channel' | 'source' | 'purpose'> & Partial<Line>) =>
    lines.push({
      id: `l${lines.length + 1}`,
      weightPct: 100,
      offsetPct: 0,
      op: 'add',
      ...partial,
    });
  const fromInput = (channel: number, id: string | undefined, weightPct = 100) => {
    if (id) line({ channel, source: { kind: 'input', id }, weightPct, purpose: 'stick' });
  };
  const fromControl = (
    channel: number,
    id: string | undefined,
    purpose: Line['purpose'],
    law: { weightPct: number; offsetPct: number } = { weightPct: 100, offsetPct: 0 },
  ) => {
    if (id) line({ channel, source: { kind: 'control', id }, purpose, ...law });
  };

  for (const { carries, channel } of assignment) {
    outputs.push({ channel, carries, reversed: false, subtrimPct: 0, minPct: -100, maxPct: 100 });
    switch (carries) {
      case 'mode':
        fromControl(channel, hands.mode, 'mode');
        break;
      case 'mode2':
        fromControl(channel, hands.mode2, 'mode');
        break;
      case 'recovery':
        fromControl(channel, hands.recovery, 'panic');
        break;
      case 'gain':
      case 'gain-roll':
      case 'gain-pitch':
      case 'gain-yaw':
        fromControl(channel, hands.gain, 'gain', knobToGain(gainLaw));
        // Panic must not be left to where the knob happens to stand.
        if (hands.recovery && carries === 'gain')
          line({
            channel,
            label: 'Panic: gain whatever the knob says',
            source: { kind: 'constant' },
            weightPct: Math.round(
              ((gainPulse(gainLaw, PANIC_GAIN_PCT) - transmitter.pulse.centreUs) /
                transmitter.pulse.usAt100) *
                100,
            ),
            when: {
              kind: 'switch',
              control: hands.recovery,
              position: lastPosition(transmitter, hands.recovery),
            },
            op: 'replace',
            purpose: 'panic',
          });
        break;
      case 'flap':
      case 'flap2':
        fromControl(channel, hands.flap, 'other');
        break;
      case 'gear':
        fromControl(channel, hands.gear, 'other');
        break;
      case 'aileron2':
        fromInput(channel, input('aileron'));
        break;
      case 'elevator2':
        fromInput(channel, input('elevator'));
        break;
      case 'wheel':
        fromInput(channel, input('rudder'));
        break;
      case 'throttle2':
        fromInput(channel, input('throttle'));
        break;
      case 'flaperon-left':
      case 'flaperon-right':
        fromInput(channel, input('aileron'));
        // Both go down together: the right one is linked the other way round.
        fromControl(channel, hands.flap, 'mix', {
          weightPct: carries === 'flaperon-left' ? 25 : -25,
          offsetPct: carries === 'flaperon-left' ? 25 : -25,
        });
        break;
      default:
        if (functionOf(carries).stick) fromInput(channel, input(carries));
        else
          for (const [axis, weight] of Object.entries(axisWeights(carries)))
            fromInput(channel, input(AXIS_INPUT[axis as keyof typeof AXIS_INPUT]), 100 * weight);
    }
    const throttle = roleOf(carries) === 'motor';
    if (throttle && hands.throttleCut)
      line({
        channel,
        label: 'Throttle cut',
        source: { kind: 'constant' },
        weightPct: stickFor(transmitter, 'throttle')?.rest ?? -100,
        when: { kind: 'switch', control: hands.throttleCut, position: 0 },
        op: 'replace',
        purpose: 'throttle-cut',
      });
    failsafe.push(
      throttle
        ? {
            channel,
            kind: 'preset',
            valuePct: stickFor(transmitter, 'throttle')?.rest ?? -100,
          }
        : { channel, kind: 'hold' },
    );
  }
  return {
    inputs,
    logic: [],
    curves: [],
    variables: [],
    lines,
    outputs,
    failsafe,
    callouts: [],
    timers: [],
  };
}
