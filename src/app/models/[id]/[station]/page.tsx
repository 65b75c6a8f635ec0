import { notFound } from 'next/navigation';
import { STATION_IDS, type StationId } from '@/core/procedure';
import { Station } from '@/ui/frame/Station';

/** One station of a model; what another station needs is not sent. */
export default async function StationPage({ params }: { params: Promise<{ station: string }> }) {
  const { station } = await params;
  const id = STATION_IDS.find((s) => s === station) as StationId | undefined;
  if (!id) notFound();
  return <Station id={id} />;
}
