'use client';

import { Link } from '../parts/Link';
import { useMemo } from 'react';
import { checklist } from '@/core/logbook';
import { flies } from '@/core/motion';
import { pointer } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { WhenProved } from '../open/verdict';
import { PanicFlown } from '../fly/PanicFlown';
import { PitchChart } from './PitchChart';
import { TestScript } from '../checks/TestScript';
import { Section } from '../parts/Section';

/** Panic recovery: limits, what it costs in height, and the test with the model in hand. */
export function PanicStation() {
  return (
    <WhenProved>
      <Panic />
    </WhenProved>
  );
}

function Panic() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const edit = useModel((s) => s.edit);
  const script = useMemo(() => checklist(setup, evidence, 'panic'), [setup, evidence]);
  const { settings, traits } = setup.unit;
  const own = setup.program.outputs.some((o) => o.carries === 'recovery');
  const set = (path: string, value: number, label: string) =>
    edit([{ op: 'replace', path, value }], label)[0]?.reason;
  const limits = own && settings.recovery ? settings.recovery : undefined;

  if (script.length === 0)
    return (
      <div className="card max-w-2xl">
        <p className="text-lg">This model has no panic recovery.</p>
        <p className="text-soft mt-1">
          {traits.modes.includes('level')
            ? 'The unit can level the model: a control held can bring that from anywhere.'
            : 'The unit cannot level a model, so there is nothing panic could call.'}
        </p>
        {traits.modes.includes('level') && (
          <Link href={`/models/${id}/program`} className="btn btn-main mt-3">
            Choose one at Program
          </Link>
        )}
      </div>
    );
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <TestScript title="With the model in hand, propeller off" steps={script} />
      <aside className="flex flex-col gap-4">
        <Section title="What the stick can still ask" className="card flex flex-col gap-3">
          <div className="grid grid-cols-2 items-end gap-2">
            {limits ? (
              <>
                <NumberField
                  label="bank up to"
                  unit="°"
                  at="/unit/settings/recovery/rollLimitDeg"
                  value={limits.rollLimitDeg}
                  onCommit={(v) =>
                    set(
                      pointer('unit', 'settings', 'recovery', 'rollLimitDeg'),
                      v,
                      `Recovery bank ${v}°`,
                    )
                  }
                />
                <NumberField
                  label="pitch up to"
                  unit="°"
                  at="/unit/settings/recovery/pitchLimitDeg"
                  value={limits.pitchLimitDeg}
                  onCommit={(v) =>
                    set(
                      pointer('unit', 'settings', 'recovery', 'pitchLimitDeg'),
                      v,
                      `Recovery pitch ${v}°`,
                    )
                  }
                />
                <NumberField
                  label="unit waits"
                  unit="ms"
                  at="/unit/settings/recovery/delayMs"
                  step={50}
                  value={limits.delayMs}
                  onCommit={(v) =>
                    set(
                      pointer('unit', 'settings', 'recovery', 'delayMs'),
                      v,
                      `Recovery after ${v} ms`,
                    )
                  }
                />
              </>
            ) : (
              <NumberField
                label="bank up to"
                unit="°"
                at="/unit/settings/angleLimitsDeg/roll"
                value={settings.angleLimitsDeg.roll}
                onCommit={(v) => set('/unit/settings/angleLimitsDeg/roll', v, `Bank limit ${v}°`)}
              />
            )}
          </div>
          <p className="text-soft text-sm">
            {limits
              ? 'These hold while recovery acts, whatever the mode switch says.'
              : 'Panic calls self-levelling, so its own limits hold, in panic and out of it.'}{' '}
            In panic the stick is often fully over: about 15° cannot hurt (common practice, no
            source).
          </p>
        </Section>
        {flies(setup) && <PanicFlown setup={setup} />}
        {traits.extras.includes('pitch-with-throttle') && <PitchWithPower />}
      </aside>
    </div>
  );
}

const USUAL_PITCH = {
  aboveThrottlePct: 51,
  fullThrottlePitchDeg: 15,
  belowThrottlePct: 30,
  idlePitchDeg: -2,
};

/** Pitch target that follows the throttle, drawn. */
function PitchWithPower() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const curve = setup.unit.settings.pitchWithThrottle;
  const path = '/unit/settings/pitchWithThrottle';
  const field = (key: keyof typeof USUAL_PITCH, label: string, unit: string) => (
    <NumberField
      key={key}
      label={label}
      unit={unit}
      at={`/unit/settings/pitchWithThrottle/${key}`}
      value={curve![key]}
      onCommit={(v) =>
        edit([{ op: 'replace', path: `${path}/${key}`, value: v }], `${label} ${v} ${unit}`)[0]
          ?.reason
      }
    />
  );
  return (
    <Section title="Pitch with power" className="card flex flex-col gap-3">
      {curve ? (
        <>
          <PitchChart curve={curve} />
          <div className="grid grid-cols-2 items-end gap-2">
            {field('aboveThrottlePct', 'rises above', '%')}
            {field('fullThrottlePitchDeg', 'to, at full', '°')}
            {field('belowThrottlePct', 'falls below', '%')}
            {field('idlePitchDeg', 'to, at idle', '°')}
          </div>
          <button
            type="button"
            className="btn"
            onClick={() => edit([{ op: 'remove', path }], 'Pitch no longer follows the throttle')}
          >
            Switch it off
          </button>
        </>
      ) : (
        <>
          <p className="text-soft text-sm">
            In self-levelling the nose can rise with the throttle and sink with it, so that power
            climbs and idle does not stall.
          </p>
          <button
            type="button"
            className="btn self-start"
            onClick={() =>
              edit([{ op: 'add', path, value: USUAL_PITCH }], 'Pitch follows the throttle')
            }
          >
            Let pitch follow the throttle
          </button>
        </>
      )}
    </Section>
  );
}
