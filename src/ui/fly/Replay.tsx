'use client';

import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import { happensAtS, type Draw, type Point, type Scenario } from '@/core/motion';
import { modeWords } from '@/core/chain';
import type { Mode, Setup } from '@/core/setup';
import { Pictured } from '../drawing/Pictured';
import { Choice } from '../fields/Choice';
import { SETTING_UP } from '../words';
import { FlyChart } from './FlyChart';
import { ENLARGED, MARKS_M, type Eye } from './eye';
import { useFlight, type Wanted } from './useFlights';
import { STEP_S, usePlayback } from './usePlayback';

const FlyScene = dynamic(() => import('./FlyScene'), {
  ssr: false,
  loading: () => <p className="text-soft p-4">{SETTING_UP}</p>,
});

/** What is shown: a scenario with a Setup, and with its repair where there is one. */
export interface Shown {
  words: string;
  says?: string;
  setup: Setup;
  scenario: Scenario;
  /** Which of the models it may be. */
  draw: Draw;
  after?: { label: string; setup: Setup };
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

/** One situation flown: as it is, after the repair, side by side; played, stopped, pulled. */
export function Replay({ shown }: { shown: Shown }) {
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
  const tab = (isAfter: boolean, title: string, found: typeof one) => (
    <button
      type="button"
      aria-pressed={after === isAfter}
      className={`card min-h-11 flex-1 p-2 text-left aria-pressed:border-(--ink) ${
        found?.well ? '' : 'border-stop'
      }`}
      onClick={() => setRepaired(isAfter ? shown : undefined)}
    >
      {title}:{' '}
      <strong className={found?.well ? 'text-proven' : 'text-stop'}>{found?.story ?? '…'}</strong>
    </button>
  );
  return (
    <section className="flex flex-col gap-3" aria-label={shown.words}>
      <div>
        <h2 className="text-lg font-bold">{shown.words}</h2>
        {shown.says && <p>{shown.says}</p>}
      </div>
      {failed && (
        <p role="alert" className="text-stop">
          Not flown: {failed}.
        </p>
      )}
      <div className="flex flex-wrap gap-2" aria-live="polite">
        {tab(false, 'As it is', one)}
        {shown.after && tab(true, `After “${shown.after.label}”`, two)}
      </div>
      <div className="card relative h-72 overflow-hidden p-0 @lg:h-[21rem]">
        {at && (
          <Pictured plain={<Plain points={points} at={at} />}>
            <FlyScene
              airframe={shown.setup.airframe}
              points={points}
              other={other}
              at={at}
              eye={eye}
            />
          </Pictured>
        )}
        {eye === 'pilot' && at && (
          <p className="bg-card/85 text-soft absolute right-2 bottom-2 rounded px-2 text-sm">
            drawn {ENLARGED} times its size; lines every {MARKS_M} m
          </p>
        )}
        {at && (
          <dl className="bg-card/85 absolute top-2 left-2 flex flex-wrap gap-x-4 rounded px-2 py-1 text-sm tabular-nums">
            {(
              [
                ['height', `${Math.round(at.heightM)} m`],
                ['speed', `${Math.round(at.airspeedMps)} m/s`],
                ['bank', `${Math.round(at.rollDeg)}°`],
                ['nose', `${Math.round(at.pitchDeg)}°`],
                ['mode', modeWords(shown.setup.unit, at.mode as Mode)],
                ['gain', `${Math.round(at.gainPct)} %`],
              ] as const
            ).map(([name, value]) => (
              <div key={name} className="flex gap-1">
                <dt className="text-soft">{name}</dt>
                <dd className="font-semibold">{value}</dd>
              </div>
            ))}
          </dl>
        )}
      </div>
      <FlyChart
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

/** Where there is no 3D: height over the way it went, from the side. */
function Plain({ points, at }: { points: readonly Point[]; at: Point }) {
  const most = Math.max(20, ...points.map((p) => p.heightM));
  const north = points.map((p) => p.northM);
  const [from, to] = [Math.min(...north), Math.max(1, ...north)];
  const x = (p: Point) => (100 * (p.northM - from)) / Math.max(1, to - from);
  const y = (p: Point) => 100 - (95 * p.heightM) / most;
  return (
    <svg viewBox="0 0 100 100" className="h-full w-full" preserveAspectRatio="none" aria-hidden>
      <polyline
        points={points.map((p) => `${x(p)},${y(p)}`).join(' ')}
        fill="none"
        stroke="var(--accent)"
        vectorEffect="non-scaling-stroke"
      />
      <circle cx={x(at)} cy={y(at)} r={1.5} fill="var(--ink)" />
    </svg>
  );
}
