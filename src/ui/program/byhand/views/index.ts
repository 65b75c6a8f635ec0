import type { EntryStyle } from '@/core/setup';
import { LinesView } from './LinesView';
import { MixesView } from './MixesView';
import { TableView } from './TableView';
import type { ViewProps } from './view';

/** The same lines as each kind of transmitter has them; a new style without a view does not compile. */
export const VIEWS: Record<EntryStyle, React.ComponentType<ViewProps>> = {
  line: LinesView,
  function: MixesView,
  'switch-value': TableView,
};
