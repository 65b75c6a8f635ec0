'use client';

import { useMemo } from 'react';
import { controlWords } from '@/core/chain';
import { padsOf, tagsOf, type Tag } from '@/core/controls';
import type { Control } from '@/core/setup';
import { useRig } from '../live/rigStore';
import { switchesOf } from '../live/switches';
import { DRAWN } from './drawn';
import { labelClass, layoutOf, PADS, roomsOf } from './layout';
import { LivePad } from './LivePad';

/** "Switch A" is "A" on the drawing, "Left slider" stays what it is. */
const shortLabel = ({ label }: Control): string =>
  /^(?:Switch|Momentary|Button|Knob) (\S{1,3})$/.exec(label)?.[1] ?? label;

/** What stands below a control on the front. */
export interface LabelProps {
  tag: Tag;
  /** Its name as short as the drawing has it. */
  short: string;
  /** Room there is, in percent of the front. */
  room: number;
}

/**
 * The transmitter's front under the hands: every control where it sits, alive.
 * @param Label what stands below each control; its name and what it does where nothing is given
 */
export function LiveFace({
  className = '',
  Label = PlainLabel,
}: {
  className?: string;
  Label?: React.ComponentType<LabelProps>;
}) {
  const setup = useRig((s) => s.setup);
  const spots = useMemo(() => layoutOf(setup.transmitter), [setup.transmitter]);
  const rooms = useMemo(() => roomsOf(spots), [spots]);
  const tags = useMemo(() => tagsOf(setup), [setup]);
  const switches = switchesOf(setup.transmitter.controls);
  return (
    <div
      role="group"
      aria-label="Transmitter"
      className={`@container relative rounded-[2rem_2rem_1.2rem_1.2rem] border-2 border-(--line) bg-(--shade) ${className}`}
    >
      {tags.map((tag) => {
        const at = spots.get(tag.control.id)!;
        return (
          <div
            key={tag.control.id}
            className="absolute -mt-1.5 -translate-x-1/2 -translate-y-1/2"
            style={{ left: `${at.x}%`, top: `${at.y}%` }}
          >
            <LiveControl
              tag={tag}
              room={rooms.get(tag.control.id)!}
              digit={switches.indexOf(tag.control) + 1}
              Label={Label}
            />
          </div>
        );
      })}
      {padsOf(setup.transmitter).map((pad) => (
        <div
          key={pad.side}
          className="absolute -translate-x-1/2 -translate-y-1/2"
          style={{ left: `${PADS[pad.side].x}%`, top: `${PADS[pad.side].y}%` }}
        >
          <LivePad pad={pad} />
        </div>
      ))}
    </div>
  );
}

function PlainLabel({ tag, short, room }: LabelProps) {
  const used = tag.purposes.length > 0;
  return (
    <span
      className={`${labelClass(short)} ${used ? 'font-bold' : 'text-soft'}`}
      style={{ width: `${room}cqw` }}
    >
      {short}
      {used && <span className="text-accent font-normal"> {tag.purposes[0]}</span>}
    </span>
  );
}

function LiveControl({
  tag,
  room,
  digit,
  Label,
}: {
  tag: Tag;
  room: number;
  digit: number;
  Label: React.ComponentType<LabelProps>;
}) {
  const { control } = tag;
  const value = useRig((s) => s.controls[control.id] ?? control.rest);
  const marked = useRig(
    (s) => s.pointed?.controls?.includes(control.id) || s.touched?.controls?.includes(control.id),
  );
  const setControl = useRig((s) => s.setControl);
  const touch = useRig((s) => s.touch);
  const put = (to: number) => {
    touch({ controls: [control.id] });
    setControl(control.id, to);
  };
  const used = tag.purposes.length > 0;
  const Drawn = DRAWN[control.kind];
  if (!Drawn) return null;
  return (
    <div
      data-control={control.id}
      className={`relative flex flex-col items-center rounded-md px-0.5 leading-none ${marked ? 'bg-card outline-3 outline-(--accent)' : ''}`}
      title={`${control.label}${digit >= 1 && digit <= 9 ? `, key ${digit}` : ''}${used ? `: ${tag.purposes.join(', ')}` : ', not used'}`}
    >
      <Drawn control={control} value={value} put={put} words={wordsAt(tag, value)} />
      <Label tag={tag} short={shortLabel(control)} room={room} />
    </div>
  );
}

/** "near: self-levelling" */
function wordsAt({ control, places }: Tag, value: number): string {
  const place = places.find((p) => p.value === value);
  const does = place && place.does.length > 0 ? `: ${place.does.join(', ')}` : '';
  return `${controlWords(control, value).slice(control.label.length).trim()}${does}`;
}
