'use client';

import { useEffect, useState } from 'react';
import type { ModelView } from '@/server/models';
import { KeysHelp } from './KeysHelp';
import { LastChange } from './LastChange';
import { LeaveGuard } from './LeaveGuard';
import { ModelHeader } from './ModelHeader';
import { ModelContext } from './modelStore';
import { openModel } from './openModels';
import { SaveState } from './SaveState';
import { UnkeptAnswers } from './UnkeptAnswers';
import { VerdictFailed, VerdictProvider } from './verdict';

/** Everything about one model shares one copy of it in this tab. */
export function ModelFrame({ view, children }: { view: ModelView; children: React.ReactNode }) {
  const [store] = useState(() => openModel(view));
  useEffect(() => {
    // The page may be one the browser had kept: Back, Forward, a tab brought up again.
    void store.getState().refresh();
    // From here on what is typed and clicked is heard; before, the page is only its picture.
    document.documentElement.dataset.live = view.id;
  }, [store, view.id]);
  return (
    <ModelContext value={store}>
      <VerdictProvider>
        <ModelHeader />
        <SaveState />
        <UnkeptAnswers />
        <VerdictFailed />
        <LeaveGuard />
        <LastChange />
        {children}
        <KeysHelp modelId={view.id} />
      </VerdictProvider>
    </ModelContext>
  );
}
