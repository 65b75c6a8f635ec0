'use client';

import { Radio, RadioTower } from 'lucide-react';
import { switchPosition, switchValue } from '@/core/chain';
import { functionOf, usesOf, type ChannelFunction, type Control, type Setup } from '@/core/setup';
import { StickPad } from './StickPad';
import { switchesOf } from './switches';
import type { RigHandle } from './useRig';

const POSITION_WORDS = { 2: ['far', 'near'], 3: ['far', 'middle', 'near'] } as const;

/** Purposes that say less than the channel does. */
const VAGUE: ReadonlySet<string> = new Set(['other', 'stick', 'mix']);

/** What a control is used for in this program, so that nobody has to remember it. */
function purposeOf(setup: Setup, id: string): string {
  const words = (usesOf(setup).get(id) ?? []).map((use) => {
    if (use.of !== 'channel') return use.of;
    const named = use.purpose !== undefined && !VAGUE.has(use.purpose);
    if (named) return use.purpose!.replace('-', ' ');
    return use.carries ? functionOf(use.carries).words : `channel ${use.channel}`;
  });
  return [...new Set(words)].join(', ');
}

type StickWorks = { across: ChannelFunction; along: ChannelFunction };

/** What the left and the right stick work, by the mode they are built for. */
const STICKS: Record<1 | 2 | 3 | 4, readonly [left: StickWorks, right: StickWorks]> = {
  1: [
    { across: 'rudder', along: 'elevator' },
    { across: 'aileron', along: 'throttle' },
  ],
  2: [
    { across: 'rudder', along: 'throttle' },
    { across: 'aileron', along: 'elevator' },
  ],
  3: [
    { across: 'aileron', along: 'elevator' },
    { across: 'rudder', along: 'throttle' },
  ],
  4: [
    { across: 'aileron', along: 'throttle' },
    { across: 'rudder', along: 'elevator' },
  ],
};

/** The transmitter under the hands: sticks, switches, knobs, the link. */
export function Hands({ setup, rig }: { setup: Setup; rig: RigHandle }) {
  const { controls } = setup.transmitter;
  const stick = (hand: string) => controls.find((c) => c.kind === 'stick' && c.hand === hand);
  const [left, right] = STICKS[setup.transmitter.stickMode ?? 2];
  const used = (c: Control) => purposeOf(setup, c.id) !== '';
  return (
    <section className="card" aria-label="Transmitter">
      <div className="flex flex-wrap items-start justify-center gap-6">
        <StickPad
          name="Left stick"
          across={stick(left.across)}
          along={stick(left.along)}
          rig={rig}
        />
        <div className="order-last flex min-w-0 flex-1 basis-96 flex-col gap-3 xl:order-none">
          <Controls setup={setup} rig={rig} only={used} />
          {controls.some((c) => MOVED.has(c.kind) && !used(c)) && (
            <details>
              <summary className="text-soft flex min-h-11 cursor-pointer items-center text-sm">
                Controls this program does not use
              </summary>
              <Controls setup={setup} rig={rig} only={(c) => !used(c)} />
            </details>
          )}
          <div className="flex flex-wrap gap-2">
            {controls
              .filter((c) => c.kind === 'momentary')
              .map((c) => (
                <button
                  key={c.id}
                  type="button"
                  className="btn text-sm"
                  aria-pressed={rig.controls[c.id]! > 0}
                  onPointerDown={() => rig.setControl(c.id, 100)}
                  onPointerUp={() => rig.setControl(c.id, -100)}
                  onPointerLeave={() => rig.setControl(c.id, -100)}
                  onKeyDown={(e) => {
                    if (e.key === ' ' || e.key === 'Enter') rig.setControl(c.id, 100);
                  }}
                  onKeyUp={() => rig.setControl(c.id, -100)}
                  onBlur={() => rig.setControl(c.id, -100)}
                >
                  {c.label}: hold
                  {purposeOf(setup, c.id) && <span>({purposeOf(setup, c.id)})</span>}
                </button>
              ))}
            <button
              type="button"
              className="btn text-sm"
              aria-pressed={!rig.linkUp}
              onClick={() => rig.setLink(!rig.linkUp)}
            >
              {rig.linkUp ? <RadioTower size={18} aria-hidden /> : <Radio size={18} aria-hidden />}
              {rig.linkUp ? 'Cut the link' : 'Link lost: restore it'}
            </button>
          </div>
        </div>
        <StickPad
          name="Right stick"
          across={stick(right.across) ?? stick('steering')}
          along={stick(right.along)}
          rig={rig}
        />
      </div>
    </section>
  );
}

const MOVED: ReadonlySet<string> = new Set(['switch-2', 'switch-3', 'knob', 'slider']);

function Controls({
  setup,
  rig,
  only,
}: {
  setup: Setup;
  rig: RigHandle;
  only: (control: Control) => boolean;
}) {
  const switches = switchesOf(setup.transmitter.controls);
  const turning = setup.transmitter.controls.filter(
    (c) => (c.kind === 'knob' || c.kind === 'slider') && only(c),
  );
  return (
    <div className="grid grid-cols-[repeat(auto-fill,minmax(11rem,1fr))] gap-2">
      {switches.filter(only).map((c) => (
        <SwitchControl
          key={c.id}
          control={c}
          purpose={purposeOf(setup, c.id)}
          digit={switches.indexOf(c) + 1}
          rig={rig}
        />
      ))}
      {turning.map((c) => (
        <label key={c.id} className="text-sm">
          <span className="font-semibold">{c.label}</span>{' '}
          <span className="text-accent">{purposeOf(setup, c.id)}</span>
          <span className="num float-right">{rig.controls[c.id]!.toFixed(0)} %</span>
          <input
            type="range"
            min={-100}
            max={100}
            value={rig.controls[c.id]}
            onChange={(e) => rig.setControl(c.id, Number(e.target.value))}
            className="h-11 w-full accent-(--accent)"
          />
        </label>
      ))}
    </div>
  );
}

function SwitchControl({
  control,
  purpose,
  digit,
  rig,
}: {
  control: Control;
  purpose: string;
  digit: number;
  rig: RigHandle;
}) {
  const count = control.kind === 'switch-3' ? 3 : 2;
  const position = switchPosition(control.kind, rig.controls[control.id]!);
  return (
    <fieldset>
      <legend className="text-sm">
        <span className="font-semibold">{control.label}</span>{' '}
        {digit <= 9 && <kbd className="text-soft font-num">{digit}</kbd>}{' '}
        <span className="text-accent">{purpose}</span>
      </legend>
      <div className="flex">
        {POSITION_WORDS[count].map((words, i) => (
          <label
            key={words}
            className="btn has-checked:bg-ink has-checked:text-card min-w-0 flex-1 rounded-none px-1 text-sm font-normal first:rounded-l-md last:rounded-r-md has-focus-visible:outline-3 has-focus-visible:outline-[var(--focus)]"
          >
            <input
              type="radio"
              name={`switch-${control.id}`}
              className="sr-only"
              checked={i === position}
              onChange={() => rig.setControl(control.id, switchValue(control.kind, i))}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
