import type { UseFormRegisterReturn } from 'react-hook-form';

/** One of several cards, chosen as a whole; the radio button in it is there for keys and readers. */
export const RadioCard = ({
  field,
  value,
  className,
  children,
}: {
  field: UseFormRegisterReturn;
  value: string;
  className: string;
  children: React.ReactNode;
}) => (
  <label
    className={`has-checked:border-accent relative flex rounded-md border border-(--card-edge) p-2 text-sm leading-tight has-checked:bg-(--paper) has-focus-visible:outline-3 has-focus-visible:outline-(--focus) ${className}`}
  >
    <input
      type="radio"
      value={value}
      className="absolute inset-0 h-full w-full cursor-pointer opacity-0"
      {...field}
    />
    {children}
  </label>
);
