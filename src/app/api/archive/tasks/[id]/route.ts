import { endTask, startIn, taskOf } from '@/server/archive';
import { answer } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

export const dynamic = 'force-dynamic';

export const GET = (_: Request, { params }: Context) =>
  answer(async () => taskOf((await params).id));

/** Imports what was checked. */
export const POST = (_: Request, { params }: Context) =>
  answer(async () => startIn((await params).id));

export const DELETE = (_: Request, { params }: Context) =>
  answer(async () => endTask((await params).id));
