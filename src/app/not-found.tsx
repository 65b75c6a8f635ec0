import { Link } from '@/ui/parts/Link';

export default function NotFound() {
  return (
    <main id="main" className="card m-8 max-w-xl">
      <h1 className="text-2xl font-bold">Page not found</h1>
      <p className="mt-2">
        There is no model at this address. It may belong to another data folder.
      </p>
      <Link href="/" className="btn mt-4">
        Back to the shelf
      </Link>
    </main>
  );
}
