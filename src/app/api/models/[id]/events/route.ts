import { answer, readJson } from '@/server/http';
import { recordEvent } from '@/server/log';

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(async () => recordEvent((await params).id, await readJson(request)));
