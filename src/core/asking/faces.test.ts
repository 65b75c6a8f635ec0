import { describe, expect, it } from 'vitest';
import { FACES } from '../calibration';
import { FACES_BEGUN, faceAccepted, faceBefore, faceWaits, facesAsked, showFace } from './faces';

describe('six faces, one after another', () => {
  it('each accepted face leads to the next, and the last one finishes', () => {
    let session = FACES_BEGUN;
    const asked = FACES.map(() => {
      const { face } = facesAsked(session);
      session = faceAccepted(session);
      return face;
    });
    expect(asked).toEqual(FACES);
    expect(facesAsked(session)).toMatchObject({ done: true, at: FACES.length - 1 });
  });
  it('a face the unit does not accept stays current, and says so until the next action', () => {
    const waiting = faceWaits(faceAccepted(FACES_BEGUN));
    expect(facesAsked(waiting)).toMatchObject({ at: 1, waits: true });
    expect(facesAsked(faceAccepted(waiting))).toMatchObject({ at: 2, waits: false });
    expect(facesAsked(showFace(waiting, 4))).toMatchObject({ at: 4, waits: false });
  });
  it('back shows the face accepted last again, and it is open again', () => {
    const two = faceAccepted(faceAccepted(FACES_BEGUN));
    expect(facesAsked(faceBefore(two))).toMatchObject({ at: 1, done: false });
    const all = FACES.reduce(faceAccepted, FACES_BEGUN);
    expect(facesAsked(faceBefore(all))).toMatchObject({ at: FACES.length - 1, done: false });
    expect(facesAsked(FACES_BEGUN).canTakeBack).toBe(false);
    expect(facesAsked(faceBefore(FACES_BEGUN)).at).toBe(0);
  });
  it('a face chosen from the list accepts itself only: those before it stay open', () => {
    const looked = showFace(faceAccepted(FACES_BEGUN), 4);
    expect([facesAsked(looked).at, looked.accepted]).toEqual([4, [0]]);
    const taken = faceAccepted(looked);
    expect([facesAsked(taken).at, taken.accepted, facesAsked(taken).done]).toEqual([
      1,
      [0, 4],
      false,
    ]);
  });
});
