'use client';

import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import {
  ATTITUDES,
  CENTRAL,
  ESTIMATES,
  readMotion,
  shownOf,
  SITUATIONS,
  situationOf,
  type Draw,
  type Outcome,
  type PanicCell,
  type Scenario,
  type SituationId,
} from '@/core/motion';
import { applyPatch } from '@/core/patch';
import { kindOf, parseSetup, type Setup } from '@/core/setup';
import { findingKey, type Finding } from '@/core/verify';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { Fold } from '../parts/Fold';
import { Section } from '../parts/Section';
import { Footprint } from './Footprint';
import { Launches } from './Launches';
import { PanicMapTable } from './PanicMapTable';
import { Replay, type Shown } from './Replay';
import { usePanicMap, useOverview } from './useFlights';

/** What was chosen to be looked at. */
type Chosen =
  | { kind: 'situation'; id: SituationId; scenario?: Scenario }
  | { kind: 'finding'; key: string }
  | { kind: 'flight'; words: string; scenario: Scenario; draw: Draw; of?: Setup; kept?: Outcome };

/** What is shown where nothing was chosen. */
const PASS: Chosen = { kind: 'situation', id: 'pass' };

/** The model with the first repair of a finding, where it has one that leaves a whole Setup. */
function repaired(setup: Setup, finding: Finding): { label: string; setup: Setup } | undefined {
  const [remedy] = finding.remedies;
  if (!remedy) return undefined;
  const read = parseSetup(applyPatch(setup, remedy.patch));
  return read.ok ? { label: remedy.label, setup: read.value } : undefined;
}

/** What is shown for a choice; nothing where it is gone. */
function shownFor(setup: Setup, finding: Finding | undefined, chosen: Chosen): Shown | undefined {
  switch (chosen.kind) {
    case 'situation': {
      const { words } = SITUATIONS[chosen.id];
      const scenario = chosen.scenario ?? situationOf(setup, chosen.id);
      return { words, setup, scenario, draw: CENTRAL };
    }
    case 'finding': {
      if (!finding) return undefined;
      const shown = shownOf(setup, finding);
      if (!shown.ok) return undefined;
      const after = repaired(setup, finding);
      return {
        words: shown.words,
        says: finding.says,
        setup,
        scenario: shown.scenario,
        draw: CENTRAL,
        ...(after ? { after } : {}),
      };
    }
    case 'flight':
      return {
        words: chosen.words,
        setup: chosen.of ?? setup,
        scenario: chosen.scenario,
        draw: chosen.draw,
        ...(chosen.kept ? { kept: chosen.kept } : {}),
      };
  }
}

/** Situations and findings flown: what happens, before anything is risked. */
export function FlyStation() {
  const setup = useModel((s) => s.setup);
  if (kindOf(setup.airframe).moves !== 'air')
    return (
      <p className="card">
        This model does not fly: nothing can be shown of it here yet. Its program runs on the rig.
      </p>
    );
  return <Field setup={setup} />;
}

function Field({ setup }: { setup: Setup }) {
  const { findings } = useVerdict();
  const asked = useSearchParams().get('finding');
  const [chosen, setChosen] = useState<Chosen | undefined>(
    asked === null ? undefined : { kind: 'finding', key: asked },
  );
  const [mapAsked, setMapAsked] = useState(false);
  const overview = useOverview(setup);
  const panic = usePanicMap(setup, mapAsked);
  // Only what was asked of a finding waits for the findings: nothing else begins again when they come.
  const finding =
    chosen?.kind === 'finding' ? findings?.find((f) => findingKey(f) === chosen.key) : undefined;
  const waits = chosen?.kind === 'finding' && findings === undefined;
  const shown = useMemo(
    () =>
      waits
        ? undefined
        : (shownFor(setup, finding, chosen ?? PASS) ?? shownFor(setup, undefined, PASS)),
    [setup, finding, waits, chosen],
  );
  const wrong = (findings ?? []).flatMap((finding) => {
    const flown = shownOf(setup, finding);
    return flown.ok && finding.severity !== 'note' ? [finding] : [];
  });
  const answer = overview && 'answer' in overview ? overview.answer : undefined;
  if (answer && !answer.ok)
    return (
      <p className="card border-caution" role="alert">
        It cannot be flown here: {answer.reason}. Change it at Model.
      </p>
    );
  const isChosen = (other: Chosen) => JSON.stringify(other) === JSON.stringify(chosen ?? PASS);
  const row = (key: string, words: string, says: string, well: boolean, to: Chosen) => (
    <li key={key}>
      <button
        type="button"
        aria-pressed={isChosen(to)}
        className="flex min-h-11 w-full flex-col rounded px-2 py-1 text-left hover:bg-(--shade) aria-pressed:bg-(--shade)"
        onClick={() => setChosen(to)}
      >
        <span className={isChosen(to) ? 'font-bold' : ''}>{words}</span>
        <span className={`text-sm ${well ? 'text-proven' : 'text-stop font-semibold'}`}>
          {says}
        </span>
      </button>
    </li>
  );
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_22rem]">
      <div className="flex min-w-0 flex-col gap-3">
        {shown ? (
          <Replay
            shown={shown}
            onFlown={(scenario, of) =>
              setChosen({
                kind: 'flight',
                words: `Flown by hand: ${shown.words.replace(/^Flown by hand: /, '')}`,
                scenario,
                draw: shown.draw,
                // With the repair it was flown with.
                ...(of === setup ? {} : { of }),
              })
            }
          />
        ) : (
          <p className="card">Looking for what is wrong …</p>
        )}
        <Files setup={setup} onRead={setChosen} />
      </div>
      <div className="flex min-w-0 flex-col gap-4">
        {wrong.length > 0 && (
          <Section title="What is wrong, seen to happen">
            <ul className="mt-1">
              {wrong.map((finding) =>
                row(
                  findingKey(finding),
                  finding.says,
                  finding.severity === 'stop' ? 'a stop' : 'a caution',
                  false,
                  { kind: 'finding', key: findingKey(finding) },
                ),
              )}
            </ul>
          </Section>
        )}
        <Section title="Usual situations">
          {answer ? (
            <ul className="mt-1">
              {answer.situations.map((s) =>
                row(
                  s.id,
                  s.words,
                  s.story,
                  s.well,
                  s.id === 'pass'
                    ? { kind: 'situation', id: s.id }
                    : { kind: 'situation', id: s.id, scenario: s.scenario },
                ),
              )}
            </ul>
          ) : (
            <p className="text-soft" aria-live="polite">
              {overview && 'failed' in overview ? `Not flown: ${overview.failed}.` : 'Flying …'}
            </p>
          )}
        </Section>
        {answer && (
          <Section title="How it moves by itself">
            <ul className="mt-1 list-disc pl-5">
              {answer.own.map((words) => (
                <li key={words}>{words}</li>
              ))}
            </ul>
            <p className="text-soft mt-1 text-sm">At its usual speed, the unit off.</p>
          </Section>
        )}
      </div>
      <Section title="Panic, from everywhere" className="card @4xl:col-span-2">
        {!panic && !mapAsked && (
          <button type="button" className="btn mt-1" onClick={() => setMapAsked(true)}>
            Fly the panic map
          </button>
        )}
        {mapAsked && !panic && <p aria-live="polite">Flying …</p>}
        {panic?.failed !== undefined && <p role="alert">Not flown: {panic.failed}.</p>}
        {panic?.done && !panic.so && panic.failed === undefined && (
          <p>No control of this program calls panic recovery.</p>
        )}
        {panic?.so && (
          <PanicMapTable
            map={panic.so}
            done={panic.done}
            onShow={(cell) => setChosen(chosenCell(cell))}
          />
        )}
      </Section>
      <Footprint setup={setup} className="@4xl:col-span-2" />
      {setup.intents.program.launch && <Launches setup={setup} />}
      <Fold className="card @4xl:col-span-2" title="What this rests on">
        <ul className="list-disc pl-5 text-sm">
          {Object.values(ESTIMATES).map(({ words, source, factor }) => (
            <li key={words}>
              {words}: up to {factor} times as much, or as little. {source}.
            </li>
          ))}
        </ul>
        <p className="mt-2 text-sm">
          Measures are those of Model. Not in it: a spin, a hovering model, a propeller’s torque,
          the way home of a unit that navigates. A flight here proves nothing about the real model,
          and counts nowhere as proof.
        </p>
      </Fold>
    </div>
  );
}

const chosenCell = ({ attitude, speedMps, worst }: PanicCell): Chosen => ({
  kind: 'flight',
  words: `Panic at once, ${ATTITUDES.find((a) => a.id === attitude)!.words}, ${speedMps} m/s`,
  scenario: worst.scenario,
  draw: worst.draw,
});

/** A motion read from a file. */
function Files({ setup, onRead }: { setup: Setup; onRead: (chosen: Chosen) => void }) {
  const [problem, setProblem] = useState<string>();
  const take = async (file: File | undefined) => {
    if (!file) return;
    const read = readMotion(
      await file.text(),
      setup.transmitter.controls.map((c) => c.id),
    );
    setProblem(
      read.ok ? undefined : `${read.problems[0]!.path} ${read.problems[0]!.reason}`.trim(),
    );
    if (read.ok)
      onRead({
        kind: 'flight',
        words: read.value.story,
        scenario: read.value.scenario,
        draw: read.value.draw ?? CENTRAL,
        ...(read.value.outcome ? { kept: read.value.outcome } : {}),
      });
  };
  return (
    <div className="flex flex-wrap items-center gap-2">
      <label className="btn cursor-pointer">
        Open a flight
        <input
          type="file"
          accept=".json,application/json"
          className="sr-only"
          onChange={(e) => void take(e.target.files?.[0])}
        />
      </label>
      {problem && (
        <p role="alert" className="text-stop w-full text-sm">
          File not opened: {problem}.
        </p>
      )}
    </div>
  );
}
