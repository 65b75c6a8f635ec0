interface Options {
  /** A second one with the same name takes its place. */
  id?: string;
  duration?: number;
}
type Say = (words: string, options?: Options) => unknown;
export interface Toasts {
  success: Say;
  error: Say;
}

let arrive: (toasts: Toasts) => void;
/** What shows them is loaded once the page stands; what is said before that waits for it. */
const arrived = new Promise<Toasts>((resolve) => (arrive = resolve));

export const toastsArrived = (toasts: Toasts): void => arrive(toasts);

/** Something short at the lower edge that goes away by itself. */
export const toast = {
  success: (words: string, options?: Options) =>
    void arrived.then((t) => t.success(words, options)),
  error: (words: string, options?: Options) => void arrived.then((t) => t.error(words, options)),
};
