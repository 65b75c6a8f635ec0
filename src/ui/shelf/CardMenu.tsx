'use client';

import { MoreVertical } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { DropdownMenu } from 'radix-ui';
import { useState } from 'react';
import { toast } from '../parts/toast';

import type { KeptPlace, ShelfEntry } from '@/server/shelf';
import { tellChanged } from '../open/openModels';
import { reasonsOf, send } from '../open/send';
import { Ask } from '../parts/Ask';
import { Over, OverClose } from '../parts/Over';
import { YOUR_NAME_FOR_IT } from '../words';

interface Holds {
  versions: number;
  seen: number;
  lines: number;
  daysKept: number;
}

const many = (n: number, one: string, more = `${one}s`) => `${n} ${n === 1 ? one : more}`;

/** What can be done with a model as a thing: another name, tags, a copy, retired, taken off. */
export function CardMenu({ entry, kept }: { entry: ShelfEntry; kept: KeptPlace }) {
  const router = useRouter();
  const [asking, setAsking] = useState<'name' | 'tags' | 'off'>();
  const [text, setText] = useState('');
  const [holds, setHolds] = useState<Holds>();
  const path = `/api/models/${entry.id}`;
  const done = (words: string) => {
    setAsking(undefined);
    toast.success(words);
    router.refresh();
  };
  const attempt = async <T,>(
    method: string,
    to: string,
    body: unknown,
    then: (value: T) => void,
  ) => {
    const reply = await send<T>(method, `${path}/${to}`, body);
    if (reply.ok) then(reply.value);
    else toast.error(reasonsOf(reply.problems));
  };
  const place = (to: KeptPlace, words: string) =>
    attempt('PUT', 'place', { kept: to }, () => {
      tellChanged(entry.id);
      done(words);
    });
  const item = (words: string, act: () => void) => (
    <DropdownMenu.Item
      className="flex min-h-11 cursor-pointer items-center rounded px-3 outline-none data-[highlighted]:bg-(--shade)"
      onSelect={act}
    >
      {words}
    </DropdownMenu.Item>
  );
  return (
    <>
      <DropdownMenu.Root>
        <DropdownMenu.Trigger className="head-btn" aria-label={`What to do with ${entry.name}`}>
          <MoreVertical size={18} aria-hidden />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content align="end" className="card z-40 min-w-44 p-1">
            {kept !== 'shelf' &&
              item('Restore it', () => void place('shelf', `${entry.name} is back on the shelf.`))}
            {kept !== 'off' && (
              <>
                {item(
                  'Copy it',
                  () =>
                    void attempt<{ id: string }>('POST', 'copy', {}, ({ id }) =>
                      router.push(`/models/${id}/model`),
                    ),
                )}
                {item('Another name …', () => {
                  setText(entry.name);
                  setAsking('name');
                })}
                {item('Tags …', () => {
                  setText(entry.tags.join(' '));
                  setAsking('tags');
                })}
                {kept === 'shelf' &&
                  item('Retire it', () => void place('retired', `${entry.name} is retired.`))}
                {item('Delete …', () => {
                  void attempt<Holds>('GET', 'place', undefined, (found) => {
                    setHolds(found);
                    setAsking('off');
                  });
                })}
              </>
            )}
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      <Over
        open={asking === 'name' || asking === 'tags'}
        onClose={() => setAsking(undefined)}
        title={asking === 'tags' ? `Tags of ${entry.name}` : 'Another name'}
      >
        <form
          onSubmit={(e) => {
            e.preventDefault();
            if (asking === 'tags')
              void attempt('PUT', 'place', { tags: text.split(/[\s,]+/).filter(Boolean) }, () =>
                done('Tags kept.'),
              );
            else
              void attempt('PUT', 'name', { basedOn: entry.version, name: text }, () =>
                done('Renamed.'),
              );
          }}
        >
          <label className="mt-2 block text-sm font-semibold">
            {asking === 'tags' ? 'Tags, separated by spaces' : YOUR_NAME_FOR_IT}
            <input
              className="field mt-1 font-normal"
              maxLength={asking === 'tags' ? 200 : 80}
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
          </label>
          <div className="mt-3 flex gap-2">
            <button type="submit" className="btn btn-main">
              Keep it
            </button>
            <OverClose>Cancel</OverClose>
          </div>
        </form>
      </Over>
      <Ask
        open={asking === 'off'}
        title={`Delete ${entry.name}?`}
        what={
          holds &&
          `This deletes ${many(holds.versions, 'version')}, ${many(holds.seen, 'answer')} from the bench and ${many(holds.lines, 'line')} of its log. You can restore it for ${holds.daysKept} days.`
        }
        stay="Keep it"
        go="Delete it"
        onStay={() => setAsking(undefined)}
        onGo={() => void place('off', `${entry.name} is deleted.`)}
      />
    </>
  );
}
