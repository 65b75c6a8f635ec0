'use client';

import { useState } from 'react';
import { LEARN_LIMIT_DEG, learnByGravity, learnByTurning } from '@/core/calibration';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { howOrientationIsLearned, kindOf, mountingWords } from '@/core/setup';
import { Section } from '../parts/Section';

/** For units that learn how they are mounted: tried here first, as unsteadily as people move a model. */
export function LearnedOrientation() {
  const setup = useModel((s) => s.setup);
  const { mounting } = setup.installation;
  const { front } = kindOf(setup.airframe);
  const way = setup.unit.traits.orientationLearned;
  const [level, setLevel] = useState(0);
  const [off, setOff] = useState(10);
  const found =
    way === 'gravity' ? learnByGravity(mounting, level, off) : learnByTurning(mounting, off);
  return (
    <Section title="Try how it learns its mounting" className="card flex flex-col gap-3">
      <p className="first-letter:uppercase">
        {howOrientationIsLearned(setup.unit, setup.airframe)}.
      </p>
      <div className="grid max-w-md grid-cols-2 items-end gap-2">
        {way === 'gravity' && (
          <NumberField
            label={`in the first look ${front} up by`}
            unit="°"
            min={-40}
            max={40}
            value={level}
            onCommit={setLevel}
          />
        )}
        <NumberField
          label={way === 'gravity' ? 'short of straight down by' : 'swung out of square by'}
          unit="°"
          min={-60}
          max={60}
          value={off}
          onCommit={setOff}
        />
      </div>
      <p role="status" className={found.mounting ? '' : 'text-stop font-semibold'}>
        {found.says}{' '}
        {found.mounting && (
          <>
            It learns <strong>{mountingWords(found.mounting, setup.airframe)}</strong>
            {found.mounting === mounting ? ': right.' : ': wrong.'}
          </>
        )}
      </p>
      <p className="text-soft text-sm">
        Within about 15° of straight down works, 30 to 40° does not (common practice, no source;
        reckoned here with {LEARN_LIMIT_DEG}°). Whatever it learned: compare the picture it shows
        with the unit itself.
      </p>
    </Section>
  );
}
