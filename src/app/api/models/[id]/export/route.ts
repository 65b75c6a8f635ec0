import { answer } from '@/server/http';
import { getModel } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const GET = (_: Request, { params }: Context) =>
  answer(async () => {
    const { setup } = getModel((await params).id);
    const name = setup.name.replace(/[^A-Za-z0-9 _-]/g, '').trim() || 'setup';
    return new Response(JSON.stringify(setup, null, 2) + '\n', {
      headers: {
        'content-type': 'application/json; charset=utf-8',
        'content-disposition': `attachment; filename="${name}.tolvan.json"`,
      },
    });
  });
