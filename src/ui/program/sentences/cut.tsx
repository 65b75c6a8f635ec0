'use client';

import { positionWord, positionsOf } from '@/core/chain';
import { SWITCHES } from '@/core/plan';
import { PickWord } from '../../parts/PickWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

function Says({ setup, wishes, wish }: Sentenced) {
  const { cut } = wishes;
  const kind = setup.transmitter.controls.find((c) => c.id === cut?.control)?.kind;
  const places = kind
    ? Array.from({ length: positionsOf(kind) }, (_, p) => positionWord(kind, p))
    : [];
  return (
    <>
      <ControlWord
        label="Throttle cut on"
        setup={setup}
        kinds={SWITCHES}
        value={cut?.control}
        onPick={(control) =>
          control && wish({ ...wishes, cut: { control, position: 0 } }, 'Throttle cut switch')
        }
      />{' '}
      {cut && (
        <PickWord
          label="Motor held off in"
          value={String(cut.position)}
          options={places.map((words, i) => ({ value: String(i), words }))}
          onPick={(p) =>
            wish({ ...wishes, cut: { ...cut, position: Number(p) } }, 'Throttle cut position')
          }
        />
      )}{' '}
      holds the motor off.
    </>
  );
}

export const cut: Sentence = {
  applies: (setup) => setup.airframe.motors.length > 0,
  wished: () => true,
  controls: (w) => [w.cut?.control],
  Says,
};
