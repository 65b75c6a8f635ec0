/** How what lies over the page looks, and the ground under it. */
export const OVER = {
  ground: 'fixed inset-0 z-40 bg-black/50',
  place:
    'card fixed top-1/2 left-1/2 z-50 max-h-[85vh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto wrap-break-word',
  narrow: 'w-[min(28rem,92vw)]',
  wide: 'w-[min(40rem,94vw)]',
} as const;
