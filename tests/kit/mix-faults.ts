import { placeOf } from '@/core/model';
import type { Line, Setup } from '@/core/setup';
import { crawler, sixServos, twin } from '../setups/all';
import { addLine, at, channelOf, outputOf } from './add-entries';
import type { Mutation } from './mutations';

const m = (
  requirement: string,
  words: string,
  spoil: (s: Setup) => void,
  start: () => Setup,
): Mutation => ({ requirement, words, start, spoil });

const line = (s: Setup, id: string): Line => s.program.lines.find((l) => l.id === id)!;
const without = (s: Setup, id: string) => {
  line(s, id);
  s.program.lines = s.program.lines.filter((l) => l.id !== id);
};
const failsafeOf = (s: Setup) => {
  const channel = channelOf(s, 'aux1');
  return s.program.failsafe.find((f) => f.channel === channel)!;
};

/** Mixes that turn the model, turn it the wrong way, or turn nothing; a winch that runs on. */
export const MIX_FAULTS: readonly Mutation[] = [
  m(
    'mixes',
    'one aileron goes down in crow',
    (s) => (line(s, 'crow-aileron2-aileron').sharePct *= -1),
    sixServos.make,
  ),
  m('mixes', 'only one flap goes down', (s) => without(s, 'crow-flap2-flap'), sixServos.make),
  m(
    'mixes',
    'crow moves the rudder as well',
    (s) =>
      addLine(s, 'rudder', {
        follows: { kind: 'control', id: 'stick-throttle' },
        sharePct: 30,
        purpose: 'mix',
      }),
    sixServos.make,
  ),
  m(
    'mixes',
    'the motors are plugged the other way round',
    (s) => {
      const of = (id: string) => s.installation.plugs.find((p) => p.drives.includes(id))!;
      const [left, right] = [of('motor-left'), of('motor-right')];
      [left.drives, right.drives] = [right.drives, left.drives];
    },
    twin.make,
  ),
  m(
    'mixes',
    'the outer motor is slowed',
    (s) => {
      const [left, right] = [line(s, 'thrust-throttle'), line(s, 'thrust-throttle2')];
      [left.shape, right.shape] = [right.shape!, left.shape!];
      [left.sharePct, right.sharePct] = [right.sharePct, left.sharePct];
    },
    twin.make,
  ),
  m(
    'mixes',
    'in one position of a switch the motors turn it the other way',
    (s) =>
      addLine(s, 'throttle2', {
        follows: { kind: 'control', id: 'stick-rudder' },
        sharePct: 150,
        when: at('sb', 2),
      }),
    twin.make,
  ),
  m(
    'mixes',
    'hardly any difference between the motors',
    (s) => {
      for (const l of s.program.lines) if (l.id.startsWith('thrust-')) l.sharePct *= 0.05;
    },
    twin.make,
  ),
  m(
    'mixes',
    'crab goes the other way',
    (s) => (line(s, 'rear-steering2-3').sharePct = 100),
    crawler.make,
  ),
  m('mixes', 'straight is not straight', (s) => without(s, 'rear-steering2-2'), crawler.make),
  m(
    'mixes',
    'the rear axle on the other side of its arm',
    (s) => {
      for (const surface of s.airframe.surfaces)
        if (surface.id.startsWith('rear-'))
          surface.linkage.sense = surface.linkage.sense === 'same' ? 'opposite' : 'same';
    },
    crawler.make,
  ),
  m(
    'mixes',
    'flaps further out than the ailerons, mixed with their stick against them',
    (s) => {
      for (const flap of s.airframe.surfaces)
        if (flap.role === 'flap') {
          const place = placeOf(s.airframe, flap);
          flap.place = { ...place, rightMm: 4 * place.rightMm };
        }
      for (const [channel, sharePct] of [
        ['flap', -60],
        ['flap2', 60],
      ] as const)
        addLine(s, channel, {
          follows: { kind: 'control', id: 'stick-aileron' },
          sharePct,
          purpose: 'mix',
        });
    },
    sixServos.make,
  ),
  m(
    'devices-stop',
    'its switch rests at an end',
    (s) => (s.transmitter.controls.find((c) => c.id === 'sc')!.rest = 100),
    crawler.make,
  ),
  m(
    'devices-stop',
    'stop is not in the middle',
    (s) => (line(s, 'device-winch').shiftPct = 40),
    crawler.make,
  ),
  m(
    'devices-stop',
    'a subtrim runs it',
    (s) => (outputOf(s, 'aux1').subtrimPct = 30),
    crawler.make,
  ),
  m(
    'devices-stop',
    'a dial moves it as well',
    (s) => addLine(s, 'aux1', { follows: { kind: 'control', id: 'dial' }, sharePct: 60 }),
    crawler.make,
  ),
  m(
    'devices-stop',
    'a trim moves it as well',
    (s) => addLine(s, 'aux1', { follows: { kind: 'control', id: 'trim-steering' }, sharePct: 60 }),
    crawler.make,
  ),
  m(
    'devices-stop',
    'it goes on as it went',
    (s) => {
      const { channel } = failsafeOf(s);
      s.program.failsafe = s.program.failsafe.map((f) =>
        f.channel === channel ? { channel, kind: 'hold' } : f,
      );
    },
    crawler.make,
  ),
  m(
    'devices-stop',
    'it lets out when the signal is lost',
    (s) => Object.assign(failsafeOf(s), { valuePct: 100 }),
    crawler.make,
  ),
  m(
    'devices-stop',
    'it pulls a little when the signal is lost',
    (s) => Object.assign(failsafeOf(s), { valuePct: -40 }),
    crawler.make,
  ),
  m(
    'devices-stop',
    'nothing is said for a lost signal',
    (s) => {
      const { channel } = failsafeOf(s);
      s.program.failsafe = s.program.failsafe.filter((f) => f.channel !== channel);
    },
    crawler.make,
  ),
];
