import { useId } from 'react';

/** A part of a page under its heading, on a card where nothing else is said. */
export function Section({
  title,
  level = 2,
  className = 'card',
  tabIndex,
  children,
}: {
  title: React.ReactNode;
  /** Of the heading: 3 inside another section. */
  level?: 2 | 3;
  className?: string;
  /** 0 where it scrolls by itself. */
  tabIndex?: 0;
  children: React.ReactNode;
}) {
  const id = useId();
  const Heading = `h${level}` as const;
  return (
    <section className={className} aria-labelledby={id} tabIndex={tabIndex}>
      <Heading id={id} className={level === 2 ? 'text-lg font-bold' : 'font-bold'}>
        {title}
      </Heading>
      {children}
    </section>
  );
}
