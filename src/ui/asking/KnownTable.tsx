import type { KnownFact } from '@/core/interrogate';

const BY_WORDS: Record<KnownFact['by'], string> = {
  seen: 'seen',
  open: 'open',
  alike: 'nothing here tells them apart',
  untold: 'no experiment shows it',
};

/** One value fits every answer so far, but one answer alone makes nothing known. */
const ONCE = 'one answer, to be confirmed';

/** Each fact about the unit, what it may still be, and from where that is known. */
export function KnownTable({ facts, asked }: { facts: readonly KnownFact[]; asked: boolean }) {
  return (
    <table className="mt-2 w-full text-left text-sm">
      <thead className="text-soft">
        <tr>
          <th scope="col" className="pr-2 font-normal">
            about
          </th>
          <th scope="col" className="pr-2 font-normal">
            it is
          </th>
          <th scope="col" className="font-normal">
            from
          </th>
        </tr>
      </thead>
      <tbody className="divide-y divide-(--card-edge)">
        {facts.map(({ facet, values, agreeing, by }) => {
          const once = by === 'open' && asked && agreeing.length === 1 && values.length > 1;
          const words = (key: string) => facet.values.find((v) => v.key === key)?.words ?? key;
          return (
            <tr key={facet.id} className="align-top">
              <th scope="row" className="py-1.5 pr-2 font-normal">
                {facet.title}
              </th>
              <td className="py-1.5 pr-2">
                {by === 'untold'
                  ? (facet.values.find((v) => v.key === facet.now)?.words ?? 'as described')
                  : once
                    ? words(agreeing[0]!)
                    : by === 'open' && (!asked || values.length > 3)
                      ? `one of ${values.length}`
                      : values.map(words).join(', or ')}
              </td>
              <td className={`py-1.5 ${by === 'seen' ? 'text-proven font-bold' : 'text-soft'}`}>
                {once ? ONCE : BY_WORDS[by]}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
