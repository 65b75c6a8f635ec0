import { z } from 'zod';
import { answer, checked, download } from '@/server/http';
import { ask } from '@/server/judge';
import { getModel, type ModelView } from '@/server/models';
import { PAPERS, listPdf, type PaperList } from '@/ui/paper/listPdf';
import { jobPaper, preflightPaper, wiringPaper } from '@/ui/paper/papers';

type Context = { params: Promise<{ id: string }> };

const MAKERS: Record<string, (view: ModelView) => PaperList | Promise<PaperList>> = {
  preflight: async (view) => preflightPaper(view, await ask('card', view.setup)),
  job: async (view) => jobPaper(view, await ask('way', view.setup, view.evidence)),
  wiring: wiringPaper,
};

const QuerySchema = z.object({
  what: z.enum(['preflight', 'job', 'wiring']),
  paper: z.enum(PAPERS).default('A4'),
});

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const view = getModel((await params).id);
    const { what, paper } = checked(
      QuerySchema,
      Object.fromEntries(new URL(request.url).searchParams),
    );
    const pdf = await listPdf(await MAKERS[what]!(view), paper);
    return download(pdf, `${view.setup.name} ${what}.pdf`, 'application/pdf');
  });
