import { z } from 'zod';
import type { Movement } from '../chain';
import type { ReadBack } from '../sheets';
import type { Expectation } from '../directions';
import type { ScriptStep, TestName } from '../script';
import { isTest } from './kinds/test/tests';

/** The two names evidence is kept under. Only this file makes them and takes them apart. */
export interface Subject {
  check: string;
  surface: string;
}

/** What a piece of evidence is about. */
export type About =
  | {
      kind: 'direction';
      check: string;
      surface: string;
      /** What is moved. */
      moved: 'stick' | 'model';
    }
  | { kind: 'reading'; pose: string; channel: number }
  | { kind: 'test'; test: TestName; item: string };

/**
 * What was seen: where a surface went, whether a test showed what it must, a value off the channel
 * monitor. 'unseen' takes an earlier answer back.
 */
export type Seen = Movement | 'unseen' | 'pass' | 'fail' | `${number}%`;

/** An answer that came from outside. */
export const SeenSchema = z.union([
  z.enum(['up', 'down', 'left', 'right', 'centre', 'unseen', 'pass', 'fail']),
  z.custom<`${number}%`>(
    (v) =>
      typeof v === 'string' && /^-?\d{1,3}(\.\d+)?%$/.test(v) && Math.abs(parseFloat(v)) <= 250,
    'must be a percentage to ±250, as "-96%"',
  ),
]) satisfies z.ZodType<Seen>;

/** The name of a movement of a surface. */
export const directionSubject = ({ check, surface }: Expectation): Subject => ({
  check: check.id,
  surface: surface.id,
});

/** The name of a value read off the channel monitor. */
export const readingSubject = ({ id, channel }: Pick<ReadBack, 'id' | 'channel'>): Subject => ({
  check: `read:${id}`,
  surface: `ch${channel}`,
});

/** The name of a step of a test. */
export const testSubject = ({ test, item }: Pick<ScriptStep, 'test' | 'item'>): Subject => ({
  check: `test:${test}`,
  surface: item,
});

/** Whether both are about the same. */
export const isSame = (a: Subject, b: Subject): boolean =>
  a.check === b.check && a.surface === b.surface;

/** What a name stands for; undefined where it is none of ours. */
export function aboutOf({ check, surface }: Subject): About | undefined {
  const [head, name] = check.split(':') as [string, string?];
  if (head === 'read' && name) {
    const channel = /^ch(\d+)$/.exec(surface)?.[1];
    return channel ? { kind: 'reading', pose: name, channel: Number(channel) } : undefined;
  }
  if (head === 'test' && name && isTest(name)) return { kind: 'test', test: name, item: surface };
  if (check.startsWith('stick-')) return { kind: 'direction', check, surface, moved: 'stick' };
  if (check.startsWith('correction-')) return { kind: 'direction', check, surface, moved: 'model' };
  return undefined;
}
