'use client';

import { Undo2 } from 'lucide-react';
import { addLine, bringBack, changeOutput, dropAside, putFailsafe } from '@/core/edit';
import { roleOf, type EntryStyle, type Failsafe, type Output, type Setup } from '@/core/setup';
import { channelWords, lineWords, pct } from '@/core/sheets';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { useRig } from '../../live/rigStore';
import { EntryRow, takeOut, usePut } from './EntryRow';
import { nameOf } from './LineSentence';
import { Ordered } from './Ordered';
import { Part } from './Part';
import { VIEWS } from './views';

/** A channel: its lines from top to bottom, what is switched off, its last stage, and what it does without the link. */
export function ChannelPart({ output, style }: { output: Output; style: EntryStyle }) {
  const setup = useModel((s) => s.setup);
  const { lines, aside = [] } = setup.program;
  const { channel } = output;
  const own = lines.filter((l) => l.channel === channel);
  const View = VIEWS[style];
  const off = aside.filter(({ line }) => line.channel === channel);
  return (
    <Ordered>
      <Part
        id={`lines-${channel}`}
        title={channelWords(setup, channel)}
        aside={<ChannelBar channel={channel} />}
        add={[
          {
            words: `Add a ${style === 'function' ? 'mix' : 'line'}`,
            patch: addLine(setup, channel, { kind: 'fixed' }),
          },
        ]}
      >
        <View setup={setup} output={output} own={own} />
        {off.map(({ line }) => (
          <EntryRow
            key={line.id}
            name={nameOf(setup, line)}
            unsigned
            acts={[
              {
                label: 'Switch on again',
                Icon: Undo2,
                patch: bringBack(setup, line.id),
                words: 'switched on again',
              },
              takeOut(dropAside(setup, line.id)),
            ]}
          >
            <span className="text-soft">
              <s>{lineWords(setup, line, true)}</s> Switched off.
            </span>
          </EntryRow>
        ))}
        <EntryRow name={`Channel ${channel}`} acts={[]} unsigned>
          <LastStage setup={setup} output={output} />
        </EntryRow>
      </Part>
    </Ordered>
  );
}

const LOST: Record<Failsafe['kind'] | 'unset', string> = {
  preset: 'goes to',
  hold: 'stays where it was',
  'no-pulses': 'falls silent',
  unset: 'stays where it was, nothing being set',
};

function LastStage({ setup, output }: { setup: Setup; output: Output }) {
  const put = usePut();
  const { channel, carries } = output;
  const at = setup.program.outputs.indexOf(output);
  const lost = setup.program.failsafe.find((f) => f.channel === channel);
  const name = `Channel ${channel}`;
  const number = (
    key: 'minPct' | 'maxPct' | 'subtrimPct' | 'slowS',
    label: string,
    unit = '%',
    step = setup.transmitter.stepPct ?? 1,
  ) => (
    <NumberWord
      label={`${name}: ${label}`}
      unit={unit}
      at={`/program/outputs/${at}/${key}`}
      step={step}
      value={output[key] ?? 0}
      onCommit={(v) => put(changeOutput(setup, channel, { [key]: v }), `${label} ${v} ${unit}`)}
    />
  );
  const slow = roleOf(carries) === 'device' || roleOf(carries) === 'free';
  return (
    <span className="text-soft">
      Then it is sent{' '}
      <PickWord
        label={`${name}: direction`}
        value={output.reversed ? 'reversed' : 'straight'}
        options={[
          { value: 'straight', words: 'as it is' },
          { value: 'reversed', words: 'reversed' },
        ]}
        onPick={(v) => put(changeOutput(setup, channel, { reversed: v === 'reversed' }), `${v}`)}
      />
      , between {number('minPct', 'lower end')} and {number('maxPct', 'upper end')}, its centre at{' '}
      {number('subtrimPct', 'subtrim')}
      {slow && <>, in {number('slowS', 'from end to end', 's', 0.1)} from end to end</>}. With the
      signal lost it{' '}
      <PickWord
        label={`${name}: signal lost`}
        value={lost?.kind ?? 'unset'}
        options={(Object.keys(LOST) as (keyof typeof LOST)[])
          .filter((kind) => kind !== 'unset' || !lost)
          .map((value) => ({ value, words: LOST[value] }))}
        onPick={(kind) =>
          kind !== 'unset' && put(putFailsafe(setup, channel, kind), `signal lost: ${LOST[kind]}`)
        }
      />
      {lost?.kind === 'preset' && (
        <>
          {' '}
          <NumberWord
            label={`${name}: preset`}
            unit="%"
            at="/program/failsafe/0/valuePct"
            value={lost.valuePct}
            onCommit={(v) =>
              put(putFailsafe(setup, channel, 'preset', v), `failsafe preset ${pct(v)}`)
            }
          />
        </>
      )}
      .
    </span>
  );
}

/** What the channel sends just now, as the rig’s hands have it. */
function ChannelBar({ channel }: { channel: number }) {
  const { centreUs, usAt100 } = useModel((s) => s.setup.transmitter.pulse);
  const us = useRig((s) => s.snapshot?.sentUs[channel - 1]);
  if (us === undefined) return null;
  const share = ((us - centreUs) / usAt100) * 100;
  const wide = Math.min(50, Math.abs(share) / 3);
  return (
    <span className="flex items-center gap-2 text-sm font-normal" aria-hidden>
      <span className="relative h-2 w-28 rounded bg-(--shade)">
        <span
          className="bg-accent absolute top-0 h-2 rounded"
          style={{ left: `${share < 0 ? 50 - wide : 50}%`, width: `${wide}%` }}
        />
      </span>
      <span className="num w-14">{share.toFixed(0)} %</span>
    </span>
  );
}
