import { authority, mixOf } from '../../model';
import { kindOf, type Setup } from '../../setup';
import { addLine } from '../wishes/draft';
import type { MixKind } from './mix';

/** A fifth of the ailerons is enough to keep most wings from swinging the wrong way. Common practice, no source. */
const SHARE_PCT = 20;

const rolls = ({ airframe }: Setup) => airframe.surfaces.some((s) => authority(airframe, s).roll);

/** Channels the rudder stick moves, by a line of their own or as half of a mixed tail. */
const rudderLines = ({ program }: Setup) =>
  program.lines.filter(
    (l) => l.owner === 'sticks' && l.follows.kind === 'input' && l.follows.id === 'rudder',
  );

export const aileronRudder: MixKind<'aileron-rudder'> = {
  when: 'For wings that swing the wrong way when they roll: sailplanes and high wings above all. With a unit that damps yaw it is seldom needed.',
  offered: (setup) =>
    kindOf(setup.airframe).moves === 'air' &&
    rolls(setup) &&
    setup.program.inputs.some((i) => i.id === 'aileron') &&
    rudderLines(setup).length > 0,
  first: () => ({ mix: 'aileron-rudder', sharePct: SHARE_PCT }),
  write(draft, { sharePct }) {
    if (mixOf(draft.setup, 'outward-rudders')) {
      draft.reasons.push(
        'The rudders move outward only, each on its own side: the aileron stick would pull one of them inward. Choose one of the two.',
      );
      return;
    }
    // The aileron stick turns the same way as the rudder stick beside it, whatever the channel does with that.
    for (const line of rudderLines(draft.setup))
      addLine(draft, {
        id: `with-ailerons-${line.channel}`,
        label: 'Rudder with the ailerons',
        channel: line.channel,
        follows: { kind: 'input', id: 'aileron' },
        sharePct: (sharePct / 100) * line.sharePct,
        effect: 'adds',
        purpose: 'mix',
      });
  },
  says: (_, mix) => [
    'The aileron stick moves the rudder as well, by ',
    {
      kind: 'number',
      label: 'share of the ailerons',
      value: mix.sharePct,
      unit: '%',
      at: 'sharePct',
      set: (sharePct) => ({ ...mix, sharePct }),
    },
    '.',
  ],
};
