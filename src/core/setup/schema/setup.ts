import { z } from 'zod';
import { SETUP_FORMAT, SETUP_VERSION } from '../lists';
import { AirframeSchema } from './airframe';
import { LabelSchema, NoteSchema } from './basics';
import { InstallationSchema } from './installation';
import { IntentsSchema } from './intents';
import { ProgramSchema } from './program';
import { TransmitterSchema } from './transmitter';
import { UnitSchema } from './unit';

/** Everything decided about one model. Immutable: every save is a new version. */
export const SetupSchema = z.strictObject({
  format: z.literal(SETUP_FORMAT),
  version: z.literal(SETUP_VERSION),
  name: LabelSchema,
  notes: NoteSchema,
  airframe: AirframeSchema,
  unit: UnitSchema,
  transmitter: TransmitterSchema,
  program: ProgramSchema,
  installation: InstallationSchema,
  intents: IntentsSchema,
});

export type Setup = z.infer<typeof SetupSchema>;

/** JSON Schema 2020-12 of a Setup file, made from the same source as the types. */
export function setupJsonSchema(): Record<string, unknown> {
  return {
    title: 'Tolvan Setup',
    ...z.toJSONSchema(SetupSchema, { target: 'draft-2020-12', io: 'input' }),
  };
}
