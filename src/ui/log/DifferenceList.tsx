import type { Differences } from './useDifferences';

/** More than this is more than anybody reads. */
const MOST = 40;

/** What differs between two versions, in words. */
export function DifferenceList({ found }: { found: Differences | undefined }) {
  return (
    <ul className="mt-2" aria-live="polite">
      {found?.problem && (
        <li className="text-stop">They could not be compared: {found.problem}.</li>
      )}
      {found?.differences.length === 0 && !found.problem && <li>Nothing: the two are the same.</li>}
      {found?.differences.slice(0, MOST).map((d, i) => (
        <li key={i} className="border-t border-(--card-edge) py-1 wrap-break-word">
          <strong>{d.what}</strong> {d.words}
        </li>
      ))}
      {found && found.differences.length > MOST && (
        <li>… and {found.differences.length - MOST} more.</li>
      )}
    </ul>
  );
}
