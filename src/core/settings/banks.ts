import { flagRow } from './lens';
import type { Setting } from './setting';

export const banks: Setting = {
  id: 'banks',
  rows({ unit: { traits, settings } }) {
    if (traits.stabilizedOutputs !== 'two-banks') return [];
    const all = [...new Set(traits.ports.flatMap((p) => (p.bank ? [p.bank] : [])))].toSorted();
    const on = settings.banks ?? all;
    return all.map((bank) =>
      flagRow(
        {
          id: `banks ${bank}`,
          about: `Bank ${bank}`,
          name: 'outputs',
          path: '/unit/settings/banks',
          write(to, value) {
            const others = (to.banks ?? all).filter((b) => b !== bank);
            to.banks = (value ? [...others, bank] : others).toSorted();
          },
        },
        on.includes(bank),
        'stabilized',
        'passed through',
      ),
    );
  },
};
