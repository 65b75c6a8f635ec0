'use client';

import { positionWord, positionsOf } from '@/core/chain';
import { LAUNCH_WHEN } from '@/core/plan';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { ControlSelect, PRESSABLE, SWITCHES } from './ControlSelect';
import type { Wishing } from './useWishes';

/** Throttle cut: on which switch, in which position the motor is held off. */
export function CutWishes({ setup, wishes, wish }: Wishing) {
  if (setup.airframe.motors.length === 0)
    return <p className="text-soft">This model has no motor.</p>;
  const { cut } = wishes;
  const kind = setup.transmitter.controls.find((c) => c.id === cut?.control)?.kind;
  const places = kind
    ? Array.from({ length: positionsOf(kind) }, (_, p) => positionWord(kind, p))
    : [];
  return (
    <div className="grid items-end gap-2 @lg:grid-cols-2">
      <ControlSelect
        label="Throttle cut on"
        setup={setup}
        kinds={SWITCHES}
        value={cut?.control}
        onChange={(control) =>
          wish({ ...wishes, cut: { control, position: 0 } }, 'Throttle cut switch')
        }
      />
      {cut && (
        <Choice
          label="Motor held off in"
          value={String(cut.position)}
          options={places.map((words, i) => [String(i), words] as const)}
          onChange={(p) =>
            wish({ ...wishes, cut: { ...cut, position: Number(p) } }, 'Throttle cut position')
          }
        />
      )}
    </div>
  );
}

/** Hand-launch help. */
export function LaunchWishes({ setup, wishes, wish }: Wishing) {
  const { launch } = wishes;
  const put = (next: NonNullable<typeof launch>, label: string) =>
    wish({ ...wishes, launch: next }, label);
  const number = (
    key: 'holdS' | 'elevatorPct' | 'releasePct',
    label: string,
    unit: string,
    step = 1,
  ) => (
    <NumberField
      key={key}
      label={label}
      unit={unit}
      at={`/intents/program/launch/${key}`}
      step={step}
      value={launch![key]}
      onCommit={(v) => {
        put({ ...launch!, [key]: v }, `${label} ${v} ${unit}`);
        return undefined;
      }}
    />
  );
  return (
    <div className="flex flex-col gap-3">
      <ControlSelect
        label="Launch help by holding"
        setup={setup}
        kinds={PRESSABLE}
        value={launch?.control}
        none="no launch help"
        onChange={(control) => {
          const { launch: _, ...rest } = wishes;
          wish(
            control
              ? {
                  ...rest,
                  launch: { holdS: 1, elevatorPct: 25, releasePct: 10, ...launch, control },
                }
              : rest,
            control ? 'Launch help' : 'No launch help',
          );
        }}
      />
      {launch && (
        <div className="grid grid-cols-2 items-end gap-2 @lg:grid-cols-4">
          {number('holdS', 'held for', 's', 0.1)}
          {number('elevatorPct', 'up elevator', '%')}
          {number('releasePct', 'let go beyond', '%')}
          <ControlSelect
            label="Shifted by"
            setup={setup}
            kinds={['trim']}
            value={launch.adjust}
            none="no trim"
            onChange={(adjust) => {
              const { adjust: _, ...rest } = launch;
              put(adjust ? { ...rest, adjust } : rest, 'Trim of the launch elevator');
            }}
          />
        </div>
      )}
      <p className="text-soft text-sm">{LAUNCH_WHEN}</p>
    </div>
  );
}

/** Spoken call-outs and the motor timer. */
export function VoiceWishes({ wishes, wish }: Wishing) {
  const { timer, voice: _, ...others } = wishes;
  const { timer: __, ...untimed } = wishes;
  return (
    <div className="grid items-end gap-3 @lg:grid-cols-2">
      <Choice
        label="Speak mode and gain"
        value={wishes.voice?.modes ? 'yes' : 'no'}
        options={[
          ['no', 'no'],
          ['yes', 'yes'],
        ]}
        onChange={(v) =>
          wish(
            {
              ...others,
              ...(timer ? { timer } : {}),
              voice: { ...wishes.voice, modes: v === 'yes' },
            },
            `Call-outs: ${v}`,
          )
        }
      />
      <Choice
        label="Speak the gain when it has been moved"
        value={wishes.voice?.gainMoved ? 'yes' : 'no'}
        options={[
          ['no', 'no'],
          ['yes', 'yes'],
        ]}
        onChange={(v) =>
          wish(
            {
              ...wishes,
              voice: {
                modes: wishes.voice?.modes ?? false,
                ...(v === 'yes' ? { gainMoved: true } : {}),
              },
            },
            `Moved gain spoken: ${v}`,
          )
        }
      />
      <div className="flex items-end gap-2">
        <Choice
          label="Motor timer"
          value={timer === undefined ? 'no' : 'yes'}
          options={[
            ['no', 'none'],
            ['yes', 'runs with the throttle'],
          ]}
          onChange={(v) =>
            wish(v === 'yes' ? { ...wishes, timer: { minutes: 8 } } : untimed, `Motor timer: ${v}`)
          }
        />
        {timer !== undefined && (
          <NumberField
            label="after"
            unit="min"
            at="/intents/program/timer/minutes"
            step={0.5}
            value={timer.minutes}
            onCommit={(minutes) => {
              wish({ ...wishes, timer: { minutes } }, `Timer ${minutes} min`);
              return undefined;
            }}
          />
        )}
      </div>
    </div>
  );
}
