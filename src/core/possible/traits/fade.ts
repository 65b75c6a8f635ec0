import { AXES, type Setup } from '../../setup';
import type { PossibleTrait } from '../facet';

/** How much of its correction is left while a stick is out. */
export const fade: PossibleTrait = {
  facets: ({ unit }) => {
    const own = AXES.map((axis) => unit.settings.axes[axis].fadePct);
    const value = (pct: number, words: string, usual: number) => ({
      key: `${pct}`,
      words,
      usual,
      change(next: Setup) {
        for (const axis of AXES) next.unit.settings.axes[axis].fadePct = pct;
      },
    });
    return [
      {
        id: 'fade',
        title: 'with a stick out',
        of: ['traits', 'stickFade'],
        now: own.every((pct) => pct === own[0]) ? `${own[0]}` : undefined,
        values: [
          value(100, 'its correction fades out with the stick', 60),
          value(0, 'it corrects as much with the stick out', 25),
          value(50, 'half of its correction remains with the stick out', 15),
        ],
      },
    ];
  },
};
