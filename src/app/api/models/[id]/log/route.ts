import { addEntry, getLog } from '@/server/log';
import { streamLog } from '@/server/log-csv';
import { answer, download, readJson } from '@/server/http';
import { getModel } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const { id } = await params;
    const { as, ...query } = Object.fromEntries(new URL(request.url).searchParams);
    if (as !== 'csv') return getLog(id, query);
    return download(
      streamLog(id),
      `${getModel(id).setup.name} log.csv`,
      'text/csv; charset=utf-8; header=present',
    );
  });

export const POST = (request: Request, { params }: Context) =>
  answer(async () => addEntry((await params).id, await readJson(request)));
