import { answer, readJson } from '@/server/http';
import { createModel } from '@/server/models';
import { namesOnShelf } from '@/server/shelf';

export const GET = () => answer(() => namesOnShelf());
export const POST = (request: Request) => answer(async () => createModel(await readJson(request)));
