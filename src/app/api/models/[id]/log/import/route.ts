import { importLog, previewLog } from '@/server/log';
import { answer, readText } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

/** Looks first: only with ?confirm=yes is anything written. */
export const POST = (request: Request, { params }: Context) =>
  answer(async () => {
    const { id } = await params;
    const text = await readText(request);
    return new URL(request.url).searchParams.get('confirm') === 'yes'
      ? importLog(id, text)
      : previewLog(id, text);
  });
