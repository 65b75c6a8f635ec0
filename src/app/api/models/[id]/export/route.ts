import { answer, download } from '@/server/http';
import { getModel } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const GET = (_: Request, { params }: Context) =>
  answer(async () => {
    const { setup } = getModel((await params).id);
    const text = JSON.stringify(setup, null, 2) + '\n';
    return download(text, `${setup.name}.tolvan.json`, 'application/json; charset=utf-8');
  });
