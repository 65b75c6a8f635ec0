import { FACES, type Face } from '../calibration';

/** How far the six faces have got. */
export interface FacesSession {
  /** Faces the unit has accepted, in their order; as many as there are: done. */
  readonly accepted: number;
  /** The one looked at, where it is not the next. */
  readonly shown?: number | undefined;
  /** The unit does not go on from the face that is next. */
  readonly waits: boolean;
}

export const FACES_BEGUN: FacesSession = { accepted: 0, waits: false };

export interface FacesAsked {
  /** From 0. */
  at: number;
  face: Face;
  done: boolean;
  waits: boolean;
  canTakeBack: boolean;
}

export function facesAsked({ accepted, shown, waits }: FacesSession): FacesAsked {
  const at = Math.min(shown ?? accepted, FACES.length - 1);
  return {
    at,
    face: FACES[at]!,
    done: accepted === FACES.length && shown === undefined,
    waits,
    canTakeBack: accepted > 0 || shown !== undefined,
  };
}

/** The unit went on: everything up to this face is taken, and the next is asked. */
export const faceAccepted = (session: FacesSession): FacesSession => ({
  accepted: facesAsked(session).at + 1,
  waits: false,
});

export const faceWaits = (session: FacesSession): FacesSession => ({
  accepted: facesAsked(session).at,
  waits: true,
});

/** Back to the face before: the unit is shown it again. */
export function faceBefore(session: FacesSession): FacesSession {
  const { at, done } = facesAsked(session);
  return { accepted: done ? at : Math.max(0, at - 1), waits: false };
}

export const showFace = (session: FacesSession, at: number): FacesSession => ({
  ...session,
  waits: false,
  shown: at === session.accepted ? undefined : at,
});
