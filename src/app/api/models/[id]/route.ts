import { answer } from '@/server/http';
import { getModel } from '@/server/models';

type Context = { params: Promise<{ id: string }> };

export const GET = (_: Request, { params }: Context) =>
  answer(async () => getModel((await params).id));
