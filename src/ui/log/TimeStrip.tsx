'use client';

import { format } from 'date-fns';
import { ListChecks, NotebookPen, Navigation, Wrench, Zap, type LucideIcon } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { DifferenceList } from './DifferenceList';
import { changedBefore, daysOf, type Between, type TimeLine } from './timeline';
import { useDifferences } from './useDifferences';

const ICONS: Record<Exclude<TimeLine['mark'], 'version'>, LucideIcon> = {
  flight: Navigation,
  preflight: ListChecks,
  maintenance: Wrench,
  event: Zap,
  note: NotebookPen,
};

/** Flights, versions and checks as marks on a line of time; a pressed one says what it was and what had changed. */
export function TimeStrip({
  lines,
  outing,
  chosen,
  onChoose,
}: {
  lines: readonly TimeLine[];
  outing: string;
  /** Key of the line whose mark is pressed. */
  chosen: string | undefined;
  onChoose: (key: string | undefined) => void;
}) {
  const strip = useRef<HTMLDivElement>(null);
  const newest = lines[0]?.key;
  useEffect(() => {
    // What happened last is what is looked for first.
    if (strip.current) strip.current.scrollLeft = strip.current.scrollWidth;
  }, [newest]);
  const line = lines.find((l) => l.key === chosen);
  return (
    <div className="mt-3">
      <div
        ref={strip}
        role="group"
        aria-label="Line of time"
        tabIndex={0}
        className="flex items-end overflow-x-auto pb-1"
      >
        {daysOf(lines).map((day) => (
          <div key={day.date} className="flex shrink-0 items-end">
            {day.idleDays > 0 && (
              <span className="text-soft border-t-2 border-dashed border-(--line) px-2 text-xs whitespace-nowrap">
                {day.idleDays} {day.idleDays === 1 ? 'day' : 'days'}
              </span>
            )}
            <div className="flex flex-col items-center">
              <div className="flex flex-col-reverse items-center gap-1 pb-1">
                {day.lines.map((l) => (
                  <Mark
                    key={l.key}
                    line={l}
                    pressed={l.key === chosen}
                    onPress={() => onChoose(l.key === chosen ? undefined : l.key)}
                  />
                ))}
              </div>
              <time
                dateTime={day.date}
                className="text-soft w-full min-w-16 border-t-2 border-(--line) px-1 text-center text-xs whitespace-nowrap"
              >
                {format(day.date, 'd MMM yy')}
              </time>
            </div>
          </div>
        ))}
      </div>
      {line && <Told line={line} between={changedBefore(lines, line, outing)} />}
    </div>
  );
}

function Mark({
  line,
  pressed,
  onPress,
}: {
  line: TimeLine;
  pressed: boolean;
  onPress: () => void;
}) {
  const Icon = line.mark === 'version' ? undefined : ICONS[line.mark];
  return (
    <button
      type="button"
      className={`btn btn-small px-2 ${line.failed ? 'border-stop text-stop' : ''}`}
      aria-pressed={pressed}
      aria-label={`${line.kind}: ${line.title}`}
      title={`${line.kind}: ${line.title}`}
      onClick={onPress}
    >
      {Icon ? (
        <Icon size={16} aria-hidden />
      ) : (
        <span className="font-num text-xs">v{line.version}</span>
      )}
    </button>
  );
}

function Told({ line, between }: { line: TimeLine; between: Between | undefined }) {
  return (
    <section className="mt-2 border-l-4 border-(--accent) pl-3" aria-label="On that day">
      <p className="font-semibold wrap-break-word">
        {line.kind} · {line.title}
      </p>
      {line.details.map((d) => (
        <p key={d} className="wrap-break-word">
          {d}
        </p>
      ))}
      {line.mark !== 'version' && <p className="text-soft">with version {line.version}</p>}
      {between ? <Changed between={between} /> : line.mark !== 'version' && <Same />}
    </section>
  );
}

const Same = () => <p className="text-soft">Nothing was changed before it.</p>;

function Changed({ between: { from, to, since } }: { between: Between }) {
  return (
    <>
      <p className="mt-1">Changed since {since}:</p>
      <DifferenceList found={useDifferences(from, to)} />
    </>
  );
}
