import type { Metadata } from 'next';
import { cookies } from 'next/headers';
import { notFound } from 'next/navigation';
import { Failure } from '@/server/failure';
import { getModel, type ModelView } from '@/server/models';
import { ModelFrame } from '@/ui/frame/ModelFrame';
import { asTheme, THEME_COOKIE } from '@/ui/theme/themes';

type Props = { params: Promise<{ id: string }>; children: React.ReactNode };

function load(id: string): ModelView {
  try {
    return getModel(id);
  } catch (error) {
    if (error instanceof Failure && error.status === 404) notFound();
    throw error;
  }
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  return { title: load((await params).id).setup.name };
}

export default async function ModelLayout({ params, children }: Props) {
  const view = load((await params).id);
  const theme = asTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <ModelFrame key={view.id} view={view} theme={theme}>
      {children}
    </ModelFrame>
  );
}
