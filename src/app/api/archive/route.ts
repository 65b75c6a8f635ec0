import { endTask, finished, packedFile, startOut } from '@/server/archive';
import { answer, downloadFile } from '@/server/http';

export const dynamic = 'force-dynamic';

/** The whole workshop in one answer, for scripts; the page packs it as a task, to show how far it is. */
export const GET = () =>
  answer(async () => {
    const { id } = await finished(startOut().id);
    const day = new Date().toISOString().slice(0, 10);
    return downloadFile(packedFile(id), `workshop ${day}.zip`, 'application/zip', () =>
      endTask(id),
    );
  });
