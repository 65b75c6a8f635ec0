import { answer, readJson } from '@/server/http';
import { startReady } from '@/server/modelAdmin';

export const POST = (request: Request) => answer(async () => startReady(await readJson(request)));
