import { answer } from '@/server/http';
import { otherModel } from '@/server/other';

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(async () =>
    otherModel((await params).id, Object.fromEntries(new URL(request.url).searchParams)),
  );
