import type { Database } from 'better-sqlite3';

/** A text as it is searched: “Ö” finds “ö”, “SS” finds “ß”, in every alphabet that has two cases. */
export const fold = (text: string): string => text.normalize('NFC').toUpperCase().toLowerCase();

/** Makes `fold(text)` known to a connection; what is indexed and what is looked for go through it alike. */
export function addFold(db: Database): void {
  db.function('fold', { deterministic: true }, (text: unknown) =>
    typeof text === 'string' ? fold(text) : null,
  );
}
