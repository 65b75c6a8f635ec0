/** A thing under the name a person gave it, or a code with its words: only the id is what is asked. */
export interface Named {
  id: string;
  label: string;
}

/** What a sentence is made of, without a word of any language. */
export type Data =
  string | number | boolean | null | readonly Data[] | { readonly [key: string]: Data };

/** One thing to do or to see: as data, and in words made of nothing else. */
export interface Sentence {
  words: string;
  asks: Data;
  /** What it says is wrong, as the Setup stands. */
  isFault?: true;
}

/** Marks what must be seen as a fault of the Setup. */
export const fault = (sentence: Sentence): Sentence => ({ ...sentence, isFault: true });

/** What a sentence may be about. Figures come rounded as they are shown. */
export type About =
  | string
  | number
  | boolean
  | undefined
  | Named
  | Sentence
  | readonly About[]
  | { readonly [key: string]: About };

const isNamed = (about: object): about is Named => 'id' in about && 'label' in about;
const isSentence = (about: object): about is Sentence => 'asks' in about && 'words' in about;

function dataOf(about: About): Data {
  if (about === undefined) return null;
  if (typeof about !== 'object') return about;
  if (Array.isArray(about)) return (about as readonly About[]).map(dataOf);
  if (isNamed(about)) return about.id;
  if (isSentence(about)) return about.asks;
  return Object.fromEntries(
    Object.entries(about as Readonly<Record<string, About>>).map(([key, a]) => [key, dataOf(a)]),
  );
}

type Words = (about: never) => string;

/**
 * The sentences of one room by their codes. Each is made of its code and what it is about, and its
 * words of nothing else: other words never make another sentence, and nothing the words say is
 * missing from the data.
 */
export function sentences<T extends Record<string, Words>>(
  room: string,
  table: T,
): { [Code in keyof T]: (...about: Parameters<T[Code]>) => Sentence } {
  const made = Object.entries(table).map(([code, words]) => [
    code,
    (about?: About): Sentence => ({
      words: (words as (about?: About) => string)(about),
      asks: about === undefined ? `${room}.${code}` : [`${room}.${code}`, dataOf(about)],
    }),
  ]);
  return Object.fromEntries(made) as { [C in keyof T]: (...about: Parameters<T[C]>) => Sentence };
}
