'use client';

import { Tabs } from 'radix-ui';
import { useMemo, useState } from 'react';
import { ENTRY_STYLES } from '@/core/setup';
import { STYLES, sheetSections } from '@/core/sheets';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { StatusMark } from '../../status/StatusMark';
import { ChannelPart } from './ChannelPart';
import { InputsPart } from './InputsPart';
import { LogicPart } from './LogicPart';
import { ShapesPart } from './ShapesPart';
import { ValuesPart } from './ValuesPart';
import { VoicePart } from './VoicePart';

/** The channels as the transmitter in hand has them, or as another kind would. */
function Channels() {
  const outputs = useModel((s) => s.setup.program.outputs);
  const own = useModel((s) => s.setup.transmitter.style);
  const [style, setStyle] = useState(own);
  const setup = useModel((s) => s.setup);
  const { warnings } = useMemo(() => sheetSections(setup, style), [setup, style]);
  return (
    <>
      <p>
        Shown as{' '}
        <PickWord
          label="Channels are shown as"
          value={style}
          options={ENTRY_STYLES.map((s) => ({
            value: s,
            words: STYLES[s].shown,
            more: `for a transmitter with ${STYLES[s].describes}${s === own ? ', as yours has it' : ''}`,
          }))}
          onPick={setStyle}
        />
        : one program, however it is shown.
      </p>
      {warnings.map((w) => (
        <p key={w}>
          <StatusMark status="caution" words={w} />
        </p>
      ))}
      {outputs.map((output) => (
        <ChannelPart key={output.channel} output={output} style={style} />
      ))}
    </>
  );
}

/** The lists of a program, in the order in which one is made of another. */
const PARTS: readonly (readonly [id: string, title: string, Part: React.ComponentType])[] = [
  ['channels', 'Channels', Channels],
  ['inputs', 'Inputs', InputsPart],
  ['logic', 'Logic', LogicPart],
  ['shapes', 'Shapes', ShapesPart],
  ['values', 'Values', ValuesPart],
  ['voice', 'Call-outs', VoicePart],
];

/** The program entry by entry: every word changed where it stands, one's own entries beside those of the wishes. */
export default function ByHand() {
  return (
    <>
      <p className="text-soft text-sm">
        What a channel does normally, what is added, and what it does instead: whatever stands
        further out has the last word. An entry that a choice wrote becomes your own when you change
        it: the choice no longer rewrites it, and its purpose is still proved.
      </p>
      <Tabs.Root defaultValue="channels" className="mt-2">
        <Tabs.List className="mb-3 flex flex-wrap gap-1" aria-label="Parts of the program">
          {PARTS.map(([id, title]) => (
            <Tabs.Trigger
              key={id}
              value={id}
              className="btn data-[state=active]:bg-ink data-[state=active]:text-card px-3 text-sm"
            >
              {title}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        {PARTS.map(([id, , Shown]) => (
          <Tabs.Content key={id} value={id} className="flex flex-col gap-4">
            <Shown />
          </Tabs.Content>
        ))}
      </Tabs.Root>
    </>
  );
}
