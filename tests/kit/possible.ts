import { facetsOf, grounded, type Facet } from '@/core/possible';
import type { Setup } from '@/core/setup';

/** What is looked at in all values; modes of positions have too many for a test. */
export const mostFacets = (setup: Setup): Facet[] =>
  facetsOf(setup).filter(({ of }) => of[1] !== 'slots');

/** The Setup with all of them only assumed. */
export const mostAssumed = (setup: Setup): Setup => grounded(setup, mostFacets(setup), 'assumed');
