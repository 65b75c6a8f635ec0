import { lookAtCsv, MOST_CSV_BYTES, takeCsv } from '@/server/log-csv';
import { answer, readText } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

/** Looks first: only with ?confirm=yes is anything written. ?dates=day-first or month-first says how they are. */
export const POST = (request: Request, { params }: Context) =>
  answer(async () => {
    const { id } = await params;
    const text = await readText(request, MOST_CSV_BYTES);
    const query = new URL(request.url).searchParams;
    return query.get('confirm') === 'yes'
      ? takeCsv(id, text, query.get('dates'))
      : lookAtCsv(id, text, query.get('dates'));
  });
