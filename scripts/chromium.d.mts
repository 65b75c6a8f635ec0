/** Path of a Chromium that is here; undefined where there is none. */
export function find(): string | undefined;
/** Path of a Chromium; ends the run with what to install when there is none to be had. */
export function chromium(): string;
