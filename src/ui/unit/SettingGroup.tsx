'use client';

import type { Checked } from '@/core/logbook';
import { difference } from '@/core/patch';
import type { ScriptStep } from '@/core/script';
import type { Row, RowGroup } from '@/core/settings';
import type { Setup } from '@/core/setup';
import { Answers, TestMark } from '../checks/TestScript';
import { NumberWord } from '../fields/NumberWord';
import { useModel } from '../open/modelStore';
import { PickWord } from '../parts/PickWord';
import { seenBefore } from '../words';
import { LeafletWord } from './LeafletWord';

/** One menu page of the unit: its lines as they must read, confirmed together. */
export function SettingGroup({
  group,
  shipped,
  test,
  ownWords,
}: {
  group: RowGroup;
  /** What each line stands at in a new unit. */
  shipped: ReadonlyMap<string, Row>;
  test: Checked<ScriptStep> | undefined;
  /** Whether the person's own leaflet words are shown and changed. */
  ownWords: boolean;
}) {
  const settings = [...new Set(group.rows.map((row) => row.setting))];
  // Many short lines stand side by side.
  const short =
    group.rows.length > 3 &&
    group.rows.every((row) => !row.how && !noteOf(row, shipped.get(row.id)?.words));
  return (
    <li className="grid items-start gap-x-3 gap-y-1 py-2 @lg:grid-cols-[7.5rem_1fr_auto]">
      <h3 className="font-bold wrap-break-word">{group.title}</h3>
      <div className={`flex min-w-0 gap-y-0.5 ${short ? 'flex-wrap gap-x-5' : 'flex-col'}`}>
        {group.rows.map((row) => (
          <SettingLine
            key={row.id}
            row={row}
            was={shipped.get(row.id)?.words}
            alone={row.about === ''}
            short={short}
          />
        ))}
        {ownWords &&
          settings.map((setting) => (
            <LeafletWord
              key={setting}
              setting={setting}
              name={group.rows.find((r) => r.setting === setting)!.name}
            />
          ))}
        {test?.status === 'stale' && (
          <p className="text-soft text-sm">{seenBefore(test.reasons)}</p>
        )}
      </div>
      {test && (
        <div className="flex items-center gap-2 @lg:justify-end">
          <TestMark status={test.status} />
          <Answers compact asked={test.asked} words={group.title} />
        </div>
      )}
    </li>
  );
}

/** What a new unit has instead, where it has this line at all. */
const noteOf = (row: Row, was: string | undefined): string =>
  was !== undefined && was !== row.words ? `a new unit has: ${was}` : '';

/**
 * @param was what it stands at in a new unit
 * @param alone the heading says what it is already
 */
function SettingLine({
  row,
  was,
  alone,
  short,
}: {
  row: Row;
  was: string | undefined;
  /** It stands under a title that is its name. */
  alone: boolean;
  /** Beside others, with nothing to say but name and value. */
  short: boolean;
}) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const put = (value: unknown): string | undefined => {
    const after = structuredClone(setup) as Setup;
    row.write(after.unit.settings, value);
    const label = `${[row.about, row.name].filter(Boolean).join(', ')} changed`;
    return edit(difference(setup, after), label.slice(0, 80))[0]?.reason;
  };
  const { field } = row;
  const differs = was !== row.words;
  return (
    <p
      className={`items-baseline [&_button]:min-w-6 ${short ? 'flex gap-x-2' : 'grid grid-cols-[1fr_auto] gap-x-3 @lg:grid-cols-[7rem_auto_1fr]'}`}
    >
      <span className={alone ? 'sr-only' : 'wrap-break-word'}>{row.name}</span>
      <span className={differs ? 'font-bold' : ''}>
        {field.kind === 'number' ? (
          <NumberWord
            label={row.name}
            unit={field.unit}
            at={row.path}
            step={field.step ?? 1}
            value={row.value as number}
            onCommit={put}
          />
        ) : (
          <PickWord
            label={row.name}
            value={field.kind === 'flag' ? (row.value ? 'on' : 'off') : String(row.value)}
            options={
              field.kind === 'flag'
                ? [
                    { value: 'off', words: field.off },
                    { value: 'on', words: field.on },
                  ]
                : field.options.map(([value, words]) => ({ value, words }))
            }
            onPick={(v) => void put(field.kind === 'flag' ? v === 'on' : v)}
          />
        )}
      </span>
      {!short && (
        <span className="text-soft text-sm max-@lg:col-span-2">
          {[noteOf(row, was), row.how].filter(Boolean).join(' · ')}
        </span>
      )}
    </p>
  );
}
