import { answer, readJson } from '@/server/http';
import { createModel } from '@/server/models';

export const POST = (request: Request) => answer(async () => createModel(await readJson(request)));
