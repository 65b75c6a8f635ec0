'use client';

import { useState } from 'react';
import { LEARN_LIMIT_DEG, learnByGravity, learnByTurning } from '@/core/calibration';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../frame/modelStore';
import { kindOf, mountingWords } from '@/core/setup';

/** For units that learn how they sit: tried here first, with the hands as unsteady as hands are. */
export function LearnedOrientation() {
  const setup = useModel((s) => s.setup);
  const { mounting } = setup.installation;
  const { front, back } = kindOf(setup.airframe);
  const ways = [
    ['gravity', `Level, then ${front} down`],
    ['turning', `Lift the ${back}, then turn right`],
  ] as const;
  const [way, setWay] = useState<'gravity' | 'turning'>('gravity');
  const [level, setLevel] = useState(0);
  const [off, setOff] = useState(10);
  const found =
    way === 'gravity' ? learnByGravity(mounting, level, off) : learnByTurning(mounting, off);
  return (
    <section className="card flex flex-col gap-3" aria-labelledby="learned-title">
      <h2 id="learned-title" className="text-lg font-bold">
        If yours learns how it sits
      </h2>
      <p>
        {way === 'gravity'
          ? `Lay the model level and keep it still until it confirms. Then stand it on its ${front}, straight down, and keep it still again.`
          : `From level, lift the ${back} by more than 30°, put it back. Then swing the ${front} to the right, flat.`}
      </p>
      <Choice label="It asks for" value={way} options={ways} onChange={setWay} />
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
          label={way === 'gravity' ? 'short of straight down by' : 'swung askew by'}
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
            It would learn the wrong position:{' '}
            <strong>{mountingWords(found.mounting, setup.airframe)}</strong>
            {found.mounting === mounting ? ', as it is.' : ', which it is not.'}
          </>
        )}
      </p>
      <p className="text-soft text-sm">
        Within about 15° of straight down works, 30 to 40° does not (common practice, no source;
        reckoned here with {LEARN_LIMIT_DEG}°). Whatever it learned: compare the picture it shows
        with the unit itself.
      </p>
    </section>
  );
}
