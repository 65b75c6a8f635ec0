import { z } from 'zod';
import { ENTRY_STYLES } from '@/core/setup';
import { sheetMarkdown } from '@/core/sheets';
import { answer, checked, download } from '@/server/http';
import { ask } from '@/server/judge';
import { getModel } from '@/server/models';
import { sheetPdf } from '@/ui/sheet/sheetPdf';

type Context = { params: Promise<{ id: string }> };

const QuerySchema = z.object({
  style: z.enum(ENTRY_STYLES).optional(),
  as: z.enum(['md', 'pdf']).default('md'),
  paper: z.enum(['A4', 'LETTER']).default('A4'),
});

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const { setup } = getModel((await params).id);
    const query = checked(QuerySchema, Object.fromEntries(new URL(request.url).searchParams));
    const sheet = await ask('sheet', setup, query.style);
    return query.as === 'pdf'
      ? download(await sheetPdf(sheet, query.paper), `${setup.name} sheet.pdf`, 'application/pdf')
      : download(sheetMarkdown(sheet), `${setup.name} sheet.md`, 'text/markdown; charset=utf-8');
  });
