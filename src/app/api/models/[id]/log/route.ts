import { addEntry, exportLog, getLog } from '@/server/log';
import { answer, readJson } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const { id } = await params;
    const { as, ...query } = Object.fromEntries(new URL(request.url).searchParams);
    if (as !== 'csv') return getLog(id, query);
    return new Response(exportLog(id), {
      headers: {
        'content-type': 'text/csv; charset=utf-8; header=present',
        'content-disposition': 'attachment; filename="log.csv"',
      },
    });
  });

export const POST = (request: Request, { params }: Context) =>
  answer(async () => addEntry((await params).id, await readJson(request)));
