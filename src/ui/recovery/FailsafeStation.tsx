'use client';

import { kindOf } from '@/core/setup';
import { Link } from '../parts/Link';
import { useMemo } from 'react';
import { checklist } from '@/core/logbook';
import { Footprint } from '../fly/Footprint';
import { useModel } from '../open/modelStore';
import { modeWords } from '../words/unit';
import { GroundStop } from './GroundStop';
import { LostChannels } from './LostChannels';
import { ReceiverInFront } from './ReceiverInFront';
import { TestScript } from '../checks/TestScript';
import { MarkSeen } from '../unit/MarkSeen';
import { LINK_LOST } from '../words';
import { Section } from '../parts/Section';

/** Failsafe: what each channel does, where the model comes down, and the test with the link off. */
export function FailsafeStation() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const script = useMemo(() => checklist(setup, evidence, 'failsafe'), [setup, evidence]);
  const { failsafe } = setup.unit.settings;
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_26rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <TestScript title="Link off, with the model held" steps={script} />
        {script.length > 0 && script.every(({ status }) => status === 'proven') && (
          <MarkSeen
            of={['traits', 'failsafe']}
            words="The test was passed, so a lost signal does what is described."
          />
        )}
      </div>
      <aside className="flex flex-col gap-4">
        <Section title={LINK_LOST}>
          {failsafe && (
            <p className="mt-1">
              The unit goes to <strong>{modeWords(setup.unit, failsafe.mode)}</strong>, pitch{' '}
              {failsafe.pitchDeg}°, bank {failsafe.rollDeg}°, throttle{' '}
              {failsafe.cutThrottle ? 'off' : 'left to it'}.
            </p>
          )}
          <LostChannels />
          <Link href={`/models/${id}/program`} className="btn mt-3">
            Choose another way at Program
          </Link>
        </Section>
        <ReceiverInFront />
        {kindOf(setup.airframe).onSurface ? <GroundStop /> : <Footprint setup={setup} />}
        <p className="text-soft text-sm">
          What a failsafe must do is for the rules of your country, club and site to say, and they
          come first. The figures here are planning aids.
        </p>
      </aside>
    </div>
  );
}
