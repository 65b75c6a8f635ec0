import { cookies } from 'next/headers';
import { TopBar } from '@/ui/frame/TopBar';
import { asTheme, THEME_COOKIE } from '@/ui/theme/themes';

/** The places that belong to no model: the shelf, the hangar, a new model. */
export default async function PlacesLayout({ children }: { children: React.ReactNode }) {
  const theme = asTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <>
      <TopBar theme={theme} />
      <main id="main" className="@container mx-auto max-w-7xl px-4 pb-16">
        {children}
      </main>
    </>
  );
}
