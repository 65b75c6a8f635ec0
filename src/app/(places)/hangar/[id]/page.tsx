import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { getPart, listParts, type HangarPart } from '@/server/hangar';
import { PartEditor } from '@/ui/hangar/PartEditor';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Part' };

export default async function PartPage({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  let part: HangarPart;
  try {
    part = getPart(id);
  } catch {
    notFound();
  }
  const origins = listParts()
    .filter((p) => p.kind === part.kind && p.id !== id)
    .map((p) => ({ id: p.id, name: p.body.name, body: p.body }));
  return <PartEditor part={part} origins={origins} />;
}
