'use client';

import { Link } from '../parts/Link';
import { LIMIT_WORDS, LIMITS } from '@/core/settings';
import { pointer } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

/** How far a stick can ask, and where pitch follows the throttle. */
export function Limits() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { angleLimitsDeg, pitchWithThrottle } = setup.unit.settings;
  const follows = setup.unit.traits.extras.includes('pitch-with-throttle');
  return (
    <Section title="How far a stick can ask" className="card flex flex-col gap-3">
      <div className="grid grid-cols-3 items-end gap-2">
        {LIMITS.map((field) => (
          <NumberField
            key={field}
            label={LIMIT_WORDS[field]}
            unit="°"
            at={`/unit/settings/angleLimitsDeg/${field}`}
            value={angleLimitsDeg[field]}
            onCommit={(v) =>
              edit(
                [
                  {
                    op: 'replace',
                    path: pointer('unit', 'settings', 'angleLimitsDeg', field),
                    value: v,
                  },
                ],
                `Angle limit, ${LIMIT_WORDS[field]}: ${v}°`,
              )[0]?.reason
            }
          />
        ))}
      </div>
      <p className="text-soft text-sm">
        Usual: 60° of bank, 50° up, 40° down; some open them to 70, 60, 60 (common practice, no
        source). At 60° of bank a level turn weighs twice the model. Below full gain part of the
        stick stays direct, and full stick goes beyond the limit: see it at Fly.
      </p>
      {follows && (
        <p>
          {pitchWithThrottle
            ? `Pitch follows the throttle: ${pitchWithThrottle.fullThrottlePitchDeg}° at full, ${pitchWithThrottle.idlePitchDeg}° at idle.`
            : 'Pitch can follow the throttle on this unit, and does not.'}{' '}
          <Link className="underline" href={`/models/${id}/panic`}>
            Set it beside panic
          </Link>
        </p>
      )}
    </Section>
  );
}
