import { redirect } from 'next/navigation';

export default async function ModelPage({ params }: { params: Promise<{ id: string }> }) {
  redirect(`/models/${(await params).id}/job`);
}
