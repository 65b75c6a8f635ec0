import { startOut } from '@/server/archive';
import { answer } from '@/server/http';

export const POST = () => answer(() => startOut());
