/** Where the hands are to be, a word for each control that is not at rest. */
export function Places({ places }: { places: readonly string[] }) {
  if (places.length === 0) return null;
  return (
    <ul className="mt-1 flex flex-wrap gap-1.5">
      {places.map((p) => (
        <li key={p} className="rounded-[3px_9px_3px_3px] border border-(--line) bg-(--shade) px-2">
          {p}
        </li>
      ))}
    </ul>
  );
}
