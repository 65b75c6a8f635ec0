import { importParts } from '@/server/hangar';
import { answer, readJson } from '@/server/http';

export const POST = (request: Request) => answer(async () => importParts(await readJson(request)));
