'use client';

import { setSteeringEnds, type SteeringEnd } from '@/core/plan';
import { useModel } from '../open/modelStore';
import { StatusMark } from '../status/StatusMark';
import { Section } from '../parts/Section';

const MARKS = { past: 'stop', short: 'caution', at: 'proven', never: 'caution' } as const;

/** Both ends: where the servo is sent, where the stop is, and the endpoint that brings them together. */
export function Ends({ ends }: { ends: readonly SteeringEnd[] }) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const step = setup.transmitter.stepPct ?? 1;
  const open = ends.filter((e) => e.end && Math.abs(e.end.pct - e.end.now) >= step / 2);
  return (
    <Section title="Endpoints at the stop">
      <ul className="mt-1 grid gap-3 @lg:grid-cols-2">
        {ends.map(({ to, servoDeg, lockDeg, beyondDeg, stands, reserveDeg, wheels, end }) => (
          <li key={to}>
            <p className="font-bold">Full {to}</p>
            {lockDeg === undefined ? (
              <StatusMark status="caution" words="the servo stops short" />
            ) : (
              <>
                <p>
                  <StatusMark
                    status={MARKS[stands]}
                    words={
                      stands === 'past'
                        ? `held ${beyondDeg.toFixed(0)}° past the stop`
                        : stands === 'short'
                          ? `${(-beyondDeg).toFixed(0)}° short of the stop`
                          : 'at the stop, and no further'
                    }
                  />
                </p>
                <p className="text-soft text-sm">
                  Servo sent to <span className="num">{servoDeg.toFixed(0)}°</span>, stop at{' '}
                  <span className="num">{lockDeg.toFixed(0)}°</span>; it could turn{' '}
                  <span className="num">{reserveDeg.toFixed(0)}°</span> more. Left wheel{' '}
                  {Math.abs(wheels.left).toFixed(0)}°, right wheel{' '}
                  {Math.abs(wheels.right).toFixed(0)}°.
                </p>
                {end && (
                  <p>
                    End{' '}
                    <strong className="num">
                      {end.now === end.pct ? `${end.now} %` : `${end.now} → ${end.pct} %`}
                    </strong>
                  </p>
                )}
              </>
            )}
          </li>
        ))}
      </ul>
      {open.length > 0 && (
        <button
          type="button"
          className="btn btn-main mt-2"
          onClick={() =>
            void edit(
              setSteeringEnds(setup),
              `Steering ends ${ends.flatMap((e) => (e.end ? [`${e.to} ${e.end.pct} %`] : [])).join(', ')}`,
            )
          }
        >
          Set {open.length === 1 ? `the ${open[0]!.to} end` : 'both ends'} to the stop
        </button>
      )}
      <p className="text-soft mt-2 text-sm">
        Unequal endpoints are normal. They are calculated here: check them on the model by feel.
      </p>
    </Section>
  );
}
