import { answer, readJson } from '@/server/http';
import { holdsOf, placeModel } from '@/server/modelAdmin';

type Context = { params: Promise<{ id: string }> };

/** What would be lost with it. */
export const GET = (_: Request, { params }: Context) =>
  answer(async () => holdsOf((await params).id));
export const PUT = (request: Request, { params }: Context) =>
  answer(async () => placeModel((await params).id, await readJson(request)));
