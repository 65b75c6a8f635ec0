import { addPart, listParts } from '@/server/hangar';
import { answer, readJson } from '@/server/http';

export const GET = () => answer(() => listParts());

export const POST = (request: Request) => answer(async () => addPart(await readJson(request)));
