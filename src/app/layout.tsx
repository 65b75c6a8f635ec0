import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bitter';
import '@fontsource-variable/spline-sans-mono';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import { Toaster } from 'sonner';
import { TopBar } from '@/ui/frame/TopBar';
import { asTheme, THEME_COOKIE } from '@/ui/theme/themes';

export const metadata: Metadata = {
  title: { default: 'Tolvan', template: '%s · Tolvan' },
  description: 'A workbench for fitting and proving a stabilizing receiver',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  const theme = asTheme((await cookies()).get(THEME_COOKIE)?.value);
  return (
    <html lang="en" data-theme={theme}>
      <body className="min-h-screen">
        <a href="#main" className="btn sr-only focus:not-sr-only focus:absolute focus:z-50">
          Skip to content
        </a>
        <TopBar theme={theme} />
        <main id="main" className="mx-auto max-w-7xl px-4 pb-16">
          {children}
        </main>
        <Toaster position="bottom-center" closeButton />
      </body>
    </html>
  );
}
