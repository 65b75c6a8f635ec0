'use client';

import { DropdownMenu } from 'radix-ui';
import { createContext, use, useMemo, useRef } from 'react';
import { switchPosition } from '@/core/chain';
import { tagsOf, tagWords, type Tag } from '@/core/controls';
import { jobsFor, type JobId } from '@/core/plan';
import type { Setup } from '@/core/setup';
import { useStrings } from '../drawing/useStrings';
import { usePointing, useRig } from '../live/rigStore';
import { labelClass, layoutOf } from '../transmitter/layout';
import { useFaceShown } from '../live/useFaceShown';
import { LiveFace, type LabelProps } from '../transmitter/LiveFace';
import type { Sentenced } from './wishing';

const JOB_WORDS: Record<JobId, string> = {
  modes: 'choose the mode',
  gain: 'set the gain',
  'gain-values': 'set the gain, a value for each position',
  panic: 'level the model in panic',
  cut: 'hold the motor off',
  flaps: 'control the flaps',
  gear: 'control the landing gear',
  rates: 'choose the rates',
  launch: 'help the hand launch',
};

const SentencedContext = createContext<Sentenced | undefined>(undefined);

/** The transmitter as the person's own is laid out, with a tag on each control that does something. */
export function TaggedFace(props: Sentenced) {
  const { setup } = props;
  const tags = useMemo(() => tagsOf(setup), [setup]);
  const used = inRow(
    setup,
    tags.filter((t) => t.purposes.length > 0),
  );
  const box = useRef<HTMLDivElement>(null);
  useFaceShown(box);
  const strings = useStrings(
    box,
    used.map(({ control: { id } }) => ({
      from: `[data-tag="${id}"]`,
      to: `[data-control="${id}"]`,
      round: '[data-control], [data-pad]',
      way: 'down' as const,
    })),
  );
  return (
    <section ref={box} className="relative mb-4" aria-label="Your transmitter">
      <ul
        className="relative z-10 mb-7 grid gap-1.5 [grid-template-columns:repeat(var(--tags),minmax(0,1fr))] @max-lg:mb-2 @max-lg:[grid-template-columns:1fr_1fr]"
        style={{ '--tags': inOneRow(used.length) } as React.CSSProperties}
      >
        {used.map((tag) => (
          <li key={tag.control.id} className="min-w-0">
            <TagCard tag={tag} {...props} />
          </li>
        ))}
      </ul>
      <SentencedContext value={props}>
        <LiveFace className="h-72" Label={ChosenLabel} />
      </SentencedContext>
      <svg
        className="pointer-events-none absolute inset-0 h-full w-full overflow-visible @max-lg:hidden"
        aria-hidden
      >
        {strings.map((d, i) => (
          <path key={i} d={d} fill="none" stroke="var(--line)" strokeWidth={1.4} />
        ))}
      </svg>
    </section>
  );
}

/** How many tags stand beside each other: all of them while they can be read, else two rows. */
const inOneRow = (tags: number): number => Math.max(3, tags <= 6 ? tags : Math.ceil(tags / 2));

/** Tags in the order their controls stand from left to right, so that no two strings cross. */
function inRow(setup: Setup, tags: readonly Tag[]): Tag[] {
  const spots = layoutOf(setup.transmitter);
  return tags.toSorted((a, b) => spots.get(a.control.id)!.x - spots.get(b.control.id)!.x);
}

/** What one control does, place by place; the place where it stands on the rig is marked. */
function TagCard({ tag, ...props }: { tag: Tag } & Sentenced) {
  const { control, purposes, places } = tag;
  const pointing = usePointing();
  const value = useRig((s) => s.controls[control.id] ?? control.rest);
  const switched = control.kind === 'switch-2' || control.kind === 'switch-3';
  const here = places.find(
    (p) =>
      switched && switchPosition(control.kind, p.value) === switchPosition(control.kind, value),
  );
  return (
    <JobMenu tag={tag} {...props}>
      <button
        type="button"
        data-tag={control.id}
        className="flex h-full w-full flex-col rounded-[3px_12px_3px_3px] border-[1.5px] border-(--line) bg-(--card) px-2 py-1 text-left text-[0.82rem] leading-snug hover:border-(--accent)"
        {...pointing({ controls: [control.id] })}
      >
        <span className="block font-bold">
          {control.label} · {purposes[0]}
        </span>
        {places
          .filter((p) => p.does.length > 0)
          .map((p) => (
            <span
              key={p.place}
              className={`block ${p === here ? 'text-accent font-semibold' : ''}`}
            >
              {p.place} <strong>{p.does.join(', ')}</strong>
              {p === here && <span> ◂ now</span>}
            </span>
          ))}
      </button>
    </JobMenu>
  );
}

/** The name of a control on the front: press it to choose what it does. */
function ChosenLabel({ tag, short, room }: LabelProps) {
  const sentenced = use(SentencedContext);
  const pointing = usePointing();
  if (!sentenced) return null;
  const used = tag.purposes.length > 0;
  return (
    <JobMenu tag={tag} {...sentenced}>
      <button
        type="button"
        aria-label={`${tagWords(tag)}. Choose what it does`}
        className={`${labelClass(short)} min-h-6 rounded hover:bg-(--card) hover:underline pointer-coarse:min-h-9 ${
          used ? 'text-accent font-bold' : 'text-soft'
        }`}
        style={{ width: `${room}cqw` }}
        {...pointing({ controls: [tag.control.id] })}
      >
        {short}
        {used && <span className="font-normal"> {tag.purposes[0]}</span>}
      </button>
    </JobMenu>
  );
}

/** What a control could be made to do; what it does now is ticked. */
function JobMenu({
  tag,
  setup,
  wishes,
  wish,
  children,
}: { tag: Tag; children: React.ReactNode } & Sentenced) {
  const jobs = jobsFor(setup, wishes, tag.control);
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>{children}</DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content
          className="card z-50 min-w-56 p-1 shadow-lg"
          sideOffset={4}
          collisionPadding={8}
        >
          <DropdownMenu.Label className="px-2 py-1 font-bold">
            {tag.control.label} shall …
          </DropdownMenu.Label>
          {jobs.length === 0 && (
            <p className="text-soft px-2 py-1 text-sm">
              This control has no possible use on this model.
            </p>
          )}
          {jobs.map((job) => (
            <DropdownMenu.CheckboxItem
              key={job.id}
              checked={job.now}
              className="flex min-h-10 cursor-pointer items-center gap-2 rounded px-2 outline-none data-[highlighted]:bg-(--shade) pointer-coarse:min-h-11"
              onSelect={() => {
                if (!job.now) wish(job.next, `${tag.control.label}: ${JOB_WORDS[job.id]}`);
              }}
            >
              <span className="w-4">
                <DropdownMenu.ItemIndicator>✓</DropdownMenu.ItemIndicator>
              </span>
              {JOB_WORDS[job.id]}
            </DropdownMenu.CheckboxItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
