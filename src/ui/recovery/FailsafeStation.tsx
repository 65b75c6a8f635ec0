'use client';

import { kindOf } from '@/core/setup';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { checklist } from '@/core/logbook';
import { footprint } from '@/core/recovery';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { modeWords } from '../words/unit';
import { FootprintDrawing } from './FootprintDrawing';
import { GroundStop } from './GroundStop';
import { LostChannels } from './LostChannels';
import { ReceiverInFront } from './ReceiverInFront';
import { TestScript } from '../checks/TestScript';
import { LocalisedMeasures } from '../measure/LocalisedMeasures';
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
        {kindOf(setup.airframe).onSurface ? <GroundStop /> : <Where />}
        <p className="text-soft text-sm">
          What a failsafe must do is for the rules of your country, club and site to say, and they
          come first. The figures here are planning aids.
        </p>
      </aside>
    </div>
  );
}

/** Where it comes down: glide or circle, with the wind. */
function Where() {
  const setup = useModel((s) => s.setup);
  const { measures } = setup.airframe;
  const [heightM, setHeight] = useState(60);
  const [windMps, setWind] = useState(4);
  const own = setup.unit.settings.failsafe;
  const bankDeg = own?.rollDeg ?? 0;
  const place = footprint({
    heightM,
    windMps,
    bankDeg,
    glideRatio: measures.glideRatio,
    speedMps: measures.approachMps * 1.3,
    ...(own ? { pitch: { deg: own.pitchDeg, aspect: measures.spanMm / measures.chordMm } } : {}),
  });
  return (
    <Section title="Where it comes down" className="card flex flex-col gap-3">
      <div className="grid grid-cols-2 items-end gap-2">
        <NumberField
          label="height"
          unit="m"
          min={1}
          max={1000}
          step={5}
          value={heightM}
          onCommit={setHeight}
        />
        <NumberField label="wind" unit="m/s" min={0} max={30} value={windMps} onCommit={setWind} />
      </div>
      <FootprintDrawing place={place} bankDeg={bankDeg} />
      <p className="text-soft text-sm">
        <LocalisedMeasures>
          {Number.isFinite(place.radiusM)
            ? `A circle of ${place.radiusM.toFixed(0)} m radius, down in ${place.timeS.toFixed(0)} s, carried along by the wind.`
            : `Down in ${place.timeS.toFixed(0)} s: as far as ${place.downwindM.toFixed(0)} m downwind, ${place.upwindM.toFixed(0)} m against the wind, and anywhere between, since nobody chooses the heading.`}
        </LocalisedMeasures>{' '}
        From 1.3 times approach speed and a glide ratio of {measures.glideRatio} : 1, from Model
        {own &&
          own.pitchDeg !== 0 &&
          `, with the nose held ${own.pitchDeg > 0 ? 'up' : 'down'} by ${Math.abs(own.pitchDeg)}°`}
        .
      </p>
    </Section>
  );
}
