import { allExpectations, crossExpectations, predictAll } from '../core/directions';
import { TESTS, readingSubject, testSubject, type Evidence, type LogEntry } from '../core/logbook';
import { writeWishes } from '../core/plan';
import type { ProgramWishes, Setup } from '../core/setup';
import { readBacksOf } from '../core/sheets';

/** What its owner has seen of a model. */
export type SeenList = Pick<Evidence, 'check' | 'surface' | 'seen'>[];

/** A model of the Lake Hollow club: invented, like everything in this folder. */
export interface DemoModel {
  /** Its versions, oldest first. */
  versions: { setup: Setup; label: string; at: string }[];
  /** Seen on the first version. */
  seen: SeenList;
  log: LogEntry[];
}

/** What the model on the bench does when looked at, by the chain. */
export function everythingSeen(setup: Setup): SeenList {
  const predictions = predictAll(setup);
  const still = crossExpectations(setup).filter((e) => e.check.kind === 'stick');
  return [...allExpectations(setup), ...still].map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)!.get(surface.id)!.movement,
  }));
}

/** What the monitor shows when everything was entered as it stands on the sheet. */
export const everythingRead = (setup: Setup): SeenList =>
  readBacksOf(setup).map((r) => ({
    ...readingSubject(r),
    seen: `${Math.round(r.predictedPct)}%`,
  }));

/** Every test passed, but for those named. */
export const everythingTested = (setup: Setup, ...but: (keyof typeof TESTS)[]): SeenList =>
  Object.entries(TESTS)
    .filter(([name]) => !but.includes(name as keyof typeof TESTS))
    .flatMap(([, { script }]) => script(setup))
    .map((s) => ({ ...testSubject(s), seen: 'pass' }));

/** Everything there is to see, seen. */
export const everything = (setup: Setup, ...but: (keyof typeof TESTS)[]): SeenList => [
  ...everythingSeen(setup),
  ...everythingRead(setup),
  ...everythingTested(setup, ...but),
];

/** With the versions its owner has written down. */
export const identified = (setup: Setup): Setup => ({
  ...setup,
  installation: {
    ...setup.installation,
    unitHardware: 'cannot be read',
    unitFirmware: '1.2',
    transmitterFirmware: '2.10',
  },
});

export function withWishes(setup: Setup, change: Partial<ProgramWishes>): Setup {
  const next = writeWishes(setup, { ...setup.intents.program, ...change });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  return next.setup;
}
