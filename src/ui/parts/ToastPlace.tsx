'use client';

import { useEffect } from 'react';
import { toast, Toaster } from 'sonner';
import { toastsArrived } from './toast';

/** Where what is said for a moment is shown. */
export default function ToastPlace() {
  useEffect(() => toastsArrived(toast), []);
  return <Toaster position="bottom-center" closeButton />;
}
