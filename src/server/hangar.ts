import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { TRANSMITTERS, UNITS } from '../core/catalogue';
import {
  HANGAR_FORMAT,
  IdSchema,
  circleFrom,
  parseHangarFile,
  parsePart,
  type HangarFile,
  type Part,
  type Transmitter,
  type Unit,
} from '../core/setup';
import type { StoredPart } from '../db';
import { Failure, notFound } from './failure';
import { checked } from './http';
import { workshop, type Workshop } from './workshop';

/** A part as the hangar shows it: a shipped one has no revision and cannot be changed. */
export type HangarPart = Part & { shipped: boolean; revision: number };

const now = () => new Date().toISOString();

const shippedParts = (): HangarPart[] => [
  ...Object.entries(UNITS).map(([id, body]): HangarPart => ({
    id,
    kind: 'unit',
    body,
    shipped: true,
    revision: 0,
  })),
  ...Object.entries(TRANSMITTERS).map(([id, body]): HangarPart => ({
    id,
    kind: 'transmitter',
    body,
    shipped: true,
    revision: 0,
  })),
];

const own = ({ changedAt: _, ...part }: StoredPart): HangarPart => ({ ...part, shipped: false });

/** Own parts first, then the ones that ship with the app. */
export function listParts(store = workshop()): HangarPart[] {
  return [...store.hangar.all().map(own), ...shippedParts()];
}

export function getPart(id: string, store = workshop()): HangarPart {
  const stored = store.hangar.get(id);
  const part = stored ? own(stored) : shippedParts().find((p) => p.id === id);
  if (!part) throw notFound('this part');
  return part;
}

/** A unit by the id of a kept or shipped part. @throws Failure 422 at `/unit` */
export function unitOf(id: string, store: Workshop): Unit {
  return bodyOf(id, 'unit', store) as Unit;
}
export function transmitterOf(id: string, store: Workshop): Transmitter {
  return bodyOf(id, 'transmitter', store) as Transmitter;
}
function bodyOf(id: string, kind: Part['kind'], store: Workshop): Unit | Transmitter {
  const part = listParts(store).find((p) => p.id === id && p.kind === kind);
  if (!part)
    throw new Failure(422, [{ path: `/${kind}`, reason: `there is no ${kind} "${id}" here` }]);
  return part.body;
}

const AddSchema = z.union([
  /** A copy of a part that is here. */
  z.strictObject({ copy: IdSchema }),
  /** A part out of a model. */
  z.strictObject({ kind: z.enum(['unit', 'transmitter']), body: z.unknown() }),
]);

/** Keeps a copy of a part, or a part out of a model. */
export function addPart(data: unknown, store = workshop()): { id: string } {
  const asked = checked(AddSchema, data);
  const id = `part-${randomUUID().slice(0, 8)}`;
  const from = 'copy' in asked ? getPart(asked.copy, store) : undefined;
  const part = from
    ? { id, kind: from.kind, copyOf: from.id, body: { ...from.body, name: copyName(from, store) } }
    : { id, ...asked };
  store.hangar.add(validPart(part), now());
  return { id };
}

/** "Name, copy 2": the first that is not taken. */
function copyName(from: HangarPart, store: Workshop): string {
  const names = new Set(listParts(store).map((p) => p.body.name));
  const base = from.body.name.replace(/, copy( \d+)?$/, '').slice(0, 68);
  let name = `${base}, copy`;
  for (let n = 2; names.has(name); n++) name = `${base}, copy ${n}`;
  return name;
}

function validPart(data: unknown): Part {
  const result = parsePart(data);
  if (!result.ok) throw new Failure(422, result.problems);
  return result.value;
}

const SaveSchema = z.strictObject({
  basedOn: z.int().min(1),
  body: z.unknown(),
  copyOf: IdSchema.optional(),
});

/** Changes a part of one's own. @throws OutdatedError when it was changed in between */
export function savePart(id: string, data: unknown, store = workshop()): HangarPart {
  const { basedOn, body, copyOf } = checked(SaveSchema, data);
  const part = getPart(id, store);
  if (part.shipped)
    throw new Failure(422, [
      {
        path: '',
        reason: 'a part that ships with the app stays as it is: make a copy and change that',
      },
    ]);
  const next = validPart({ id, kind: part.kind, ...(copyOf ? { copyOf } : {}), body });
  store.write(() => {
    const origins = new Map<string, string | undefined>(
      listParts(store).map((p) => [p.id, p.copyOf]),
    );
    origins.set(id, copyOf);
    if (copyOf !== undefined && copyOf !== part.copyOf && !origins.has(copyOf))
      throw new Failure(422, [{ path: '/copyOf', reason: `there is no part "${copyOf}"` }]);
    const circle = circleFrom(id, origins);
    if (circle)
      throw new Failure(422, [{ path: '/copyOf', reason: `copies form a loop: ${circle}` }]);
    store.hangar.save(next, basedOn, now());
  });
  return getPart(id, store);
}

export function removePart(id: string, store = workshop()): object {
  if (!store.hangar.remove(id)) throw notFound('this part');
  return {};
}

/** Every part of one's own, as a file. */
export function exportParts(store = workshop()): HangarFile {
  return {
    format: HANGAR_FORMAT,
    version: 1,
    parts: store.hangar.all().map(({ revision: _, changedAt: __, ...part }) => part as Part),
  };
}

/**
 * Takes in a hangar file: all of it or nothing. A part whose id is taken comes in under a new one.
 */
export function importParts(data: unknown, store = workshop()): { added: number } {
  const known = new Map(listParts(store).map((p) => [p.id, p.copyOf]));
  const result = parseHangarFile(data, known);
  if (!result.ok) throw new Failure(422, result.problems);
  const renamed = new Map(
    result.value.parts
      .filter((p) => known.has(p.id))
      .map((p) => [p.id, `part-${randomUUID().slice(0, 8)}`]),
  );
  store.write(() => {
    for (const part of result.value.parts)
      store.hangar.add(
        {
          ...part,
          id: renamed.get(part.id) ?? part.id,
          ...(part.copyOf ? { copyOf: renamed.get(part.copyOf) ?? part.copyOf } : {}),
        },
        now(),
      );
  });
  return { added: result.value.parts.length };
}
