'use client';

import { useEffect, useState } from 'react';

/** Kept on this device once the tour was seen or skipped. */
const SEEN = 'tolvan-tour';

interface Stop {
  /** What it is about: the first of these that is on the screen. */
  at: string;
  title: string;
  says: string;
}

const STOPS: readonly Stop[] = [
  {
    at: '[data-tour="way"]',
    title: 'The stations',
    says: 'Everything there is to do, from top to bottom. The mark shows how each stands.',
  },
  {
    at: '#main',
    title: 'The work',
    says: 'What to do at this station. Point at a dotted word to have it explained; change an underlined one by pressing it.',
  },
  {
    at: '[data-tour="rig"]',
    title: 'The rig',
    says: 'Your model and transmitter, simulated from your settings. Move a stick or flip a switch and see what every surface does.',
  },
  {
    at: '[data-tour="verdict"]',
    title: 'What Tolvan checks',
    says: 'After each change every combination of your controls is tried. What is wrong stands here, with a way to repair it.',
  },
  {
    at: '[data-tour="next"]',
    title: 'What comes next',
    says: 'This button always leads to the next step, and so does the key n. The key / finds anything, ? lists all keys and explains words.',
  },
];

const seen = () => {
  try {
    return localStorage.getItem(SEEN) !== null;
  } catch {
    // Where nothing may be kept it would come back every time, so it is not shown at all.
    return true;
  }
};

/** Five things to know on the first model that is opened on this device; one key skips it for good. */
export function Tour() {
  const [step, setStep] = useState(() => (seen() ? STOPS.length : 0));
  const stop = STOPS[step];
  const [box, setBox] = useState<DOMRect>();
  useEffect(() => {
    if (!stop) return;
    const place = () => {
      const found = [...document.querySelectorAll(stop.at)].find((e) => e.checkVisibility());
      setBox(found?.getBoundingClientRect());
    };
    place();
    // What it points at may still be drawing itself.
    const timer = setInterval(place, 300);
    return () => clearInterval(timer);
  }, [stop]);
  const go = (to: number) => {
    if (to >= STOPS.length) localStorage.setItem(SEEN, 'yes');
    setStep(to);
  };
  useEffect(() => {
    if (!stop) return;
    const key = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      event.stopImmediatePropagation();
      localStorage.setItem(SEEN, 'yes');
      setStep(STOPS.length);
    };
    window.addEventListener('keydown', key, true);
    return () => window.removeEventListener('keydown', key, true);
  }, [stop]);
  if (!stop) return null;
  return (
    <>
      {box && (
        <div
          aria-hidden
          className="pointer-events-none fixed z-40 rounded border-3 border-(--accent)"
          style={{
            left: Math.max(2, box.left - 2),
            top: Math.max(2, box.top - 2),
            width: Math.min(box.width + 4, window.innerWidth - Math.max(2, box.left - 2) - 2),
            height: Math.min(box.height + 4, window.innerHeight - Math.max(2, box.top - 2) - 2),
          }}
        />
      )}
      <div
        role="dialog"
        aria-label="A short tour"
        className="card fixed bottom-6 left-1/2 z-50 w-[min(26rem,94vw)] -translate-x-1/2 shadow-lg"
      >
        <p className="text-soft text-sm">
          {step + 1} of {STOPS.length}
        </p>
        <h2 className="text-lg font-bold">{stop.title}</h2>
        <p className="mt-1" aria-live="polite">
          {stop.says}
        </p>
        <div className="mt-3 flex flex-wrap gap-2">
          <button type="button" className="btn btn-main" onClick={() => go(step + 1)}>
            {step + 1 < STOPS.length ? 'Next' : 'Done'}
          </button>
          {step > 0 && (
            <button type="button" className="btn" onClick={() => go(step - 1)}>
              Back
            </button>
          )}
          <button type="button" className="btn" onClick={() => go(STOPS.length)}>
            Skip <kbd className="font-num border px-1">Esc</kbd>
          </button>
        </div>
      </div>
    </>
  );
}
