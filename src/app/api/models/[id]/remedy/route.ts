import { answer, readJson } from '@/server/http';
import { applyRemedy } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(async () => applyRemedy((await params).id, await readJson(request)));
