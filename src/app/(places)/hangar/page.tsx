import type { Metadata } from 'next';
import { listParts } from '@/server/hangar';
import { HangarShelf } from '@/ui/hangar/HangarShelf';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Hangar' };

export default function HangarPage() {
  return <HangarShelf parts={listParts()} />;
}
