import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { stamp, type Evidence } from '../logbook';
import { POSES_BEGUN, asShown, choosePose, explained, posesAsked, read, type Read } from './poses';

const setup = makeSetup();
const kept = (reads: readonly Read[]): Evidence[] =>
  reads.map(({ subject, seen }) => ({
    ...subject,
    seen,
    parts: stamp(setup, subject),
    version: 1,
    at: '2026-11-29T12:00:00.000Z',
  }));
const begun = posesAsked(setup, [], POSES_BEGUN);

describe('poses, one after another', () => {
  it('the first open pose is asked; once correct, the next', () => {
    expect(begun.current).toBe(begun.poses[0]);
    let session = POSES_BEGUN;
    const evidence: Evidence[] = [];
    for (const pose of begun.poses) {
      const asked = posesAsked(setup, evidence, session);
      expect(asked.current!.pose.id).toBe(pose.pose.id);
      const done = asShown(asked, asked.current!);
      session = done.session;
      evidence.push(...kept(done.reads));
    }
    const all = posesAsked(setup, evidence, session);
    expect([all.proven, all.current]).toEqual([all.poses.length, undefined]);
    expect(explained(setup, all)).toBeUndefined();
  });
  it('a chosen pose is asked, proven or not', () => {
    const last = begun.poses.at(-1)!;
    expect(posesAsked(setup, [], choosePose(last.pose.id)).current!.number).toBe(last.number);
    expect(posesAsked(setup, [], choosePose('no such pose')).current!.number).toBe(1);
  });
  it('a deleted number is unseen', () => {
    const [pose] = begun.poses;
    const [row] = pose!.column;
    expect(read(row!.asked, pose!, undefined).seen).toBe('unseen');
    expect(read(row!.asked, pose!, 12)).toMatchObject({
      seen: '12%',
      words: expect.stringMatching(/^Channel \d+, .+, pose 1$/) as string,
    });
  });
  it('one reversed channel is named as the wrong entry that explains what was read', () => {
    const channel = begun.poses[0]!.column[0]!.asked.channel;
    const evidence = begun.poses.flatMap((pose) =>
      kept(
        pose.column.map(({ asked }) => {
          const pct = Math.round(asked.predictedPct);
          return read(asked, pose, asked.channel === channel ? -pct : pct);
        }),
      ),
    );
    const says = explained(setup, posesAsked(setup, evidence, POSES_BEGUN))!.map((e) => e.says);
    expect(says[0]).toMatch(/revers/i);
  });
});
