'use client';

import {
  CANNOT,
  GAIN_CHOICES,
  PRESSABLE,
  SWITCHES,
  TURNABLE,
  combinations,
  gainSides,
  gainWays,
  gainsFor,
  positionsOfSwitches,
  usualGain,
} from '@/core/plan';
import { AXES, AXIS_NAMES, type GainWish, type Setup } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

type Put = (next: GainWish, label: string) => void;
type With<B extends GainWish['by']> = {
  setup: Setup;
  gain: Extract<GainWish, { by: B }>;
  put: Put;
};

/** "far 0 %, middle 35 %, near 55 %" */
function Shares({ setup, gain, put }: With<'values'> | With<'flap'>) {
  if (gain.control === '') return null;
  const { label } = setup.transmitter.controls.find((c) => c.id === gain.control)!;
  const places = combinations(setup, [gain.control]);
  return places.map(({ words }, i) => (
    <span key={words}>
      {words.slice(label.length + 1)}{' '}
      <NumberWord
        label={`gain, ${words}`}
        unit="%"
        at={`/intents/program/gain/pct/${i}`}
        as={gain.by}
        value={gain.pct[i] ?? 0}
        onCommit={(v) => {
          const pct = gain.pct.map((p, j) => (j === i ? v : p));
          put({ ...gain, pct }, `${words}: gain ${v} %`);
        }}
      />
      {i === places.length - 1 ? '' : ', '}
    </span>
  ));
}

function Amount({
  by,
  value,
  onCommit,
}: {
  by: 'fixed' | 'sets';
  value: number;
  onCommit: (pct: number) => void;
}) {
  return (
    <NumberWord
      label="gain"
      unit="%"
      at="/intents/program/gain/pct"
      as={by}
      value={value}
      onCommit={(v) => {
        onCommit(v);
      }}
    />
  );
}

function ByKnob({ setup, gain, put }: With<'knob'>) {
  const sided = setup.unit.traits.gainLaw === 'sign-selects-set';
  return (
    <>
      <ControlWord
        label="Gain knob"
        setup={setup}
        kinds={TURNABLE}
        value={gain.control}
        onPick={(control) => control && put({ ...gain, control }, 'Gain knob')}
      />{' '}
      from nothing to full
      {sided && (
        <>
          ; its centre is{' '}
          <PickWord
            label="Centre of the gain knob"
            value={gain.middleOff ? 'off' : 'half'}
            options={[
              { value: 'half', words: 'half the gain of one set' },
              { value: 'off', words: 'off, with a set on each side' },
            ]}
            onPick={(v) => {
              const { middleOff: _, ...rest } = gain;
              put(v === 'off' ? { ...rest, middleOff: true } : rest, 'Centre of the gain knob');
            }}
          />
          {gainSides(setup).map(({ hand, does }) => (
            <span key={hand}>
              , {hand}: {does}
            </span>
          ))}
        </>
      )}
    </>
  );
}

function ByValues({ setup, gain, put }: With<'values'>) {
  return (
    <>
      <ControlWord
        label="Gain switch"
        setup={setup}
        kinds={SWITCHES}
        value={gain.control}
        onPick={(control) =>
          control &&
          put({ ...gain, control, pct: gainsFor(setup, control, gain.pct) }, 'Gain switch')
        }
      />
      : <Shares setup={setup} gain={gain} put={put} />
    </>
  );
}

function ByFlap({ setup, gain, put }: With<'flap'>) {
  const places = gain.off === '' ? [] : combinations(setup, [gain.off]);
  return (
    <>
      <ControlWord
        label="Flap switch of the gain"
        setup={setup}
        kinds={SWITCHES}
        value={gain.control}
        onPick={(control) =>
          control &&
          put({ ...gain, control, pct: gainsFor(setup, control, gain.pct) }, 'Gain switch')
        }
      />
      : <Shares setup={setup} gain={gain} put={put} />; and off altogether by{' '}
      <ControlWord
        label="Master off of the gain"
        setup={setup}
        kinds={PRESSABLE}
        value={gain.off}
        onPick={(off) =>
          off &&
          put(
            { ...gain, off, offPositions: [positionsOfSwitches(setup, [off]) - 1] },
            'Master off of the gain',
          )
        }
      />{' '}
      {places.map(({ words }, i) => {
        const off = gain.offPositions.includes(i);
        const next = off ? gain.offPositions.filter((p) => p !== i) : [...gain.offPositions, i];
        return (
          <button
            key={words}
            type="button"
            className="btn mx-0.5 min-h-7 px-2 py-0 text-sm pointer-coarse:min-h-11"
            aria-pressed={off}
            disabled={next.length === 0 || next.length === places.length}
            onClick={() => put({ ...gain, offPositions: next.toSorted() }, `Gain off: ${words}`)}
          >
            off: {words}
          </button>
        );
      })}
    </>
  );
}

function BySets({ setup, gain, put }: With<'sets'>) {
  return (
    <>
      the side by{' '}
      <ControlWord
        label="Switch of the gain sets"
        setup={setup}
        kinds={SWITCHES}
        value={gain.control}
        onPick={(control) => control && put({ ...gain, control }, 'Switch of the gain sets')}
      />
      , the amount by{' '}
      <ControlWord
        label="Amount of the gain"
        setup={setup}
        kinds={TURNABLE}
        value={gain.knob}
        none="a fixed value"
        onPick={(knob) => {
          const { knob: _, ...rest } = gain;
          put(knob ? { ...rest, knob } : rest, 'Knob of the gain sets');
        }}
      />
      {!gain.knob && (
        <>
          {' '}
          of{' '}
          <Amount
            by="sets"
            value={gain.pct}
            onCommit={(pct) => put({ ...gain, pct }, `Gain ${pct} %`)}
          />
        </>
      )}
    </>
  );
}

function ByAxes({ setup, gain, put }: With<'axes'>) {
  return AXES.filter((axis) => setup.unit.traits.axes.includes(axis)).map((axis, i) => (
    <span key={axis}>
      {i > 0 && ', '}
      {AXIS_NAMES[axis]} by{' '}
      <ControlWord
        label={`Gain of ${AXIS_NAMES[axis]}`}
        setup={setup}
        kinds={TURNABLE}
        value={gain[axis]}
        none="the master gain"
        onPick={(id) => {
          const { [axis]: _, ...rest } = gain;
          put(id ? { ...rest, [axis]: id } : rest, `Gain of ${axis}`);
        }}
      />
    </span>
  ));
}

function Body({ setup, gain, put }: { setup: Setup; gain: GainWish; put: Put }) {
  switch (gain.by) {
    case 'knob':
      return <ByKnob setup={setup} gain={gain} put={put} />;
    case 'values':
      return <ByValues setup={setup} gain={gain} put={put} />;
    case 'flap':
      return <ByFlap setup={setup} gain={gain} put={put} />;
    case 'sets':
      return <BySets setup={setup} gain={gain} put={put} />;
    case 'axes':
      return <ByAxes setup={setup} gain={gain} put={put} />;
    case 'fixed':
      return (
        <Amount
          by="fixed"
          value={gain.pct}
          onCommit={(pct) => put({ ...gain, pct }, `Gain ${pct} %`)}
        />
      );
  }
}

const BY_WORDS: Record<GainWish['by'], string> = {
  knob: 'a knob or slider',
  values: 'fixed values on a switch',
  flap: 'the flap position, with a master off',
  axes: 'a knob for each axis',
  sets: 'two sets, one on each side of the middle',
  fixed: 'one fixed value',
};

function Says({ setup, wishes, wish }: Sentenced) {
  if (setup.unit.traits.gainLaw === 'fixed') return CANNOT.gain;
  const { gain } = wishes;
  const put: Put = (next, label) => wish({ ...wishes, gain: next }, label);
  return (
    <>
      The gain is set by{' '}
      <PickWord
        label="Gain set by"
        value={gain?.by}
        none="nothing yet"
        options={gainWays(setup).map((by) => ({
          value: by,
          words: BY_WORDS[by],
          more: GAIN_CHOICES[by].when,
        }))}
        onPick={(by) => put(usualGain(setup, by, wishes), `Gain: ${GAIN_CHOICES[by].title}`)}
      />
      {gain && (
        <>
          : <Body setup={setup} gain={gain} put={put} />
        </>
      )}
      .
    </>
  );
}

export const gain: Sentence = {
  applies: () => true,
  wished: () => true,
  controls: ({ gain: g }) =>
    !g || g.by === 'fixed'
      ? []
      : g.by === 'axes'
        ? AXES.map((a) => g[a])
        : [g.control, 'knob' in g ? g.knob : undefined, 'off' in g ? g.off : undefined],
  Says,
  when: (w) => w.gain && GAIN_CHOICES[w.gain.by].when,
};
