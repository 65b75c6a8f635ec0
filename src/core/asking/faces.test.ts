import { describe, expect, it } from 'vitest';
import { FACES } from '../calibration';
import { FACES_BEGUN, faceAccepted, faceBefore, faceWaits, facesAsked, showFace } from './faces';

describe('six faces, one after another', () => {
  it('each accepted one asks the next, and the last ends it', () => {
    let session = FACES_BEGUN;
    const asked = FACES.map(() => {
      const { face } = facesAsked(session);
      session = faceAccepted(session);
      return face;
    });
    expect(asked).toEqual(FACES);
    expect(facesAsked(session)).toMatchObject({ done: true, at: FACES.length - 1 });
  });
  it('a face that is waited at stays asked, and says so until something else is done', () => {
    const waiting = faceWaits(faceAccepted(FACES_BEGUN));
    expect(facesAsked(waiting)).toMatchObject({ at: 1, waits: true });
    expect(facesAsked(faceAccepted(waiting))).toMatchObject({ at: 2, waits: false });
    expect(facesAsked(showFace(waiting, 4))).toMatchObject({ at: 4, waits: false });
  });
  it('back asks the one before; from the end, the last again; at the first there is nothing', () => {
    const two = faceAccepted(faceAccepted(FACES_BEGUN));
    expect(facesAsked(faceBefore(two))).toMatchObject({ at: 1, done: false });
    const all = FACES.reduce(faceAccepted, FACES_BEGUN);
    expect(facesAsked(faceBefore(all))).toMatchObject({ at: FACES.length - 1, done: false });
    expect(facesAsked(FACES_BEGUN).canTakeBack).toBe(false);
    expect(facesAsked(faceBefore(FACES_BEGUN)).at).toBe(0);
  });
  it('one that is only looked at accepts nothing', () => {
    const looked = showFace(faceAccepted(FACES_BEGUN), 5);
    expect([facesAsked(looked).at, looked.accepted]).toEqual([5, 1]);
    expect(facesAsked(looked).done).toBe(false);
    expect(facesAsked(showFace(looked, 1))).toMatchObject({ at: 1, canTakeBack: true });
  });
});
