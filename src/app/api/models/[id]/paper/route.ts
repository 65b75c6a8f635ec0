import { z } from 'zod';
import { SYSTEMS } from '@/core/measure';
import { answer, checked, download } from '@/server/http';
import { ask } from '@/server/judge';
import { getModel, type ModelView } from '@/server/models';
import { inMeasures } from '@/ui/paper/inMeasures';
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
  measures: z.enum(SYSTEMS).default('metric'),
});

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const view = getModel((await params).id);
    const { what, paper, measures } = checked(
      QuerySchema,
      Object.fromEntries(new URL(request.url).searchParams),
    );
    const pdf = await listPdf(inMeasures(await MAKERS[what]!(view), measures), paper);
    return download(pdf, `${view.setup.name} ${what}.pdf`, 'application/pdf');
  });
