import { answer, readJson } from '@/server/http';
import { recordPreflight } from '@/server/log';

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(async () => recordPreflight((await params).id, await readJson(request)));
