import { z } from 'zod';
import { sheetFor, sheetMarkdown } from '@/core/sheets';
import { answer, checked } from '@/server/http';
import { getModel } from '@/server/models';
import { sheetPdf } from '@/ui/sheet/sheetPdf';

type Context = { params: Promise<{ id: string }> };

const QuerySchema = z.object({
  style: z.enum(['line', 'function', 'switch-value']).optional(),
  as: z.enum(['md', 'pdf']).default('md'),
  paper: z.enum(['A4', 'LETTER']).default('A4'),
});

export const GET = (request: Request, { params }: Context) =>
  answer(async () => {
    const { setup } = getModel((await params).id);
    const query = checked(QuerySchema, Object.fromEntries(new URL(request.url).searchParams));
    const sheet = sheetFor(setup, query.style);
    const name = `${setup.name.replace(/[^A-Za-z0-9 _-]/g, '').trim() || 'model'} sheet`;
    const file = (type: string, ending: string) => ({
      headers: {
        'content-type': type,
        'content-disposition': `attachment; filename="${name}.${ending}"`,
      },
    });
    return query.as === 'pdf'
      ? new Response(
          new Uint8Array(await sheetPdf(sheet, query.paper)),
          file('application/pdf', 'pdf'),
        )
      : new Response(sheetMarkdown(sheet), file('text/markdown; charset=utf-8', 'md'));
  });
