'use client';

import { useMemo } from 'react';
import { cornerWords, movedSticks, leftovers } from '@/core/capture';
import { unitGuide } from '@/core/catalogue';
import { checklist } from '@/core/logbook';
import { learnTravel } from '@/core/plan';
import { functionOf } from '@/core/setup';
import { FindingsOf } from '../findings/Findings';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { handWords, kindOf, taughtByDriving } from '@/core/setup';
import { TeachingRun } from './TeachingRun';
import { Section } from '../parts/Section';

/** What the unit learns when the sticks are moved, how that is started, and what trims leave. */
export function CaptureStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const edit = useModel((s) => s.edit);
  const now = useMemo(() => learnTravel(setup), [setup]);
  const left = useMemo(() => leftovers(setup), [setup]);
  const taught = setup.installation.travelCapture;
  const hands = handWords(setup.transmitter);
  const ground = kindOf(setup.airframe).onSurface;
  const { captureGestures } = setup.unit.traits;
  const guide = unitGuide(setup.unit);
  const script = checklist(setup, evidence, 'capture');
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_26rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <Section title="What it will learn">
          <div className="overflow-x-auto">
            <table className="mt-2 w-full">
              <thead className="text-soft text-left text-sm">
                <tr>
                  <th scope="col">{ground ? 'Steering' : 'Stick'}</th>
                  <th scope="col" className="text-right">
                    one end
                  </th>
                  <th scope="col" className="text-right">
                    released
                  </th>
                  <th scope="col" className="text-right">
                    other end
                  </th>
                  <th scope="col" className="pl-4">
                    Captured
                  </th>
                </tr>
              </thead>
              <tbody>
                {now.map((n) => {
                  const t = taught?.find((x) => x.carries === n.carries);
                  const off = t
                    ? Math.max(
                        Math.abs(t.minUs - n.minUs),
                        Math.abs(t.centreUs - n.centreUs),
                        Math.abs(t.maxUs - n.maxUs),
                      )
                    : 0;
                  return (
                    <tr key={functionOf(n.carries).words} className="border-t border-(--card-edge)">
                      <th scope="row" className="py-1.5 text-left">
                        {ground && n.carries === 'rudder'
                          ? 'steering'
                          : functionOf(n.carries).words}
                      </th>
                      <td className="num text-right">{n.minUs.toFixed(0)} µs</td>
                      <td className="num text-right">{n.centreUs.toFixed(0)} µs</td>
                      <td className="num text-right">{n.maxUs.toFixed(0)} µs</td>
                      <td className={`pl-4 ${off > 8 ? 'text-stop font-semibold' : ''}`}>
                        {!t
                          ? 'not written down'
                          : t.sense !== n.sense
                            ? 'reversed'
                            : off > 8
                              ? `${off.toFixed(0)} µs off`
                              : 'the same'}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </div>
          {now.length === 0 && (
            <p>No channel that steers reaches this unit: there is nothing to learn.</p>
          )}
          {now.length > 0 && (
            <button
              type="button"
              className="btn mt-3"
              onClick={() =>
                edit(
                  [{ op: 'add', path: '/installation/travelCapture', value: now }],
                  'Centres and travel captured',
                )
              }
            >
              Record as {ground ? 'learned' : 'captured'}: as it is now
            </button>
          )}
        </Section>
        {taughtByDriving(setup.unit) && <TeachingRun />}
        <FindingsOf step="capture" />
        {script.length > 0 && <TestScript title="Capture it" steps={script} />}
      </div>
      <aside className="flex flex-col gap-4">
        <Section title="Trims and subtrims">
          {left.length === 0 ? (
            <p>
              With the {hands.all} released the unit reads nothing: no trim is taken for a{' '}
              {hands.one}.
            </p>
          ) : (
            <ul className="flex flex-col gap-2">
              {left.map((l) => (
                <li key={l.axis} className="border-stop border-l-4 pl-2">
                  <strong>
                    {Math.abs(l.pct).toFixed(0)} % of {l.axis}
                  </strong>{' '}
                  remains: {l.becomes}.
                </li>
              ))}
            </ul>
          )}
          <p className="text-soft mt-2 text-sm">
            {ground
              ? 'Trim with the unit off, stop, capture again: every school agrees on that one. The unit reads a trim it has not captured as held steering.'
              : 'Trim in off mode, land, capture again: every school agrees on that one. The unit reads a trim it has not captured as a held stick.'}
          </p>
        </Section>
        <Section title="How it is started">
          <dl className="flex flex-col gap-2">
            {guide.gestures.map((g) => (
              <div key={g.name}>
                <dt className="font-semibold">{g.name}</dt>
                <dd>{g.how}</dd>
              </div>
            ))}
          </dl>
          {captureGestures.includes('stick-corners') && (
            <p className="border-accent mt-2 border-l-4 pl-2">{cornerWords(movedSticks(setup))}</p>
          )}
        </Section>
      </aside>
    </div>
  );
}
