import { receiveArchive } from '@/server/archive';
import { answer } from '@/server/http';
import { mustBeOurs } from '@/server/visitor';

/** Only looks: a POST to the task imports what is found. */
export const POST = (request: Request) =>
  answer(() => {
    // Not behind the proxy, which would hold the whole of it in memory.
    mustBeOurs(request, 'application/octet-stream');
    return receiveArchive(request);
  });
