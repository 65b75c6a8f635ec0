import { answer, readJson } from '@/server/http';
import { answerPage } from '@/server/prover';

export const POST = (request: Request) =>
  answer(async () => answerPage(await readJson(request), request.signal));
