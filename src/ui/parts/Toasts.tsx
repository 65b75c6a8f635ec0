'use client';

import dynamic from 'next/dynamic';

/** Loaded after the page: nothing is said before something was done. */
export const Toasts = dynamic(() => import('./ToastPlace'), { ssr: false });
