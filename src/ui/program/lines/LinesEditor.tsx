'use client';

import { Plus } from 'lucide-react';
import { addLine } from '@/core/edit';
import { channelWords } from '@/core/sheets';
import { useModel } from '../../frame/modelStore';
import { useRig } from '../../rig/rigStore';
import { LineSentence } from './LineSentence';

/** The program line by line: every word changed where it stands, one's own lines beside those of the wishes. */
export default function LinesEditor() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { lines, outputs } = setup.program;
  return (
    <div className="flex flex-col gap-4">
      <p className="text-soft text-sm">
        Lines of a channel act from top to bottom. A line a wish has written becomes your own when
        you change it: the wish leaves it alone from then on, and what it is for is still proved.
      </p>
      {outputs.map(({ channel }) => {
        const own = lines.filter((l) => l.channel === channel);
        return (
          <section key={channel} aria-labelledby={`lines-${channel}`}>
            <h3 id={`lines-${channel}`} className="flex items-center gap-3 font-bold">
              {channelWords(setup, channel)}
              <ChannelBar channel={channel} />
            </h3>
            <ol>
              {own.map((line, i) => (
                <LineSentence
                  key={line.id}
                  line={line}
                  first={i === 0}
                  last={i === own.length - 1}
                />
              ))}
            </ol>
            <button
              type="button"
              className="text-accent flex min-h-8 items-center gap-1 text-sm font-semibold hover:underline pointer-coarse:min-h-11"
              onClick={() =>
                void edit(
                  addLine(setup, channel, { kind: 'fixed' }),
                  `A line of your own on channel ${channel}`,
                )
              }
            >
              <Plus size={14} aria-hidden />
              {own.length === 0 ? 'A line' : 'One more line'}
              <span className="sr-only">, channel {channel}</span>
            </button>
          </section>
        );
      })}
    </div>
  );
}

/** What the channel sends just now, as the rig’s hands have it. */
function ChannelBar({ channel }: { channel: number }) {
  const { centreUs, usAt100 } = useModel((s) => s.setup.transmitter.pulse);
  const us = useRig((s) => s.snapshot?.sentUs[channel - 1]);
  if (us === undefined) return null;
  const pct = ((us - centreUs) / usAt100) * 100;
  const wide = Math.min(50, Math.abs(pct) / 3);
  return (
    <span className="flex items-center gap-2 text-sm font-normal" aria-hidden>
      <span className="relative h-2 w-28 rounded bg-(--shade)">
        <span
          className="bg-accent absolute top-0 h-2 rounded"
          style={{ left: `${pct < 0 ? 50 - wide : 50}%`, width: `${wide}%` }}
        />
      </span>
      <span className="num w-14">{pct.toFixed(0)} %</span>
    </span>
  );
}
