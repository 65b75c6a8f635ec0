import { exportParts } from '@/server/hangar';
import { answer, download } from '@/server/http';

export const GET = () =>
  answer(() =>
    download(
      JSON.stringify(exportParts(), null, 2) + '\n',
      'hangar.tolvan.json',
      'application/json; charset=utf-8',
    ),
  );
