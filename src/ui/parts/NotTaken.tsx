/** What is wrong with more than this nobody reads at once. */
const MOST = 8;

/** A file that was refused: that nothing changed, and where it is wrong. */
export function NotTaken({
  problems,
  card = false,
}: {
  problems: readonly string[];
  card?: boolean;
}) {
  if (problems.length === 0) return null;
  return (
    <div
      role="alert"
      className={card ? 'card border-stop mt-2 max-w-xl text-sm' : 'w-full text-sm'}
    >
      <p className="text-stop font-semibold">File not imported. Nothing was changed.</p>
      <ul className="mt-1 list-disc pl-5">
        {problems.slice(0, MOST).map((p) => (
          <li key={p} className="wrap-break-word">
            {p}
          </li>
        ))}
      </ul>
    </div>
  );
}
