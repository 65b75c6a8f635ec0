import type { Status } from '@/core/logbook';

/** Every state in a word; said and assumed have the open ring of what is to do. */
export const STATUS_WORDS: Record<Status, string> = {
  proven: 'proven',
  said: 'said',
  assumed: 'assumed',
  todo: 'to do',
  stale: 'check again',
  caution: 'caution',
  stop: 'stop',
};

const COLOURS: Record<Status, string> = {
  proven: 'text-proven',
  said: 'text-todo',
  assumed: 'text-todo',
  todo: 'text-todo',
  stale: 'text-stale',
  caution: 'text-caution',
  stop: 'text-stop',
};

function Shape({ status }: { status: Status }) {
  switch (status) {
    case 'proven':
      return (
        <>
          <circle cx="10" cy="10" r="9" fill="currentColor" />
          <path d="M5.5 10.5l3 3 6-7" stroke="var(--card)" strokeWidth="2.2" fill="none" />
        </>
      );
    case 'said':
    case 'assumed':
    case 'todo':
      return <circle cx="10" cy="10" r="7.5" fill="none" stroke="currentColor" strokeWidth="2.4" />;
    case 'stale':
      return (
        <circle
          cx="10"
          cy="10"
          r="7.5"
          fill="none"
          stroke="currentColor"
          strokeWidth="2.6"
          strokeDasharray="7 4.8"
        />
      );
    case 'caution':
      return <path d="M10 2l9 16H1z" fill="currentColor" />;
    case 'stop':
      return <rect x="2" y="2" width="16" height="16" fill="currentColor" />;
  }
}

/** Shape, word and colour of a state; the word may be replaced by a fuller one, or said beside (''). */
export function StatusMark({
  status,
  words,
  quiet = false,
}: {
  status: Status;
  words?: string;
  quiet?: boolean;
}) {
  if (words === '')
    return (
      <span className={`inline-flex ${COLOURS[status]}`}>
        <svg width="18" height="18" viewBox="0 0 20 20" aria-hidden className="shrink-0">
          <Shape status={status} />
        </svg>
      </span>
    );
  return (
    <span className={`inline-flex items-start gap-1.5 font-semibold ${COLOURS[status]}`}>
      <svg
        width="18"
        height="18"
        viewBox="0 0 20 20"
        aria-hidden
        // Beside the first line of long words, not in the middle of them.
        className={`shrink-0 ${quiet ? '' : 'mt-[0.2em]'}`}
      >
        <Shape status={status} />
      </svg>
      <span className={quiet ? 'sr-only' : ''}>{words ?? STATUS_WORDS[status]}</span>
    </span>
  );
}
