'use client';

import { ATTITUDES, type PanicCell, type PanicMap } from '@/core/motion';
import { DRAWS } from './useFlights';

const metres = ({ leastM, mostM, lost, flights }: PanicCell): string => {
  if (lost === flights) return 'lost';
  const most = lost > 0 ? 'lost' : `${Math.round(mostM)}`;
  return lost === 0 && Math.round(leastM) === Math.round(mostM)
    ? most
    : `${Math.round(leastM)}–${most}`;
};

/** Height until level again, from every attitude at every speed: the worst of all states and of what is not known. */
export function PanicMapTable({
  map,
  done,
  onShow,
}: {
  map: PanicMap;
  done: boolean;
  onShow: (cell: PanicCell) => void;
}) {
  const worst = Math.max(1, ...map.cells.map((c) => (Number.isFinite(c.mostM) ? c.mostM : 0)));
  const states = map.states.reduce((sum, s) => sum + s.count, 0);
  return (
    <figure className="overflow-x-auto" tabIndex={0} aria-label="Panic from everywhere">
      <figcaption className="text-soft text-sm">
        Height lost until level, in metres: from the best to the worst of {states}{' '}
        {states === 1 ? 'state' : 'states'} ({map.states.length} differ) and of {map.draws} models
        it may be{done ? '' : `, of ${DRAWS}: still flying`}. Press one to see its worst.
      </figcaption>
      <table className="mt-1 border-separate border-spacing-1 text-sm">
        <thead>
          <tr>
            <td />
            {map.speeds.map((s) => (
              <th key={s} scope="col" className="text-soft font-semibold">
                {s} m/s
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ATTITUDES.map(({ id, words }) => (
            <tr key={id}>
              <th scope="row" className="text-soft pr-2 text-right font-normal">
                {words}
              </th>
              {map.speeds.map((s) => {
                const cell = map.cells.find((c) => c.attitude === id && c.speedMps === s);
                if (!cell)
                  return (
                    <td key={s} className="text-soft text-center">
                      …
                    </td>
                  );
                const lost = cell.lost > 0;
                const share = lost ? 1 : cell.mostM / worst;
                return (
                  <td key={s} className="p-0">
                    <button
                      type="button"
                      aria-label={`${words} at ${s} m/s: ${metres(cell)}${lost ? '' : ' m'}`}
                      className={`h-11 w-20 rounded border tabular-nums hover:underline ${
                        lost ? 'border-stop text-stop border-2 font-bold' : 'border-edge'
                      }`}
                      style={{
                        background: `color-mix(in srgb, var(--accent) ${Math.round(38 * share)}%, var(--card))`,
                      }}
                      onClick={() => onShow(cell)}
                    >
                      {metres(cell)}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}
