import { z } from 'zod';
import { answer, checked, download } from '@/server/http';
import { getModel } from '@/server/models';
import { PAPERS, listPdf } from '@/ui/paper/listPdf';
import { jobPaper, preflightPaper, wiringPaper } from '@/ui/paper/papers';

type Context = { params: Promise<{ id: string }> };

const MAKERS = { preflight: preflightPaper, job: jobPaper, wiring: wiringPaper };

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
    const pdf = await listPdf(MAKERS[what](view), paper);
    return download(pdf, `${view.setup.name} ${what}.pdf`, 'application/pdf');
  });
