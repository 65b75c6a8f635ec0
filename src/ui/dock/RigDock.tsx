'use client';

import { ChevronDown, ChevronUp, Maximize2, PanelRightClose, PanelRightOpen } from 'lucide-react';
import { Link } from '../parts/Link';
import { useState, useSyncExternalStore } from 'react';
import { gainWords, modeWords } from '@/core/chain';
import { capital } from '@/core/setup';
import { keep, readKept } from '../open/keep';
import { useModel } from '../open/modelStore';
import { LiveFace } from '../transmitter/LiveFace';
import { useRig } from '../live/rigStore';
import { RigKeys } from '../rig/RigKeys';
import { Answer } from './Answer';
import { DockModel } from './DockModel';
import { LinkButton } from '../live/LinkButton';
import { Touched } from './Touched';
import { Verdict } from './Verdict';
import { SETTING_UP } from '../words';

const KEY = 'tolvan-dock';
const listeners = new Set<() => void>();

/** Whether the dock is folded: remembered by this browser. */
function useFolded(): [boolean, (folded: boolean) => void] {
  const folded = useSyncExternalStore(
    (changed) => {
      listeners.add(changed);
      return () => listeners.delete(changed);
    },
    () => readKept<boolean>(KEY, 'browser') ?? false,
    () => false,
  );
  return [
    folded,
    (next) => {
      keep(KEY, next ? true : undefined, 'browser');
      for (const changed of listeners) changed();
    },
  ];
}

export const RIG_ID = 'the-rig';

/**
 * The rig beside the work: model, hands and the answer in one view; on a small screen a sheet.
 * @param blind the real model is being checked: the rig keeps its answer to itself until asked
 */
export function RigDock({ blind }: { blind: boolean }) {
  const [shown, setShown] = useState(false);
  const [folded, fold] = useFolded();
  const height = useRig((s) => s.sheet);
  const faceShown = useRig((s) => s.faceShown);
  const setHeight = useRig((s) => s.setSheet);
  const id = useModel((s) => s.id);
  return (
    <>
      <RigKeys />
      <aside
        id={RIG_ID}
        data-tour="rig"
        aria-label="The rig"
        tabIndex={-1}
        data-height={height}
        className={`bg-card border-edge flex shrink-0 flex-col max-lg:fixed max-lg:inset-x-0 max-lg:bottom-0 max-lg:z-30 max-lg:border-t-2 lg:overflow-y-auto lg:border-l print:hidden ${
          folded ? 'lg:w-12' : 'lg:w-101'
        } ${height === 'half' ? 'max-lg:h-[56dvh]' : height === 'whole' ? 'max-lg:h-[94dvh]' : ''}`}
      >
        <div className="flex items-center gap-1 px-3 pt-1">
          <span className={`min-w-0 flex-1 ${folded ? 'lg:hidden' : ''}`}>
            <ModeLine />
          </span>
          <Link
            href={`/models/${id}/rig`}
            className={`head-btn max-lg:hidden ${folded ? 'lg:hidden' : ''}`}
            aria-label="The rig in full"
            title="The rig in full (r)"
          >
            <Maximize2 size={16} aria-hidden />
          </Link>
          <button
            type="button"
            className="head-btn max-lg:hidden"
            aria-label={folded ? 'Unfold the rig' : 'Fold the rig away'}
            aria-expanded={!folded}
            onClick={() => fold(!folded)}
          >
            {folded ? (
              <PanelRightOpen size={18} aria-hidden />
            ) : (
              <PanelRightClose size={18} aria-hidden />
            )}
          </button>
          <button
            type="button"
            className="head-btn lg:hidden"
            aria-label={height === 'bar' ? 'Show the rig' : 'More of the rig'}
            disabled={height === 'whole'}
            onClick={() => setHeight(height === 'bar' ? 'half' : 'whole')}
          >
            <ChevronUp size={20} aria-hidden />
          </button>
          <button
            type="button"
            className="head-btn lg:hidden"
            aria-label="Less of the rig"
            disabled={height === 'bar'}
            onClick={() => setHeight(height === 'whole' ? 'half' : 'bar')}
          >
            <ChevronDown size={20} aria-hidden />
          </button>
        </div>
        {!folded && (
          <div
            className={`relative min-h-0 flex-1 overflow-y-auto ${height === 'bar' ? 'max-lg:hidden' : ''}`}
          >
            {blind && !shown ? (
              <p className="text-soft px-4 py-6">
                Watch the real model first: the rig is hidden so that it does not tell you what to
                see.{' '}
                <button
                  type="button"
                  className="min-h-6 underline pointer-coarse:min-h-11"
                  onClick={() => setShown(true)}
                >
                  Show it anyway
                </button>
              </p>
            ) : (
              <DockModel />
            )}
            {!faceShown && (
              <div className="px-3 py-1.5">
                <LiveFace className="mx-auto h-57 max-w-110" />
              </div>
            )}
            <div className="px-4">
              <Touched />
              {(!blind || shown) && <Answer />}
              <LinkButton />
              <Verdict />
            </div>
          </div>
        )}
      </aside>
    </>
  );
}

/** "Self-levelling · gain 50 %" */
function ModeLine() {
  const unit = useRig((s) => s.setup.unit);
  const mode = useRig((s) => s.snapshot?.mode);
  const gain = useRig((s) => gainWords(Math.max(0, ...(s.snapshot?.gainPct ?? [0]))));
  const state = useRig((s) =>
    !s.linkUp
      ? 'signal lost'
      : s.snapshot?.recovering
        ? 'recovering'
        : s.snapshot && !s.snapshot.armed
          ? 'not armed: run the throttle up once'
          : '',
  );
  if (!mode) return <p className="text-soft text-sm">{SETTING_UP}</p>;
  return (
    <p className="truncate leading-tight" aria-live="polite">
      <strong>{capital(modeWords(unit, mode))}</strong>
      {mode !== 'off' && ` · gain ${gain}`}
      {state && <span className="text-stop font-semibold"> · {state}</span>}
    </p>
  );
}
