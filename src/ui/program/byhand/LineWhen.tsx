import { changeLine } from '@/core/edit';
import type { Line, Setup } from '@/core/setup';
import { ConditionWord } from './ConditionWord';
import { usePut } from './EntryRow';

/** When a line acts, as a word of its sentence or a cell of its row. */
export function LineWhen({
  setup,
  line,
  name,
  always = 'always',
}: {
  setup: Setup;
  line: Line;
  name: string;
  /** What it says where nothing is asked. */
  always?: string;
}) {
  const put = usePut();
  return (
    <ConditionWord
      setup={setup}
      label={`${name}: when`}
      always={always}
      of={{ kind: 'channel', channel: line.channel }}
      value={line.when}
      onPut={(when) => put(changeLine(setup, line.id, { when }), 'another condition')}
    />
  );
}
