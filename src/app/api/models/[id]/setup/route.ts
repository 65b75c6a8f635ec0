import { answer, readJson } from '@/server/http';
import { saveSetup } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => saveSetup((await params).id, await readJson(request)));
