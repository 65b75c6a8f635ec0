'use client';

import { useEffect } from 'react';
import { useRig } from './rigStore';

/** Says to the rig whether this transmitter is on the screen: there is never a second one beside it. */
export function useFaceShown(face: React.RefObject<HTMLElement | null>) {
  const setFaceShown = useRig((s) => s.setFaceShown);
  useEffect(() => {
    const watch = new IntersectionObserver(
      ([entry]) => setFaceShown(entry!.intersectionRatio > 0.4),
      { threshold: [0.4] },
    );
    if (face.current) watch.observe(face.current);
    return () => {
      watch.disconnect();
      setFaceShown(false);
    };
  }, [face, setFaceShown]);
}
