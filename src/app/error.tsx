'use client';

export default function ErrorPage({ error, reset }: { error: Error; reset: () => void }) {
  return (
    <div role="alert" className="card border-stop m-8 max-w-xl">
      <h1 className="text-2xl font-bold">This page could not be shown</h1>
      <p className="mt-2 wrap-break-word">{error.message}</p>
      <p className="text-soft mt-1">Everything you saved is safe.</p>
      <button type="button" className="btn mt-4" onClick={reset}>
        Try again
      </button>
    </div>
  );
}
