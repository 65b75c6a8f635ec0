import { placesOf, positionsOf } from '../../chain';
import { isRearWheel } from '../../model';
import { servedBy, type AxleWay, type Setup } from '../../setup';
import { SWITCHES } from '../offers/kinds';
import { addLine, kindOf, restPosition, type Draft } from '../wishes/draft';
import { combinations } from '../wishes/modes';
import type { MixBy, MixKind } from './mix';

type RearAxle = MixBy<'rear-axle'>;

/** A button will do where every switch is used: held, the wheels go with the front ones. */
const KINDS = [...SWITCHES, 'momentary'] as const;

/** What a rear axle does with what the front one is asked, in percent of it. */
const SHARES: Readonly<Record<AxleWay, number>> = { against: 100, straight: 0, with: -100 };

const WAY_WORDS: Readonly<Record<AxleWay, string>> = {
  against: 'against the front wheels',
  straight: 'straight',
  with: 'with the front wheels (crab)',
};

/** Ways for the positions of a switch to begin with; the one it rests in turns the model. */
function waysFor(setup: Setup, control: string): AxleWay[] {
  const three = positionsOf(kindOf(setup, control)) === 3;
  const others: AxleWay[] = three ? ['straight', 'with'] : ['with'];
  return others.toSpliced(restPosition(setup, control), 0, 'against');
}

const rear = ({ program }: Setup) =>
  program.outputs.filter((o) => o.carries !== 'steering' && servedBy(o.carries) === 'steering');

function write(draft: Draft, mix: RearAxle): void {
  const { setup, reasons } = draft;
  const channels = rear(setup);
  if (channels.length === 0) {
    reasons.push(
      'Front and rear wheels are on one channel: give the rear steering a channel of its own first (Model: its lead carries “second steering”).',
    );
    return;
  }
  const places = combinations(setup, [mix.control]);
  for (const { carries, channel } of channels)
    mix.at.forEach((way, i) => {
      const sharePct = SHARES[way];
      if (sharePct === 100) return;
      addLine(draft, {
        id: `rear-${carries}-${i + 1}`,
        label: `${places[i]!.words}: rear wheels ${WAY_WORDS[way]}`.slice(0, 80),
        channel,
        follows: { kind: 'fixed' },
        sharePct,
        when: places[i]!.when,
        effect: 'scales',
        purpose: 'mix',
      });
    });
}

export const rearAxle: MixKind<'rear-axle'> = {
  when: 'For crawlers: against the front wheels it turns in the smallest circle, with them it moves sideways (crab), and straight it follows as an ordinary car does.',
  offered: ({ airframe }) => airframe.surfaces.some((s) => isRearWheel(airframe, s)),
  first(setup, free) {
    const control = free(KINDS);
    return {
      mix: 'rear-axle',
      control,
      at: control ? waysFor(setup, control) : ['against', 'with'],
    };
  },
  write,
  says(setup, mix) {
    const places = placesOf(kindOf(setup, mix.control));
    return [
      {
        kind: 'control',
        label: 'Rear wheels by',
        kinds: KINDS,
        value: mix.control,
        set: (control) =>
          control ? { mix: 'rear-axle', control, at: waysFor(setup, control) } : mix,
      },
      ' steers the rear wheels: ',
      ...mix.at.flatMap((way, i) => [
        ...(i > 0 ? [', '] : []),
        `${places[i]![0]} `,
        {
          kind: 'choice',
          label: `rear wheels, ${places[i]![0]}`,
          value: way,
          options: Object.entries(WAY_WORDS).map(([value, words]) => ({ value, words })),
          set: (value: string): RearAxle => ({
            ...mix,
            at: mix.at.map((w, j) => (j === i ? (value as AxleWay) : w)),
          }),
        } as const,
      ]),
      '.',
    ];
  },
};
