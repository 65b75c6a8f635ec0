import { DOCUMENT_LIMITS, parseJson, type JsonLimits } from './parse';

/** What one member or one item may take, in bytes. */
export const MOST_ITEM_BYTES = 4_200_000;

/** A large JSON file that cannot be read: where in it, and why. */
export class JsonItemsError extends Error {
  constructor(
    /** JSON Pointer of the member or item. */
    readonly path: string,
    readonly reason: string,
  ) {
    super(`${path} ${reason}`);
  }
}

export interface ItemHandler {
  /** An item of one of the lists, parsed, with its number from 0. */
  item(list: string, value: unknown, index: number): void;
  /** Any other member of the object. */
  member(name: string, value: unknown): void;
}

const isBlank = (b: number) => b === 0x20 || b === 0x0a || b === 0x0d || b === 0x09;

/**
 * Reads one large JSON object, `{"id": "…", "log": [ …, … ], …}`, from bytes as they come, an item at
 * a time: a file of any size takes the memory of its largest item. With `lists` given as '' the file
 * is one list, and its items belong to the list ''. A general streaming parser makes a token of every
 * value and is twenty times slower here; this one only finds where the items end, and the items go
 * through the platform's own parser.
 */
export function itemReader(lists: readonly string[], handler: ItemHandler, limits?: JsonLimits) {
  const most = limits ?? DOCUMENT_LIMITS;
  const isList = lists.includes('');
  /** Bytes of the piece in hand that came with earlier chunks. */
  let carried: Uint8Array[] = [];
  let carriedBytes = 0;
  let depth = 0;
  let inString = false;
  let escaped = false;
  let name: string | undefined;
  let inside: { list: string; count: number } | undefined;
  let ended = false;

  const path = () =>
    inside ? `${isList ? '' : `/${inside.list}`}/${inside.count}` : `/${name ?? ''}`;
  const fail = (reason: string): never => {
    throw new JsonItemsError(path(), reason);
  };
  const decoder = new TextDecoder('utf-8', { fatal: true, ignoreBOM: true });
  /** The piece from `start` to `end` of this chunk, with what was carried before it. */
  const piece = (chunk: Uint8Array, start: number, end: number): string => {
    const last = chunk.subarray(start, end);
    let bytes = last;
    if (carried.length > 0) {
      bytes = new Uint8Array(carriedBytes + last.length);
      let at = 0;
      for (const part of [...carried, last]) {
        bytes.set(part, at);
        at += part.length;
      }
    }
    carried = [];
    carriedBytes = 0;
    if (bytes.length > MOST_ITEM_BYTES) fail('too large');
    try {
      return decoder.decode(bytes);
    } catch {
      return fail('not UTF-8');
    }
  };
  const parsed = (text: string): unknown => {
    const result = parseJson(text, most);
    return result.ok ? result.value : fail(result.reason);
  };
  const endItem = (text: string, closing: boolean): void => {
    const list = inside!;
    if (closing && list.count === 0 && text.trim() === '') return;
    handler.item(list.list, parsed(text), list.count);
    list.count += 1;
  };
  const endMember = (text: string, closing: boolean): void => {
    if (name === undefined) {
      if (closing && text.trim() === '') return;
      fail('a member without a name');
    }
    // A list has been handed over item by item; what is left of it is its closing bracket.
    if (!lists.includes(name!)) handler.member(name!, parsed(text));
    name = undefined;
  };

  return {
    push(chunk: Uint8Array): void {
      let start = 0;
      for (let i = 0; i < chunk.length; i++) {
        const b = chunk[i]!;
        if (inString) {
          if (escaped) escaped = false;
          else if (b === 0x5c) escaped = true;
          else if (b === 0x22) inString = false;
          continue;
        }
        if (isBlank(b)) continue;
        if (ended) fail('something after its end');
        if (depth === 0 && b !== (isList ? 0x5b : 0x7b))
          fail(`not a ${isList ? 'list' : 'JSON object'}`);
        const itemDepth = isList ? 1 : 2;
        if (b === 0x22) inString = true;
        else if (b === 0x7b || b === 0x5b) {
          depth += 1;
          if (depth > most.depth + 2) fail(`nested more than ${most.depth} deep`);
          const opensList = isList
            ? depth === 1
            : depth === 2 && name !== undefined && lists.includes(name);
          if (opensList) {
            if (b !== 0x5b) fail('must be a list');
            inside = { list: isList ? '' : name!, count: 0 };
          }
          if (opensList || depth === 1) {
            carried = [];
            carriedBytes = 0;
            start = i + 1;
          }
        } else if (b === 0x7d || b === 0x5d) {
          if (inside && depth === itemDepth) {
            endItem(piece(chunk, start, i), true);
            inside = undefined;
            start = i + 1;
          } else if (depth === 1) {
            endMember(piece(chunk, start, i), true);
            start = i + 1;
          }
          depth -= 1;
          if (depth === 0) ended = true;
        } else if (b === 0x2c && inside && depth === itemDepth) {
          endItem(piece(chunk, start, i), false);
          start = i + 1;
        } else if (b === 0x2c && depth === 1) {
          endMember(piece(chunk, start, i), false);
          start = i + 1;
        } else if (b === 0x3a && depth === 1 && name === undefined && !isList) {
          const given = parsed(piece(chunk, start, i));
          if (typeof given !== 'string') fail('a member without a name');
          name = given as string;
          start = i + 1;
        } else if (
          depth === 1 &&
          !isList &&
          name !== undefined &&
          lists.includes(name) &&
          !inside
        ) {
          fail('must be a list');
        }
      }
      const rest = chunk.subarray(start);
      carriedBytes += rest.length;
      if (carriedBytes > MOST_ITEM_BYTES) fail('too large');
      if (rest.length > 0) carried.push(rest.slice());
    },
    /** @throws JsonItemsError where the file ends too early */
    end(): void {
      if (!ended) fail('ends too early');
    },
  };
}
