import { answer, readJson } from '@/server/http';
import { recordObservation } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const POST = (request: Request, { params }: Context) =>
  answer(async () => recordObservation((await params).id, await readJson(request)));
