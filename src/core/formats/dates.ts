import { isValid, parse, parseISO } from 'date-fns';

/** Whether 3.4. is the third of April or the fourth of March: asked once for a file. */
export type DayOrder = 'day-first' | 'month-first';

const ISO = /^\d{4}-\d{2}-\d{2}([T ]\d{2}:\d{2}(:\d{2}([.,]\d{1,9})?)?(Z|[+-]\d{2}(:?\d{2})?)?)?$/;
const SHORT = /^(\d{1,2})([./-])(\d{1,2})\2(\d{4})(?:,?\s+(\d{1,2}):(\d{2}))?$/;

/** The two small numbers of a date written short; undefined where it is none. */
function shortParts(text: string): [number, number] | undefined {
  const match = SHORT.exec(text);
  return match ? [Number(match[1]), Number(match[3])] : undefined;
}

/**
 * Which order the dates of a file are written in, as far as they tell: a number above 12 is a day.
 * @returns 'either' where nothing tells (nobody guesses), 'both' where they contradict one another,
 * undefined where no date needs an order
 */
export function dayOrderOf(dates: readonly string[]): DayOrder | 'either' | 'both' | undefined {
  const parts = dates.flatMap((d) => {
    const found = shortParts(d.trim());
    return found ? [found] : [];
  });
  if (parts.length === 0) return undefined;
  const dayFirst = parts.some(([first]) => first > 12);
  const monthFirst = parts.some(([, second]) => second > 12);
  if (dayFirst && monthFirst) return 'both';
  if (parts.every(([first, second]) => first === second)) return 'day-first';
  return dayFirst ? 'day-first' : monthFirst ? 'month-first' : 'either';
}

/**
 * A date in words a file may have it: ISO 8601, or day, month and year in the given order. Without a
 * zone it is local time. Plain numbers and words are no dates.
 */
export function readDate(text: string, order: DayOrder): Date | undefined {
  const short = SHORT.exec(text);
  let date: Date;
  if (short) {
    const [, first, , second, year, hour = '0', minute = '00'] = short;
    const [day, month] = order === 'day-first' ? [first, second] : [second, first];
    date = parse(`${day} ${month} ${year} ${hour}:${minute}`, 'd M yyyy H:mm', new Date(0));
  } else if (ISO.test(text)) date = parseISO(text.replace(' ', 'T').replace(',', '.'));
  else return undefined;
  return isValid(date) ? date : undefined;
}
