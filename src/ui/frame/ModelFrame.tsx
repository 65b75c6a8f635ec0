'use client';

import { useState } from 'react';
import { ModelContext, createModelStore } from './modelStore';
import type { ModelView } from '@/server/models';
import { KeysHelp } from './KeysHelp';
import { LastChange } from './LastChange';
import { ModelHeader } from './ModelHeader';
import { VerdictProvider } from './verdict';
import { SaveState } from './SaveState';

/** Everything about one model shares one copy of it in this tab. */
export function ModelFrame({ view, children }: { view: ModelView; children: React.ReactNode }) {
  const [store] = useState(() => createModelStore(view));
  return (
    <ModelContext value={store}>
      <VerdictProvider>
        <ModelHeader />
        <SaveState />
        <LastChange />
        {children}
        <KeysHelp modelId={view.id} />
      </VerdictProvider>
    </ModelContext>
  );
}
