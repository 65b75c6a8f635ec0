import { z } from 'zod';
import type { ProverQuestion } from '../core/verdict';
import { EvidenceSchema } from './archive/format';
import { Failure } from './failure';
import { checked } from './http';
import { askWhile } from './judge';
import { validSetup } from './validSetup';

const asked = <Q extends ProverQuestion, T extends z.ZodType>(question: Q, of: T) =>
  z.strictObject({ question: z.literal(question), of });

const EvidenceListSchema = z.array(EvidenceSchema);

const AskedSchema = z.discriminatedUnion('question', [
  asked('verdict', z.tuple([z.unknown()])),
  asked('killedBy', z.tuple([z.unknown(), z.unknown(), EvidenceListSchema])),
  asked('undoneByEvents', z.tuple([z.unknown(), EvidenceListSchema])),
]);

/**
 * Answers a page that needs a proof: of the Setup it shows, which need not be kept. Nothing is written.
 * @param signal aborted when the page does not wait any more
 * @throws Failure 422 what was sent is no Setup; 503 there was no answer in time
 */
export async function answerPage(data: unknown, signal: AbortSignal): Promise<Response> {
  const { question, of } = checked(AskedSchema, data);
  const setup = validSetup(of[0]);
  switch (question) {
    case 'verdict':
      return asJson(await askWhile(signal, question, setup));
    case 'killedBy':
      return asJson(await askWhile(signal, question, setup, validSetup(of[1]), of[2]));
    case 'undoneByEvents':
      return asJson(await askWhile(signal, question, setup, of[1]));
  }
}

/** JSON would carry a number that is none as "nothing": better no answer, and the page works it out. */
function asJson(answer: unknown): Response {
  const text = JSON.stringify(answer, (_, value: unknown) => {
    if (typeof value === 'number' && !Number.isFinite(value))
      throw new Failure(503, [{ path: '', reason: 'the answer cannot be sent' }]);
    return value;
  });
  return new Response(text, { headers: { 'content-type': 'application/json' } });
}
