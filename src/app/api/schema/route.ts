import { setupJsonSchema } from '@/core/setup';

export const dynamic = 'force-static';

export const GET = () =>
  Response.json(setupJsonSchema(), {
    headers: { 'content-disposition': 'attachment; filename="tolvan-setup.schema.json"' },
  });
