'use client';

import { Minus, Plus } from 'lucide-react';
import { isUpright, longerPulseTurns, MOVEMENT_WORDS, type Movement } from '@/core/chain';
import { MOST_GANGED, withoutServo, withServo } from '@/core/model';
import { driveAt, drivesOf, pointer, type Surface } from '@/core/setup';
import { Refusals } from '../open/useRefit';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';
import { useBuild } from './Building';
import { Lead } from './Lead';

/** The servos of a part: what each lead carries, and of several, which way each turns the part. */
export function Servos({ surface, at }: { surface: Surface; at: number }) {
  const { airframe } = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { build, reasons } = useBuild();
  const part = surface.label.toLowerCase();
  const drives = drivesOf(surface).map((drive, d) => ({
    drive,
    d,
    servo: airframe.servos.find((s) => s.id === drive.servo)!,
  }));
  const ends: readonly [Movement, Movement] = isUpright(surface)
    ? ['left', 'right']
    : ['down', 'up'];
  const first = longerPulseTurns(airframe, surface);
  const turn = ({ drive, d, servo }: (typeof drives)[number]) =>
    edit(
      [
        {
          op: 'replace',
          path: pointer('airframe', 'surfaces', at, ...driveAt(d), 'linkage', 'sense'),
          value: drive.linkage.sense === 'same' ? 'opposite' : 'same',
        },
      ],
      `${servo.label}: its rod on the other side of its arm`.slice(0, 80),
    );
  return (
    <div className="flex flex-col gap-3">
      <Lead of={surface.servo} />
      {drives.slice(1).map(({ servo, drive, d }) => (
        <fieldset
          key={servo.id}
          className="flex flex-col gap-2 rounded border border-(--card-edge) p-2"
        >
          <legend className="px-1 font-semibold">{servo.label}</legend>
          <label className="flex flex-col gap-1 text-sm font-semibold">
            a longer pulse turns the {part}
            <Select
              value={String(longerPulseTurns(airframe, drive))}
              onChange={() => turn({ servo, drive, d })}
            >
              {([1, -1] as const).map((way) => (
                <option key={way} value={way}>
                  {way === first
                    ? `${MOVEMENT_WORDS[ends[way > 0 ? 0 : 1]]}, as at the first servo`
                    : `${MOVEMENT_WORDS[ends[way > 0 ? 0 : 1]]}, against the first servo`}
                </option>
              ))}
            </Select>
          </label>
          <Lead of={servo.id} />
          <button
            type="button"
            className="btn self-start"
            onClick={() =>
              build(withoutServo(airframe, surface.id, servo.id), `${servo.label} removed`)
            }
          >
            <Minus size={18} aria-hidden /> Remove the {servo.label.toLowerCase()}
          </button>
        </fieldset>
      ))}
      {drives.length < MOST_GANGED && (
        <button
          type="button"
          className="btn self-start"
          onClick={() => build(withServo(airframe, surface.id), `One more servo on the ${part}`)}
        >
          <Plus size={18} aria-hidden /> One more servo on the {part}
        </button>
      )}
      <Refusals reasons={reasons} />
    </div>
  );
}
