import { answer, readJson } from '@/server/http';
import { backTo, compareVersions } from '@/server/log';

type Context = { params: Promise<{ id: string }> };

export const GET = (request: Request, { params }: Context) =>
  answer(async () =>
    compareVersions((await params).id, Object.fromEntries(new URL(request.url).searchParams)),
  );

export const POST = (request: Request, { params }: Context) =>
  answer(async () => backTo((await params).id, await readJson(request)));
