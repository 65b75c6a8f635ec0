import { exportParts } from '@/server/hangar';
import { answer } from '@/server/http';

export const GET = () =>
  answer(
    () =>
      new Response(JSON.stringify(exportParts(), null, 2) + '\n', {
        headers: {
          'content-type': 'application/json; charset=utf-8',
          'content-disposition': 'attachment; filename="hangar.tolvan.json"',
        },
      }),
  );
