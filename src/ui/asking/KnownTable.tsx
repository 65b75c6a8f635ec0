import type { KnownFact } from '@/core/interrogate';

const BY_WORDS: Record<KnownFact['by'], string> = {
  seen: 'seen',
  open: 'open',
  alike: 'nothing here tells them apart',
  untold: 'no experiment shows it',
};

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
        {facts.map(({ facet, values, by }) => {
          const words = (key: string) => facet.values.find((v) => v.key === key)?.words ?? key;
          return (
            <tr key={facet.id} className="align-top">
              <th scope="row" className="py-1.5 pr-2 font-normal">
                {facet.title}
              </th>
              <td className="py-1.5 pr-2">
                {by === 'untold'
                  ? (facet.values.find((v) => v.key === facet.now)?.words ?? 'as described')
                  : by === 'open' && (!asked || values.length > 3)
                    ? `one of ${values.length}`
                    : values.map(words).join(', or ')}
              </td>
              <td className={`py-1.5 ${by === 'seen' ? 'text-proven font-bold' : 'text-soft'}`}>
                {BY_WORDS[by]}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
