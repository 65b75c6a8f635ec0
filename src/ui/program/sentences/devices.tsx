'use client';

import { placesOf } from '@/core/chain';
import { PRESSABLE, SWITCHES, TURNABLE, flapsOn } from '@/core/plan';
import type { ControlKind, Setup } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

const has = (setup: Setup, ...functions: string[]) =>
  setup.program.outputs.some((o) => functions.includes(o.carries));

function Flaps({ setup, wishes, wish }: Sentenced) {
  const { flaps: f } = wishes;
  const control = setup.transmitter.controls.find((c) => c.id === f?.control);
  const places = control ? placesOf(control.kind).map(([words]) => words) : [];
  return (
    <>
      <ControlWord
        label="Flaps by"
        setup={setup}
        kinds={[...SWITCHES, ...TURNABLE]}
        value={f?.control}
        onPick={(id) =>
          id && wish({ ...wishes, flaps: flapsOn(setup, id, wishes.flaps) }, 'Flap control chosen')
        }
      />{' '}
      controls the flaps
      {f && (
        <>
          :{' '}
          {places.map((words, i) => (
            <span key={words}>
              {i > 0 && ', '}
              {words}{' '}
              <NumberWord
                label={`flaps down, ${words}`}
                unit="%"
                at="/intents/program/flaps/downPct/0"
                value={f.downPct[i]!}
                onCommit={(v) => {
                  const downPct = f.downPct.map((p, j) => (j === i ? v : p));
                  wish({ ...wishes, flaps: { ...f, downPct } }, `${words}: flaps ${v} % down`);
                }}
              />{' '}
              down
            </span>
          ))}
        </>
      )}
      {f && has(setup, 'flap') && (
        <>
          , in{' '}
          <NumberWord
            label="flaps from up to down"
            unit="s"
            at="/intents/program/flaps/seconds"
            step={0.5}
            value={f.seconds ?? 0}
            onCommit={(seconds) => {
              wish({ ...wishes, flaps: { ...f, seconds } }, `Flaps take ${seconds} s`);
            }}
          />
        </>
      )}
      .
    </>
  );
}

export const flaps: Sentence = {
  applies: (setup) => has(setup, 'flap', 'flaperon-left'),
  wished: () => true,
  controls: (w) => [w.flaps?.control],
  Says: Flaps,
};

/** A device that one control works: gear, a wheel brake, a capture channel. */
function device(
  id: 'gear' | 'brake' | 'capture',
  words: string,
  kinds: readonly ControlKind[],
): Sentence {
  return {
    applies: (setup) => has(setup, id),
    wished: () => true,
    controls: (w) => [w[id]?.control],
    Says: ({ setup, wishes, wish }) => (
      <>
        <ControlWord
          label={`Control: ${words}`}
          setup={setup}
          kinds={kinds}
          value={wishes[id]?.control}
          onPick={(control) =>
            control && wish({ ...wishes, [id]: { ...wishes[id], control } }, `Control: ${words}`)
          }
        />{' '}
        {words}.
      </>
    ),
  };
}

export const gear = device('gear', 'controls the landing gear', [...SWITCHES, ...TURNABLE]);
export const brake = device('brake', 'controls the wheel brake', [...PRESSABLE, ...TURNABLE]);
export const capture = device('capture', 'switches the capture channel', PRESSABLE);
