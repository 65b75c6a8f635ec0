/** Two or more words side by side, one of them true. Native radios underneath. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onChange,
  hideLabel = false,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
}) {
  return (
    <fieldset className="min-w-0">
      <legend className={hideLabel ? 'sr-only' : 'text-sm font-semibold'}>{label}</legend>
      <div className="flex flex-wrap gap-1">
        {options.map(([id, words]) => (
          <label
            key={id}
            className="btn has-checked:bg-ink has-checked:text-card has-checked:border-ink has-focus-visible:outline-3 has-focus-visible:outline-[var(--focus)]"
          >
            <input
              type="radio"
              className="sr-only"
              checked={id === value}
              onChange={() => onChange(id)}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
