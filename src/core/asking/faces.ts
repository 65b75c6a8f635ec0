import { FACES, type Face } from '../calibration';

/** Progress through the six faces. */
export interface FacesSession {
  /** Faces the unit has accepted, by their place in the list. */
  readonly accepted: readonly number[];
  /** The face shown, where it is not the first that is open. */
  readonly shown?: number | undefined;
  /** The unit does not accept the current face. */
  readonly waits: boolean;
}

export const FACES_BEGUN: FacesSession = { accepted: [], waits: false };

export interface FacesAsked {
  /** From 0. */
  at: number;
  face: Face;
  done: boolean;
  waits: boolean;
  canTakeBack: boolean;
}

export function facesAsked({ accepted, shown, waits }: FacesSession): FacesAsked {
  const open = FACES.findIndex((_, i) => !accepted.includes(i));
  const at = shown ?? (open < 0 ? FACES.length - 1 : open);
  return {
    at,
    face: FACES[at]!,
    done: open < 0 && shown === undefined,
    waits,
    canTakeBack: accepted.length > 0,
  };
}

/** The unit accepted this face: the first open one comes next. */
export function faceAccepted(session: FacesSession): FacesSession {
  const { at } = facesAsked(session);
  return { accepted: [...session.accepted.filter((i) => i !== at), at], waits: false };
}

/** The unit does not accept this face. */
export const faceWaits = (session: FacesSession): FacesSession => ({ ...session, waits: true });

/** Back to the face accepted last. */
export const faceBefore = ({ accepted }: FacesSession): FacesSession => ({
  accepted: accepted.slice(0, -1),
  shown: accepted.at(-1),
  waits: false,
});

export const showFace = (session: FacesSession, at: number): FacesSession => ({
  ...session,
  waits: false,
  shown: at,
});
