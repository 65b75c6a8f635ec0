import { addEntry, exportLog, getLog } from '@/server/log';
import { answer, download, readJson } from '@/server/http';
import { getModel } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const { id } = await params;
    const { as, ...query } = Object.fromEntries(new URL(request.url).searchParams);
    if (as !== 'csv') return getLog(id, query);
    return download(
      exportLog(id),
      `${getModel(id).setup.name} log.csv`,
      'text/csv; charset=utf-8; header=present',
    );
  });

export const POST = (request: Request, { params }: Context) =>
  answer(async () => addEntry((await params).id, await readJson(request)));
