import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { stamp, type Evidence } from '../logbook';
import type { Setup } from '../setup';
import * as asking from './index';
import { nameOfLook, type Answered, type DirectionsSession } from './index';

/** Somebody at the bench: answers are kept as they would be on the server. */
class Bench {
  session: DirectionsSession = asking.BEGUN;
  evidence: Evidence[] = [];
  constructor(
    readonly setup: Setup = makeSetup(),
    readonly kind: 'stick' | 'correction' = 'stick',
  ) {}
  get asked() {
    return asking.directionsAsked(this.setup, this.evidence, this.kind, this.session);
  }
  get name() {
    const { current } = this.asked;
    return current && nameOfLook(current.expectation);
  }
  put({ session, seen }: Answered): this {
    this.session = session;
    for (const { subject, seen: saw } of seen)
      this.evidence.push({
        ...subject,
        seen: saw,
        parts: stamp(this.setup, subject),
        version: 1,
        at: '2026-11-29T10:00:00.000Z',
      });
    return this;
  }
  /** Everything of the look in hand, as a clean model does it. */
  rightly(): this {
    const { asked } = this;
    return this.put(
      asking.answer(
        asked,
        this.session,
        asked.look.map((o) => [o, o.expectation.movement]),
      ),
    );
  }
  skip(): this {
    this.session = asking.skip(this.asked, this.session, this.asked.look);
    return this;
  }
}

describe('directions, one movement at a time', () => {
  it('every look comes in turn, until nothing is open', () => {
    const bench = new Bench();
    const total = bench.asked.order.length;
    const met: string[] = [];
    while (bench.asked.left > 0) {
      met.push(bench.asked.current!.expectation.check.id);
      expect(met.length).toBeLessThanOrEqual(total);
      bench.rightly();
    }
    expect(new Set(met).size).toBe(met.length);
    expect(bench.asked.diagnosis.verdicts.every((v) => v.stick === 'right')).toBe(true);
  });
  it('what is put off comes after everything else, the last put off last', () => {
    const bench = new Bench();
    const first = bench.name;
    bench.skip();
    const second = bench.name;
    expect(second).not.toBe(first);
    bench.skip().rightly();
    expect(bench.name).toBe(first);
    bench.rightly();
    expect(bench.name).toBe(second);
    expect(bench.asked.canSkip).toBe(false);
  });
  it('the last press is taken back, with all its surfaces, and asked again', () => {
    const bench = new Bench();
    const { left } = bench.asked;
    const first = bench.name;
    expect(bench.asked.canTakeBack).toBe(false);
    bench.rightly();
    expect(bench.asked.left).toBeLessThan(left);
    bench.put(asking.takeBack(bench.asked, bench.session));
    expect([bench.name, bench.asked.left]).toEqual([first, left]);
    expect(bench.asked.canTakeBack).toBe(false);
    expect(bench.evidence.at(-1)!.seen).toBe('unseen');
  });
  it('one is chosen by name, asked by itself, and then it goes on in turn', () => {
    const bench = new Bench();
    const last = bench.asked.order.at(-1)!;
    bench.session = asking.choose(bench.session, last);
    expect([bench.name, bench.session.byName]).toEqual([nameOfLook(last.expectation), true]);
    bench.rightly();
    expect(bench.session.byName).toBe(false);
    expect(bench.name).toBe(nameOfLook(bench.asked.order[0]!.expectation));
  });
  it('something that moved and should not is asked which way', () => {
    const bench = new Bench();
    while (bench.asked.left > 0) bench.rightly();
    const [look] = bench.asked.still;
    const before = bench.asked.order.length;
    bench.session = asking.elseMoved(bench.session, look!.members[0]!);
    expect(bench.asked.order.length).toBe(before + 1);
    expect(bench.name).toBe(nameOfLook(look!.members[0]!.expectation));
  });
  it('nothing else moves: each surface that stayed is kept by itself', () => {
    const bench = new Bench();
    while (bench.asked.left > 0) bench.rightly();
    const { still } = bench.asked;
    expect(still.length).toBeGreaterThan(1);
    const done = asking.nothingElse(bench.session, still);
    expect(done.seen.length).toBe(still.flatMap((s) => s.members).length);
    bench.put(done);
    expect(bench.asked.still).toEqual([]);
    // One is chosen from the list again.
    bench.session = asking.askStill(bench.session, still[0]!.check.id);
    expect(bench.asked.still.map((s) => s.check.id)).toEqual([still[0]!.check.id]);
  });
  it('an answer that could not be kept is named in full', () => {
    const bench = new Bench(makeSetup(), 'correction');
    const { seen } = asking.answer(bench.asked, bench.session, [[bench.asked.current!, 'centre']]);
    expect(seen[0]!.words).toMatch(/^“Raise the left wing.*: left aileron did not move”$/);
  });
  it('what changed since makes answers stale, and says why', () => {
    const bench = new Bench();
    bench.rightly();
    const setup = structuredClone(bench.setup);
    setup.installation.revisions.servoReplaced += 1;
    const after = asking.directionsAsked(setup, bench.evidence, 'stick', bench.session);
    expect(after.stale.count).toBeGreaterThan(0);
    expect(after.stale.reasons.join()).toMatch(/servo/);
  });
});
