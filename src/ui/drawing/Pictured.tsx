'use client';

import { Component, useSyncExternalStore } from 'react';

let answer: boolean | undefined;

/** Whether this browser draws solids at all: some have it switched off, some machines cannot. */
function drawsSolids(): boolean {
  if (answer === undefined) {
    try {
      const context = document.createElement('canvas').getContext('webgl2');
      answer = context !== null;
      context?.getExtension('WEBGL_lose_context')?.loseContext();
    } catch {
      answer = false;
    }
  }
  return answer;
}

const never = () => () => undefined;

/** A picture in 3D, or the plain one where there is no 3D, or it breaks. */
export function Pictured({
  children,
  plain,
}: {
  children: React.ReactNode;
  plain: React.ReactNode;
}) {
  const can = useSyncExternalStore(never, drawsSolids, () => undefined);
  if (can === undefined) return null;
  return can ? <Unbroken plain={plain}>{children}</Unbroken> : plain;
}

class Unbroken extends Component<
  { children: React.ReactNode; plain: React.ReactNode },
  { broken: boolean }
> {
  override state = { broken: false };
  static getDerivedStateFromError() {
    return { broken: true };
  }
  override render() {
    return this.state.broken ? this.props.plain : this.props.children;
  }
}
