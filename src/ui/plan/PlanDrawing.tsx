'use client';

import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
  type DragOverEvent,
} from '@dnd-kit/core';
import { useId, useRef, useState } from 'react';
import { applyPatch } from '@/core/patch';
import { planFor, type ChannelPlan } from '@/core/plan';
import { parseSetup, type ChannelFunction } from '@/core/setup';
import { drawn, leadMoved, leadsOf, portFor } from '@/core/wiring';
import { useStrings, type Joined } from '../drawing/useStrings';
import { useModel } from '../open/modelStore';
import { ChannelSlot } from './ChannelSlot';
import { LeadEnd } from './LeadEnd';
import { PlugSlot } from './PlugSlot';
import { pinned, useReplan } from './useReplan';

/** What is dragged: a function to another channel, or what depends on a plug to another plug. */
type Held = { function: ChannelFunction } | { plug: string };
const heldOf = (id: string): Held => {
  const [what, name] = [id.slice(0, id.indexOf(':')), id.slice(id.indexOf(':') + 1)];
  return what === 'function' ? { function: name as ChannelFunction } : { plug: name };
};

/** One key press moves what is held by this much, a slot of the drawing. */
const KEY_STEP_PX = 42;

/** Channels on the left, the unit's plugs in the middle, servos on the right, the leads between. */
export function PlanDrawing({
  plan,
  say,
}: {
  plan: ChannelPlan;
  /** Says what went wrong, or nothing any more. */
  say: (words: string | undefined) => void;
}) {
  const id = useId();
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { pin } = useReplan();
  const [over, setOver] = useState<{ at: string; no: string | undefined }>();
  const box = useRef<HTMLDivElement>(null);
  const leads = leadsOf(setup);
  const { outputs } = setup.program;
  const channels = Array.from({ length: setup.transmitter.channels }, (_, i) => i + 1);
  const paths = useStrings(box, [
    ...outputs.map((o): Joined => ({
      from: `[data-channel="${o.channel}"]`,
      to: `[data-plug="${portFor(setup, o.carries) ?? 'itself'}"]`,
      way: 'across',
    })),
    ...leads.flatMap((l) =>
      l.ends.map((end): Joined => ({
        from: `[data-plug="${l.port}"]`,
        to: `[data-end="${quoted(end)}"]`,
        way: 'across',
      })),
    ),
  ]);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: (event, { currentCoordinates: { x, y } }) =>
        event.code === 'ArrowUp'
          ? { x, y: y - KEY_STEP_PX }
          : event.code === 'ArrowDown'
            ? { x, y: y + KEY_STEP_PX }
            : undefined,
    }),
  );
  /** Why what is held cannot go there; undefined where it can. */
  const whyNot = (held: Held, target: string): string | undefined => {
    if ('function' in held) {
      const channel = Number(target.replace('channel:', ''));
      if (!target.startsWith('channel:')) return 'A function goes on a channel.';
      return planFor(setup, setup.intents.wishes, pinned(setup, held.function, channel))
        .impossible[0];
    }
    if (!target.startsWith('plug:')) return 'A lead goes into a plug.';
    const read = parseSetup(applyPatch(setup, leadMoved(setup, held.plug, target.slice(5))));
    return read.ok ? undefined : read.problems[0]!.reason;
  };
  const onOver = ({ active, over: on }: DragOverEvent) =>
    setOver(
      on ? { at: String(on.id), no: whyNot(heldOf(String(active.id)), String(on.id)) } : undefined,
    );
  const onEnd = ({ active, over: on }: DragEndEvent) => {
    setOver(undefined);
    if (!on) return;
    const held = heldOf(String(active.id));
    const target = String(on.id);
    const no = whyNot(held, target);
    say(no);
    if (no) return;
    if ('function' in held) {
      const channel = Number(target.slice(8));
      if (outputs.find((o) => o.carries === held.function)?.channel !== channel)
        pin(held.function, channel);
    } else if (target.slice(5) !== held.plug)
      edit(leadMoved(setup, held.plug, target.slice(5)), 'Lead moved to another plug');
  };
  const free = channels.filter((c) => !outputs.some((o) => o.channel === c));
  return (
    <DndContext
      id={id}
      sensors={sensors}
      onDragOver={onOver}
      onDragEnd={onEnd}
      onDragCancel={() => setOver(undefined)}
      accessibility={{
        screenReaderInstructions: {
          draggable:
            'Press space to pick this up, the arrow keys to move it up and down, space again to put it down, escape to cancel.',
        },
      }}
    >
      <div ref={box} className="relative">
        <svg
          className="pointer-events-none absolute inset-0 h-full w-full overflow-visible"
          aria-hidden
        >
          {paths.map((d, i) => (
            <path
              key={i}
              d={d}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={2}
              // Where the channels stand above the unit each says its plug in words.
              className={i < outputs.length ? '@max-lg:hidden' : undefined}
            />
          ))}
        </svg>
        <div className="relative grid grid-cols-[minmax(0,1.35fr)_minmax(0,1fr)_minmax(0,1.1fr)] items-start gap-x-8 @max-lg:grid-cols-2 @max-lg:gap-y-4">
          <section aria-label="Channels" className="@max-lg:col-span-2">
            <h2 className="text-soft font-sans text-sm font-semibold">Channels</h2>
            <ol className="flex flex-col">
              {channels
                .filter((c) => !free.includes(c))
                .map((c) => (
                  <ChannelSlot key={c} channel={c} plan={plan} over={over} />
                ))}
            </ol>
            {free.length > 0 && (
              <>
                <h3 className="text-soft mt-2 font-sans text-sm">Free</h3>
                <ol className="flex flex-wrap gap-1">
                  {free.map((c) => (
                    <ChannelSlot key={c} channel={c} plan={plan} over={over} />
                  ))}
                </ol>
              </>
            )}
          </section>
          <section aria-label="The unit’s plugs">
            <h2 className="text-soft truncate font-sans text-sm font-semibold">
              {setup.unit.name}
            </h2>
            <ol className="rounded-md border-2 border-(--ink) bg-(--shade) py-1">
              {setup.unit.traits.ports.map((port) => (
                <PlugSlot
                  key={port.id}
                  port={port}
                  lead={leads.find((l) => l.port === port.id)}
                  over={over}
                />
              ))}
              {outputs.some((o) => portFor(setup, o.carries) === undefined) && (
                <li
                  data-plug="itself"
                  className="text-soft flex min-h-10 items-center border-t border-(--card-edge) px-2 text-sm"
                >
                  used inside the unit
                </li>
              )}
            </ol>
          </section>
          <section aria-label="Servos and motors">
            <h2 className="text-soft font-sans text-sm font-semibold">Servos and motors</h2>
            <ol>
              {leads.flatMap((l) => l.ends.map((end) => <LeadEnd key={end} lead={l} end={end} />))}
              {drawn(setup).unplugged.map((label) => (
                <li key={label} className="text-stop min-h-10 px-2">
                  {label}: not plugged in
                </li>
              ))}
            </ol>
          </section>
        </div>
      </div>
      <p className="text-soft min-h-6 text-sm" aria-live="polite">
        {over?.no ??
          'Drag a function to another channel, or a lead to another plug. With keys: space, arrows, space.'}
      </p>
    </DndContext>
  );
}

/** A label as it may stand in a selector. */
const quoted = (label: string) => label.replace(/["\\]/g, '\\$&');
