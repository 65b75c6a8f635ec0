import { importLog, previewLog } from '@/server/log';
import { answer, readText } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

/** Looks first: only with ?confirm=yes is anything written. ?dates=day-first or month-first says how they are. */
export const POST = (request: Request, { params }: Context) =>
  answer(async () => {
    const { id } = await params;
    const text = await readText(request);
    const query = new URL(request.url).searchParams;
    return query.get('confirm') === 'yes'
      ? importLog(id, text, query.get('dates'))
      : previewLog(id, text, query.get('dates'));
  });
