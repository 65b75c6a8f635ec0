'use client';

import { useEffect, useState } from 'react';
import type { ModelView } from '@/server/models';
import type { Theme } from '../theme/themes';
import { JobProvider } from '../open/job';
import { ModelContext } from '../open/modelStore';
import { openModel } from '../open/openModels';
import { VerdictProvider } from '../open/verdict';
import { Workspace } from './Workspace';

/** Everything about one model shares one copy of it in this tab. */
export function ModelFrame({
  view,
  theme,
  children,
}: {
  view: ModelView;
  theme: Theme;
  children: React.ReactNode;
}) {
  const [store] = useState(() => openModel(view));
  useEffect(() => {
    // The page may be one the browser had kept: Back, Forward, a tab brought up again.
    void store.getState().refresh();
  }, [store]);
  return (
    <ModelContext value={store}>
      <VerdictProvider>
        <JobProvider>
          <Workspace theme={theme}>{children}</Workspace>
        </JobProvider>
      </VerdictProvider>
    </ModelContext>
  );
}
