import { RESTS_ON } from '../../chain';
import { AXES } from '../../setup';
import { valuesOf, type PossibleTrait, type Value } from '../facet';

const VALUES = [
  ['100', 'its correction fades out with the stick', 60],
  ['0', 'it corrects as much with the stick out', 25],
  ['50', 'half of its correction remains with the stick out', 15],
] as const;

/** A fade of its own, another for each axis say. */
const AS_DESCRIBED: Value = {
  key: 'as-described',
  words: 'its correction fades as described',
  usual: 10,
  change: () => undefined,
};

/** How much of its correction remains while a stick is out. */
export const fade: PossibleTrait = {
  facets: ({ unit }) => {
    const usual = VALUES.find(([key]) =>
      AXES.every((axis) => unit.settings.axes[axis].fadePct === Number(key)),
    );
    const values = valuesOf(VALUES, ({ unit: { settings } }, key) => {
      for (const axis of AXES) settings.axes[axis].fadePct = Number(key);
    });
    return [
      {
        id: 'fade',
        title: 'with a stick out',
        of: ['traits', 'stickFade'],
        restsOn: RESTS_ON.fade,
        now: usual?.[0] ?? AS_DESCRIBED.key,
        values: usual ? values : [AS_DESCRIBED, ...values],
      },
    ];
  },
};
