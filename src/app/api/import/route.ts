import { answer, readText } from '@/server/http';
import { importSetup } from '@/server/models';

export const POST = (request: Request) => answer(async () => importSetup(await readText(request)));
