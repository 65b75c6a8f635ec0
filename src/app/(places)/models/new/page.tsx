import { listParts } from '@/server/hangar';
import { NewModelForm } from '@/ui/newmodel/NewModelForm';
import type { Metadata } from 'next';
import { namesOnShelf } from '@/server/shelf';
import { StartFrom } from '@/ui/newmodel/StartFrom';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'New model' };

export default function NewModelPage() {
  return (
    <>
      <h1 className="my-4 text-3xl font-bold">New model</h1>
      <NewModelForm parts={listParts()} />
      <StartFrom own={namesOnShelf()} />
    </>
  );
}
