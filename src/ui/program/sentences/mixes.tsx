'use client';

import { Fragment } from 'react';
import { mixesFor, mixSentence, mixWords, withMix, withMixAs, withoutMix } from '@/core/plan';
import { controlsOfMix, MIX_IDS, type Mix, type MixId } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

function Says({ id, setup, wishes, wish }: Sentenced & { id: MixId }) {
  const at = (wishes.mixes ?? []).findIndex((m) => m.mix === id);
  const mix = wishes.mixes?.[at];
  if (!mix) return null;
  const { title } = mixWords(id);
  const put = (next: Mix) => wish(withMixAs(wishes, next), title);
  return mixSentence(setup, mix).map((piece, i) => {
    // A sentence keeps its pieces in their order.
    const key = i;
    if (typeof piece === 'string') return <Fragment key={key}>{piece}</Fragment>;
    switch (piece.kind) {
      case 'number':
        return (
          <NumberWord
            key={key}
            label={piece.label}
            unit={piece.unit}
            at={`/intents/program/mixes/${at}/${piece.at}`}
            value={piece.value}
            onCommit={(value) => put(piece.set(value))}
          />
        );
      case 'control':
        return (
          <ControlWord
            key={key}
            label={piece.label}
            setup={setup}
            kinds={piece.kinds}
            {...(piece.also ? { also: piece.also } : {})}
            value={piece.value}
            {...(piece.none === undefined ? {} : { none: piece.none })}
            onPick={(control) => put(piece.set(control))}
          />
        );
      case 'choice':
        return (
          <PickWord
            key={key}
            label={piece.label}
            value={piece.value}
            options={piece.options}
            onPick={(value) => put(piece.set(value))}
          />
        );
    }
  });
}

const sentenceOf = (id: MixId): Sentence => ({
  title: mixWords(id).title,
  applies: (setup) => mixesFor(setup).includes(id),
  wished: (w) => w.mixes?.some((m) => m.mix === id) ?? false,
  offer: {
    words: mixWords(id).title.toLowerCase(),
    first: (setup, wishes) => withMix(setup, wishes, id),
  },
  drop: (wishes) => withoutMix(wishes, id),
  controls: (w) => (w.mixes ?? []).flatMap((m) => (m.mix === id ? controlsOfMix(m) : [])),
  Says: (props) => <Says id={id} {...props} />,
  when: () => mixWords(id).when,
});

/** One sentence a mix. */
export const MIX_SENTENCES: readonly Sentence[] = MIX_IDS.map(sentenceOf);
