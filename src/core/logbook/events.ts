import type { PatchOperation } from '../patch';
import { kindOf, type Airframe, type Installation, type Setup } from '../setup';

type Counter = keyof Installation['revisions'];

/** Something that happened to the model, and which counters it moves on: they stale what depends. */
export interface PhysicalEvent {
  id: string;
  title: string;
  /** The same of a model that does not fly. */
  onSurface?: string;
  bumps: readonly Counter[];
}

/** What can happen on and off the bench; a new one is a line here. */
export const EVENTS: readonly PhysicalEvent[] = [
  { id: 'servo', title: 'Servo replaced', bumps: ['servoReplaced'] },
  {
    id: 'linkage',
    title: 'Surface or linkage changed',
    onSurface: 'Steering or linkage changed',
    bumps: ['linkageChanged'],
  },
  { id: 'moved', title: 'Unit moved or removed', bumps: ['unitMoved'] },
  { id: 'crash', title: 'Crash or hard landing', onSurface: 'Crash', bumps: ['crash'] },
  {
    id: 'unit-replaced',
    title: 'Another unit fitted, of the same kind or not',
    bumps: ['unitReset', 'unitMoved', 'unitFirmware'],
  },
  { id: 'unit-update', title: 'Unit updated', bumps: ['unitFirmware'] },
  { id: 'reset', title: 'Unit reset, or its questionnaire run again', bumps: ['unitReset'] },
  { id: 'transmitter-update', title: 'Transmitter updated', bumps: ['transmitterFirmware'] },
  { id: 'module', title: 'New radio module, or bound again', bumps: ['radioModule'] },
  {
    id: 'trims',
    title: 'Trims moved in flight',
    onSurface: 'Trims moved on a run',
    bumps: ['trimsMoved'],
  },
];

/** What an event is called on this kind of model. */
export const eventTitle = (event: PhysicalEvent, airframe: Pick<Airframe, 'kind'>): string =>
  (kindOf(airframe).onSurface ? event.onSurface : undefined) ?? event.title;

/** The Setup after an event, as a patch. @throws RangeError for an event there is not */
export function eventPatch({ installation }: Setup, id: string): PatchOperation[] {
  const event = EVENTS.find((e) => e.id === id);
  if (!event) throw new RangeError(`there is no event "${id}"`);
  return event.bumps.map((counter) => ({
    op: 'add',
    path: `/installation/revisions/${counter}`,
    value: (installation.revisions[counter] ?? 0) + 1,
  }));
}
