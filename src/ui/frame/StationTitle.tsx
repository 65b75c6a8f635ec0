'use client';

import { saidOf, STEPS, stationTitle, type StationId } from '@/core/procedure';
import { useModel } from '../open/modelStore';
import { StepNote } from './StepNote';
import { Cautions } from '../job/Cautions';

/** What is done where something is decided rather than shown. */
const DECIDE_WORDS: Partial<Record<StationId, string>> = {
  transmitter: 'Lay it out as yours is: every drawing follows.',
  unit: 'What kind of unit it is decides everything the app works out.',
  plan: 'Which function on which channel, which servo in which plug, and why.',
  proof: 'Every combination of the controls that matter, tried.',
  fly: 'Your program flies your model: see what happens before anything is risked.',
};

/** The name of the station and what is to be done there, with the cautions that go with it. */
export function StationTitle({ here }: { here: StationId | undefined }) {
  const setup = useModel((s) => s.setup);
  if (!here || here === 'rig') return null;
  const known = STEPS.find((s) => s.station === here);
  const step = known && saidOf(known, setup);
  const does = step?.does ?? DECIDE_WORDS[here];
  return (
    <div className="mb-3">
      <h1 className="text-2xl font-bold">{stationTitle(here, setup)}</h1>
      {does && <p className="text-soft">{does}</p>}
      {known && <StepNote key={known.id} step={known.id} />}
      {known && <Cautions step={known} />}
    </div>
  );
}
