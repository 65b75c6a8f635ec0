import { answer, readJson } from '@/server/http';
import { copyModel } from '@/server/modelAdmin';

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(async () => copyModel((await params).id, await readJson(request)));
