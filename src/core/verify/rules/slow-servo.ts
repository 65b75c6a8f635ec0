import type { Found } from '../finding';
import type { Rule } from '../rule';

/** An analogue servo is sent a pulse no more often than this. Common practice, no source. */
const ANALOGUE_MS = 18;

export const slowServo: Rule = {
  id: 'frame',
  title: 'One slow servo slows the frame for all',
  why: 'A servo sent pulses faster than it can take runs hot, twitches or fails; the unit has one frame for all its outputs.',
  check({ unit, airframe, installation }): Found[] {
    const { servoFrameMs } = unit.settings;
    if (servoFrameMs >= ANALOGUE_MS) return [];
    const onUnit = new Set(
      installation.plugs
        .filter((p) => unit.traits.ports.find((port) => port.id === p.port)?.on !== 'receiver')
        .flatMap((p) => p.drives),
    );
    const slow = airframe.servos.filter((s) => s.pulse === 'analog' && onUnit.has(s.id));
    if (slow.length === 0) return [];
    return [
      {
        severity: 'stop',
        says: `The frame is ${servoFrameMs} ms, and the ${slow.map((s) => s.label.toLowerCase()).join(' and the ')} ${slow.length > 1 ? 'are' : 'is'} analogue: 20 ms is what ${slow.length > 1 ? 'they take' : 'it takes'}.`,
        where: '/unit/settings/servoFrameMs',
        remedies: unit.traits.extras.includes('frame-rate')
          ? [
              {
                label: 'Slow the frame to 20 ms',
                patch: [{ op: 'replace', path: '/unit/settings/servoFrameMs', value: 20 }],
              },
            ]
          : [],
      },
    ];
  },
};
