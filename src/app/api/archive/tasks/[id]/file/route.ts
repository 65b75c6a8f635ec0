import { packedFile } from '@/server/archive';
import { answer, downloadFile } from '@/server/http';

type Context = { params: Promise<{ id: string }> };

export const dynamic = 'force-dynamic';

export const GET = (_: Request, { params }: Context) =>
  answer(async () => {
    const day = new Date().toISOString().slice(0, 10);
    return downloadFile(packedFile((await params).id), `workshop ${day}.zip`, 'application/zip');
  });
