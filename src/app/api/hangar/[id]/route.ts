import { removePart, savePart } from '@/server/hangar';
import { answer, readJson } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

export const PUT = (request: Request, { params }: Context) =>
  answer(async () => savePart((await params).id, await readJson(request)));

export const DELETE = (_: Request, { params }: Context) =>
  answer(async () => removePart((await params).id));
