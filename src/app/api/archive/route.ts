import { exportArchive, importArchive, previewArchive } from '@/server/archive';
import { answer, download, readBytes } from '@/server/http';

export const dynamic = 'force-dynamic';

export const GET = () =>
  answer(() => {
    const day = new Date().toISOString().slice(0, 10);
    return download(exportArchive(), `workshop ${day}.zip`, 'application/zip');
  });

/** Looks first: only with ?confirm=yes is anything written. */
export const POST = (request: Request) =>
  answer(async () => {
    const zip = await readBytes(request, MAX_ARCHIVE_BYTES);
    return new URL(request.url).searchParams.get('confirm') === 'yes'
      ? importArchive(zip)
      : previewArchive(zip);
  });

const MAX_ARCHIVE_BYTES = 200_000_000;
