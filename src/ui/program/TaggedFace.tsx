'use client';

import { DropdownMenu } from 'radix-ui';
import { useMemo, useRef } from 'react';
import { switchPosition } from '@/core/chain';
import { padsOf, tagsOf, tagWords, type Pad, type Tag } from '@/core/controls';
import type { Setup, Transmitter } from '@/core/setup';
import { useStrings } from '../drawing/useStrings';
import { usePointing, useRig } from '../live/rigStore';
import { ControlMark } from '../transmitter/ControlMark';
import { shortLabel } from '../transmitter/LiveFace';
import { labelClass, layoutOf, PAD_ROOM, PADS, roomsOf } from '../transmitter/layout';
import { jobsFor } from './jobs';
import type { Sentenced } from './wishing';
import { HandMark, handKind } from '../transmitter/HandMark';

/** The transmitter as the person's own is laid out, with a tag on each control that does something. */
export function TaggedFace(props: Sentenced) {
  const { setup } = props;
  const tags = useMemo(() => tagsOf(setup), [setup]);
  const used = inRow(
    setup,
    tags.filter((t) => t.purposes.length > 0),
  );
  const spots = useMemo(() => layoutOf(setup.transmitter), [setup.transmitter]);
  const rooms = useMemo(() => roomsOf(spots), [spots]);
  const box = useRef<HTMLDivElement>(null);
  const strings = useStrings(
    box,
    used.map(({ control: { id } }) => ({
      from: `[data-tag="${id}"]`,
      to: `[data-control="${id}"]`,
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
      <div className="@container relative h-57 rounded-[3rem_3rem_1.5rem_1.5rem] border-2 border-(--ink) bg-(--shade)">
        {tags.map((tag) => {
          const at = spots.get(tag.control.id)!;
          return (
            <div
              key={tag.control.id}
              className="absolute -mt-1.5 -translate-x-1/2 -translate-y-1/2"
              style={{ left: `${at.x}%`, top: `${at.y}%` }}
            >
              <FaceControl tag={tag} room={rooms.get(tag.control.id)!} {...props} />
            </div>
          );
        })}
        {padsOf(setup.transmitter).map((pad) => (
          <div
            key={pad.side}
            className="absolute -mt-2 flex -translate-x-1/2 -translate-y-1/2 flex-col items-center"
            style={{ left: `${PADS[pad.side].x}%`, top: `${PADS[pad.side].y}%` }}
          >
            <PadMark pad={pad} transmitter={setup.transmitter} />
            <span className={`${labelClass('')} text-soft`} style={{ width: `${PAD_ROOM}cqw` }}>
              {[pad.across, pad.along]
                .flatMap((c) => (c ? [c.label.replace(' stick', '').toLowerCase()] : []))
                .join(' · ')}
            </span>
          </div>
        ))}
      </div>
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

/** A control on the front: press it to choose what it does. */
function FaceControl({ tag, room, ...props }: { tag: Tag; room: number } & Sentenced) {
  const { control } = tag;
  const value = useRig((s) => s.controls[control.id] ?? control.rest);
  const marked = useRig(
    (s) => s.pointed?.controls?.includes(control.id) || s.touched?.controls?.includes(control.id),
  );
  const pointing = usePointing();
  const used = tag.purposes.length > 0;
  return (
    <JobMenu tag={tag} {...props}>
      <button
        type="button"
        data-control={control.id}
        aria-label={`${tagWords(tag)}. Choose what it does`}
        className={`relative flex min-h-11 min-w-11 flex-col items-center justify-center rounded-md text-xs ${
          marked ? 'bg-card outline-3 outline-(--accent)' : 'hover:bg-(--card)'
        } ${used ? 'text-accent font-bold' : 'text-soft'}`}
        {...pointing({ controls: [control.id] })}
      >
        <ControlMark kind={control.kind} rest={value} />
        <span
          className={labelClass(shortLabel(control))}
          style={{ width: `${room}cqw` }}
          title={control.label}
        >
          {shortLabel(control)}
        </span>
      </button>
    </JobMenu>
  );
}

/** A stick as it stands on the rig. */
function PadMark({ pad, transmitter }: { pad: Pad; transmitter: Transmitter }) {
  const { across, along } = pad;
  const x = useRig((s) => (across ? (s.controls[across.id] ?? 0) : 0));
  const y = useRig((s) => (along ? (s.controls[along.id] ?? 0) : 0));
  const kind = handKind(pad, transmitter);
  if (kind !== 'stick')
    return (
      <span className="size-21">
        <HandMark kind={kind} value={kind === 'wheel' ? x : y} />
      </span>
    );
  return (
    <svg width={84} height={84} viewBox="-44 -44 88 88" aria-hidden>
      <rect
        x={-42}
        y={-42}
        width={84}
        height={84}
        rx={14}
        fill="var(--card)"
        stroke="var(--line)"
      />
      <path d="M-32 0H32M0-32V32" stroke="var(--card-edge)" />
      <circle cx={x * 0.28} cy={-y * 0.28} r={12} fill="var(--ink)" />
    </svg>
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
              key={job.words}
              checked={job.now}
              className="flex min-h-10 cursor-pointer items-center gap-2 rounded px-2 outline-none data-[highlighted]:bg-(--shade) pointer-coarse:min-h-11"
              onSelect={() => {
                if (!job.now) wish(job.next, `${tag.control.label}: ${job.words}`);
              }}
            >
              <span className="w-4">
                <DropdownMenu.ItemIndicator>✓</DropdownMenu.ItemIndicator>
              </span>
              {job.words}
            </DropdownMenu.CheckboxItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
