'use client';

import { useNumber, type Bounds, type NumberProps } from './useNumber';

/** A number in the middle of a sentence, changed where it stands. */
export function NumberWord(props: NumberProps & Bounds) {
  const { label } = props;
  const { id, problem, unit, input } = useNumber(props);
  return (
    <span className="whitespace-nowrap">
      <input
        aria-label={`${label}, ${unit}`}
        className="word num inline-block bg-transparent text-right"
        style={{ width: `calc(${Math.max(1, input.value.length)}ch + 4px)` }}
        {...input}
        onFocus={(e) => e.target.select()}
      />
      <span className="font-num"> {unit}</span>
      {problem && (
        <span id={`${id}-problem`} role="alert" className="text-stop block text-sm font-semibold">
          {problem}
        </span>
      )}
    </span>
  );
}
