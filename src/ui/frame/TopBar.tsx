import { Link } from '../parts/Link';
import { LightButton } from '../theme/LightButton';
import type { Theme } from '../theme/themes';

/** Name of the place, way home, and the light one works in. */
export function TopBar({ theme }: { theme: Theme }) {
  const place = 'flex min-h-11 items-center px-3 underline-offset-4 hover:underline';
  return (
    <header className="mx-auto flex max-w-7xl items-center justify-between px-4 py-2 print:hidden">
      <Link
        href="/"
        className="font-head flex min-h-11 items-center text-2xl font-bold tracking-tight"
      >
        Tolvan
      </Link>
      <nav aria-label="Places" className="flex items-center gap-1">
        <Link href="/" className={place}>
          Shelf
        </Link>
        <Link href="/hangar" className={place}>
          Hangar
        </Link>
        <LightButton theme={theme} />
      </nav>
    </header>
  );
}
