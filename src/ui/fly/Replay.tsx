'use client';

import { useMemo, useState } from 'react';
import {
  happensAtS,
  takeOver,
  motionFile,
  sameOutcome,
  type ByHand,
  type Draw,
  type Outcome,
  type Point,
  type Scenario,
} from '@/core/motion';
import type { Setup } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { FlyChart } from './FlyChart';
import type { Eye } from './eye';
import { FlownByHand } from './FlownByHand';
import { Stage } from './Stage';
import { useFlight, type Wanted } from './useFlights';
import { STEP_S, usePlayback } from './usePlayback';

/** What is shown: a scenario with a Setup, and with its repair where there is one. */
export interface Shown {
  words: string;
  says?: string;
  setup: Setup;
  scenario: Scenario;
  /** Which of the models it may be. */
  draw: Draw;
  after?: { label: string; setup: Setup };
  /** Where it ended when it was kept as a file. */
  kept?: Outcome;
}

const NOBODY: readonly Point[] = [];

/** The moment of a flight at a time. */
function momentAt(points: readonly Point[], timeS: number): Point | undefined {
  let [low, high] = [0, points.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (points[middle]!.timeS <= timeS) low = middle;
    else high = middle - 1;
  }
  return points[low];
}

/** One situation flown: as it is, after the repair, side by side; played, stopped, pulled, taken over. */
export function Replay({
  shown,
  onFlown,
}: {
  shown: Shown;
  /** A flight was taken over, and is over. */
  onFlown: (scenario: Scenario, setup: Setup) => void;
}) {
  const [taken, setTaken] = useState<{ of: Shown; setup: Setup; flight: ByHand }>();
  const [refused, setRefused] = useState<string>();
  const [repairedFirst, setRepaired] = useState<Shown>();
  const [eye, setEye] = useState<Eye>('pilot');
  const after = repairedFirst === shown;
  const now = useMemo<Wanted>(
    () => ({ setup: shown.setup, scenario: shown.scenario, draw: shown.draw }),
    [shown],
  );
  const then = useMemo<Wanted | undefined>(
    () =>
      shown.after && {
        setup: shown.after.setup,
        scenario: shown.scenario,
        draw: shown.draw,
      },
    [shown],
  );
  const asItIs = useFlight(now);
  const repaired = useFlight(then);
  const flightOf = (a: typeof asItIs) =>
    a && 'answer' in a && a.answer.ok ? a.answer.flight : undefined;
  const [one, two] = [flightOf(asItIs), flightOf(repaired)];
  const flight = after ? two : one;
  const points = flight?.flown.points ?? NOBODY;
  const other = (after ? one : two)?.flown.points ?? NOBODY;
  const lengthS = points.at(-1)?.timeS ?? 0;
  const play = usePlayback(flight, lengthS);
  const at = momentAt(points, play.timeS);
  const failed =
    asItIs && 'failed' in asItIs
      ? asItIs.failed
      : asItIs && 'answer' in asItIs && !asItIs.answer.ok
        ? asItIs.answer.reason
        : undefined;
  const tab = (isAfter: boolean, title: string, found: typeof one) => {
    // What is said to be wrong is wrong, however it ends.
    const well = found?.well === true && (isAfter || shown.says === undefined);
    return (
      <button
        type="button"
        aria-pressed={after === isAfter}
        className={`card min-h-11 flex-1 p-2 text-left aria-pressed:border-(--ink) ${
          well ? '' : 'border-stop'
        }`}
        onClick={() => setRepaired(isAfter ? shown : undefined)}
      >
        {title}:{' '}
        <strong className={well ? 'text-proven' : 'text-stop'}>{found?.story ?? '…'}</strong>
      </button>
    );
  };
  const takeIt = () => {
    const { setup } = after && then ? then : now;
    // Played to its end there is nothing left to take: it starts again.
    const taking = takeOver(
      setup,
      shown.scenario,
      play.timeS >= lengthS ? 0 : play.timeS,
      shown.draw,
    );
    setRefused(taking.ok ? undefined : taking.reason);
    if (taking.ok) setTaken({ of: shown, setup, flight: taking.flight });
  };
  const keep = () => {
    if (!flight) return;
    const { setup } = after && then ? then : now;
    const { ending } = flight.flown;
    const text = motionFile({
      model: setup.name,
      scenario: shown.scenario,
      draw: shown.draw,
      story: shown.words,
      ending,
    });
    const link = document.createElement('a');
    link.href = URL.createObjectURL(new Blob([text], { type: 'application/json' }));
    link.download = 'motion.json';
    link.click();
    URL.revokeObjectURL(link.href);
  };
  // Another flight was chosen, or the model was changed: nobody flies the one before any more.
  const still = taken?.of.words === shown.words && taken.of.setup === shown.setup;
  if (taken && !still) setTaken(undefined);
  if (taken && still)
    return (
      <FlownByHand
        setup={taken.setup}
        flight={taken.flight}
        words={shown.words}
        eye={eye}
        onOver={(scenario) => {
          setTaken(undefined);
          onFlown(scenario, taken.setup);
        }}
      />
    );
  return (
    <section className="flex flex-col gap-3" aria-label={shown.words}>
      <div>
        <h2 className="text-lg font-bold">{shown.words}</h2>
        {shown.says && <p>{shown.says}</p>}
      </div>
      {(failed ?? refused) && (
        <p role="alert" className="text-stop">
          Not flown: {failed ?? refused}.
        </p>
      )}
      {shown.kept && one && !sameOutcome(shown.kept, one.flown.ending) && (
        <p className="text-caution">
          It goes otherwise than when it was kept: the model or its program is another now.
        </p>
      )}
      <div className="flex flex-wrap gap-2" aria-live="polite">
        {tab(false, 'As it is', one)}
        {shown.after && tab(true, `After “${shown.after.label}”`, two)}
      </div>
      <Stage
        airframe={shown.setup.airframe}
        unit={shown.setup.unit}
        points={points}
        other={other}
        at={at}
        eye={eye}
      />
      <FlyChart
        unit={shown.setup.unit}
        points={points}
        other={other}
        lengthS={lengthS}
        timeS={play.timeS}
        atS={happensAtS(shown.scenario)}
        onTo={play.to}
      />
      <div className="flex flex-wrap items-end gap-2">
        <button type="button" className="btn" disabled={!flight} onClick={play.toggle}>
          {play.running ? 'Pause' : play.timeS >= lengthS ? 'Play again' : 'Play'}
        </button>
        <button
          type="button"
          className="btn"
          aria-pressed={play.slow}
          onClick={() => play.setSlow(!play.slow)}
        >
          ¼ speed {play.slow ? 'on' : 'off'}
        </button>
        <button type="button" className="btn" onClick={() => play.back(10)}>
          10 s back
        </button>
        <button type="button" className="btn" disabled={!flight} onClick={takeIt}>
          Take over
        </button>
        <button type="button" className="btn" disabled={!flight} onClick={keep}>
          Save this flight
        </button>
        <label className="flex min-w-40 flex-1 flex-col text-sm font-semibold">
          moment: {play.timeS.toFixed(1)} s
          <input
            type="range"
            min={0}
            max={Math.max(0.1, Math.ceil(10 * lengthS) / 10)}
            step={STEP_S}
            value={play.timeS}
            className="h-11 accent-(--accent)"
            onChange={(e) => play.to(Number(e.target.value))}
          />
        </label>
        <Choice
          label="seen"
          value={eye}
          options={[
            ['pilot', 'by the pilot'],
            ['behind', 'from behind'],
          ]}
          onChange={(next: Eye) => setEye(next)}
        />
      </div>
    </section>
  );
}
