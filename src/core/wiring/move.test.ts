import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { applyPatch } from '../patch';
import { parseSetup } from '../setup';
import { leadMoved, leadsOf } from './index';

const setup = makeSetup();
const [first, second] = setup.installation.plugs;
const free = setup.unit.traits.ports.find(
  (p) => !setup.installation.plugs.some((x) => x.port === p.id),
)!;
const moved = (from: string, to: string) => applyPatch(setup, leadMoved(setup, from, to));
const ends = (s: typeof setup) => new Map(leadsOf(s).map((l) => [l.port, l.ends]));

describe('a lead moved to another plug', () => {
  it('takes what hangs on it along into a free one', () => {
    const after = moved(first!.port, free.id);
    expect(ends(after).get(free.id)).toEqual(ends(setup).get(first!.port));
    expect(ends(after).has(first!.port)).toBe(false);
  });
  it('changes places with the one that is there, Y-leads and all', () => {
    const after = moved(first!.port, second!.port);
    expect(ends(after).get(second!.port)).toEqual(ends(setup).get(first!.port));
    expect(ends(after).get(first!.port)).toEqual(ends(setup).get(second!.port));
    expect(parseSetup(after).ok).toBe(true);
  });
  it('put down where it was changes nothing, and twice is none', () => {
    expect(moved(first!.port, first!.port)).toEqual(setup);
    const twice = applyPatch(
      moved(first!.port, second!.port),
      leadMoved(moved(first!.port, second!.port), second!.port, first!.port),
    );
    expect(ends(twice)).toEqual(ends(setup));
  });
});
