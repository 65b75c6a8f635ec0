import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bitter';
import '@fontsource-variable/spline-sans-mono';
import './globals.css';
import type { Metadata, Viewport } from 'next';
import { cookies } from 'next/headers';
import { workshopProblem } from '@/server/workshop';
import { Toasts } from '@/ui/parts/Toasts';
import { asTheme, THEME_COOKIE } from '@/ui/theme/themes';

export const metadata: Metadata = {
  title: { default: 'Tolvan', template: '%s · Tolvan' },
  description: 'A workbench for fitting and proving a stabilizing receiver',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: React.ReactNode }) {
  const theme = asTheme((await cookies()).get(THEME_COOKIE)?.value);
  const problem = workshopProblem();
  return (
    <html lang="en" data-theme={theme}>
      <body className="min-h-screen">
        <a href="#main" className="btn sr-only focus:not-sr-only focus:absolute focus:z-50">
          Skip to content
        </a>
        {problem === undefined ? children : <Unusable problem={problem} />}
        <Toasts />
      </body>
    </html>
  );
}

/** A file that is not ours, or is damaged, is never written to: what to do instead. */
function Unusable({ problem }: { problem: string }) {
  return (
    <main id="main" role="alert" className="card border-stop m-8 max-w-2xl">
      <h1 className="text-2xl font-bold">The workshop cannot be opened</h1>
      <p className="mt-2 wrap-break-word">{problem}</p>
      <p className="mt-2">
        Move that file away, or set another folder in <code>TOLVAN_DATA</code>, start again, and
        import your last archive.
      </p>
    </main>
  );
}
