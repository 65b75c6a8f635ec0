import type { PatchOperation } from '../patch';
import { pointer, type Setup } from '../setup';

/**
 * Puts what depends on one plug into another; where that one is taken, the two change places. What a
 * lead drives, and whether it is a Y-lead, goes with it.
 */
export function leadMoved({ installation }: Setup, from: string, to: string): PatchOperation[] {
  const { plugs } = installation;
  const moved = plugs.map((p) =>
    p.port === from ? { ...p, port: to } : p.port === to ? { ...p, port: from } : p,
  );
  return [{ op: 'replace', path: pointer('installation', 'plugs'), value: moved }];
}
