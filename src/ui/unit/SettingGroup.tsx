'use client';

import { difference } from '@/core/patch';
import type { Checked } from '@/core/logbook';
import type { ScriptStep } from '@/core/script';
import type { Row, RowGroup } from '@/core/settings';
import { leafletWord, putLeafletWord, type Setup } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { prefixed } from '../open/prefixed';
import { Fold } from '../parts/Fold';
import { Select } from '../parts/Select';
import { Answers, TestMark } from '../checks/TestScript';
import { seenBefore } from '../words';

/** Everything of the unit that is set about one thing, with the word the person’s leaflet has for it. */
export function SettingGroup({
  group,
  test,
}: {
  group: RowGroup;
  test: Checked<ScriptStep> | undefined;
}) {
  const settings = [...new Set(group.rows.map((row) => row.setting))];
  return (
    <li className="flex flex-col gap-2 py-3">
      <div className="flex justify-between gap-3">
        <h3 className="font-bold">{group.title}</h3>
        {test && <TestMark status={test.status} />}
      </div>
      <div className="grid items-end gap-2 @lg:grid-cols-2">
        {group.rows.map((row) => (
          <SettingField key={row.id} row={row} alone={row.about === ''} />
        ))}
      </div>
      {test?.status === 'stale' && <p className="text-soft text-sm">{seenBefore(test.reasons)}</p>}
      {test && <Answers asked={test.asked} words={group.title} />}
      <Fold quiet title="What your leaflet calls it">
        <div className="grid gap-2 @lg:grid-cols-2">
          {settings.map((setting) => (
            <LeafletWord
              key={setting}
              setting={setting}
              name={group.rows.find((r) => r.setting === setting)!.name}
            />
          ))}
        </div>
      </Fold>
    </li>
  );
}

/** @param alone the heading says what it is already */
function SettingField({ row, alone }: { row: Row; alone: boolean }) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const put = (value: unknown): string | undefined => {
    const after = JSON.parse(JSON.stringify(setup)) as Setup;
    row.write(after.unit.settings, value);
    const label = `${[row.about, row.name].filter(Boolean).join(', ')} changed`;
    return edit(difference(setup, after), label.slice(0, 80))[0]?.reason;
  };
  const { field } = row;
  return (
    <div>
      {field.kind === 'number' && (
        <NumberField
          label={row.name}
          unit={field.unit}
          at={row.path}
          step={field.step ?? 1}
          value={row.value as number}
          onCommit={put}
        />
      )}
      {field.kind === 'flag' && (
        <Choice
          label={row.name}
          hideLabel={alone}
          value={row.value ? 'on' : 'off'}
          options={[
            ['off', field.off],
            ['on', field.on],
          ]}
          onChange={(v) => void put(v === 'on')}
        />
      )}
      {field.kind === 'choice' && (
        <label className="text-sm font-semibold">
          <span className={alone ? 'sr-only' : ''}>{row.name}</span>
          <Select value={String(row.value)} onChange={(e) => void put(e.target.value)}>
            {field.options.map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </Select>
        </label>
      )}
      {row.how && <p className="text-soft text-sm">{row.how}</p>}
    </div>
  );
}

function LeafletWord({ setting, name }: { setting: string; name: string }) {
  const unit = useModel((s) => s.setup.unit);
  const edit = useModel((s) => s.edit);
  const now = leafletWord(unit, setting) ?? '';
  const keep = (word: string) => {
    const patch = putLeafletWord(unit, setting, word);
    if (patch.length > 0) edit(prefixed('/unit', patch), `Leaflet’s word for ${name}`);
  };
  return (
    <label className="text-sm">
      its word for {name}
      <input
        className="field"
        defaultValue={now}
        key={now}
        maxLength={80}
        onBlur={(e) => keep(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && keep(e.currentTarget.value)}
      />
    </label>
  );
}
