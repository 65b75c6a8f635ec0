import { answer, readJson } from '@/server/http';
import { renameModel } from '@/server/modelAdmin';

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => renameModel((await params).id, await readJson(request)));
