import { answer, readJson } from '@/server/http';
import { startReady } from '@/server/things';

export const POST = (request: Request) => answer(async () => startReady(await readJson(request)));
