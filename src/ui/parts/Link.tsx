import NextLink from 'next/link';
import type { ComponentProps } from 'react';

/**
 * A link within the app. Every page comes from this machine: fetched once it is wanted, it is there at once, and a
 * strip of thirty stations would ask for thirty pages.
 */
export const Link = (props: ComponentProps<typeof NextLink>) => (
  <NextLink prefetch={false} {...props} />
);
