import { z } from 'zod';
import { WISHES } from '../lists';
import { ChannelSchema, IdSchema, LabelSchema, PctSchema } from './basics';
import { FunctionSchema } from './functions';

/** The choice that wrote an entry, and may write it again. Left out where the person wrote it. */
const owner = z.enum(WISHES).optional();

/** True or false at any moment. Positions of a switch count from the far one, 0. */
export type Condition =
  | { kind: 'switch'; control: string; position: number }
  | { kind: 'logic'; id: string }
  | { kind: 'not'; of: Condition }
  | { kind: 'all'; of: Condition[] }
  | { kind: 'any'; of: Condition[] };

export const ConditionSchema: z.ZodType<Condition> = z.lazy(() =>
  z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('switch'),
      control: IdSchema,
      position: z.int().min(0).max(2),
    }),
    z.strictObject({ kind: z.literal('logic'), id: IdSchema }),
    z.strictObject({ kind: z.literal('not'), of: ConditionSchema }),
    z.strictObject({ kind: z.literal('all'), of: z.array(ConditionSchema).min(1).max(8) }),
    z.strictObject({ kind: z.literal('any'), of: z.array(ConditionSchema).min(1).max(8) }),
  ]),
);
ConditionSchema.meta({ id: 'Condition' });

/** What a line or a comparison follows. A fixed value is 100 %, of which a line takes its share. */
export const SourceSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('input'), id: IdSchema }),
  z.strictObject({ kind: z.literal('control'), id: IdSchema }),
  z.strictObject({ kind: z.literal('channel'), channel: ChannelSchema }),
  z.strictObject({ kind: z.literal('variable'), id: IdSchema }),
  z.strictObject({ kind: z.literal('fixed') }),
]);

/** A stick with its trim, rates and expo. The first rate whose condition holds is used. */
export const InputSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  control: IdSchema,
  trim: IdSchema.optional(),
  rates: z
    .array(
      z.strictObject({
        when: ConditionSchema.optional(),
        sharePct: z.number().min(0).max(150),
        expoPct: z.number().min(-100).max(100),
        owner,
      }),
    )
    .min(1)
    .max(6),
  owner,
});

const seconds = z.number().min(0).max(60);

/** Logic with memory. Semantics are in docs/format.md. */
export const LogicSchema = z.discriminatedUnion('op', [
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('near'),
    follows: SourceSchema,
    valuePct: PctSchema,
    withinPct: z.number().min(0).max(100),
  }),
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('greater'),
    follows: SourceSchema,
    valuePct: PctSchema,
  }),
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('when'),
    when: ConditionSchema,
  }),
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('latch'),
    set: ConditionSchema,
    reset: ConditionSchema,
  }),
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('edge'),
    of: ConditionSchema,
  }),
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('delay'),
    of: ConditionSchema,
    onS: seconds,
    offS: seconds,
  }),
  z.strictObject({
    id: IdSchema,
    label: LabelSchema,
    owner,
    op: z.literal('toggles'),
    of: ConditionSchema,
    count: z.int().min(1).max(9),
    withinS: seconds,
  }),
]);

export const ShapeSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  points: z
    .array(z.strictObject({ inPct: PctSchema, outPct: PctSchema }))
    .min(2)
    .max(17),
  owner,
});

export const VariableSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  valuePct: PctSchema,
  /** A trim lever may shift it by up to this much each way. */
  adjust: z.strictObject({ control: IdSchema, rangePct: z.number().min(0).max(100) }).optional(),
  owner,
});

/** One line of a channel; lines of a channel act in list order. */
export const LineSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema.optional(),
  channel: ChannelSchema,
  follows: SourceSchema,
  sharePct: PctSchema,
  shiftPct: PctSchema,
  shape: IdSchema.optional(),
  when: ConditionSchema.optional(),
  /** What it does to the lines above it in the same channel. */
  effect: z.enum(['adds', 'scales', 'takes-over']),
  purpose: z
    .enum(['stick', 'mode', 'gain', 'panic', 'throttle-cut', 'launch', 'mix', 'other'])
    .optional(),
  /** Why it is there, in the person's words. */
  note: z.string().trim().min(1).max(300).optional(),
  owner,
});

/** The last stage before the link: reverse, endpoints, subtrim. */
export const OutputSchema = z.strictObject({
  channel: ChannelSchema,
  carries: FunctionSchema,
  reversed: z.boolean(),
  subtrimPct: z.number().min(-50).max(50),
  minPct: z.number().min(-150).max(0),
  maxPct: z.number().min(0).max(150),
  /** Takes this long from one end to the other: flaps and gear that move slowly. */
  slowS: z.number().min(0).max(30).optional(),
});

export const FailsafeSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    channel: ChannelSchema,
    kind: z.literal('preset'),
    valuePct: PctSchema,
    owner,
  }),
  z.strictObject({ channel: ChannelSchema, kind: z.literal('hold'), owner }),
  z.strictObject({ channel: ChannelSchema, kind: z.literal('no-pulses'), owner }),
]);

export const ProgramSchema = z.strictObject({
  inputs: z.array(InputSchema).max(32),
  logic: z.array(LogicSchema).max(64),
  shapes: z.array(ShapeSchema).max(32),
  variables: z.array(VariableSchema).max(16),
  lines: z.array(LineSchema).max(128),
  /** Lines switched off: kept, and doing nothing until they are brought back behind the line they stood behind. */
  aside: z
    .array(z.strictObject({ line: LineSchema, after: IdSchema.optional() }))
    .min(1)
    .max(128)
    .optional(),
  outputs: z.array(OutputSchema).max(32),
  failsafe: z.array(FailsafeSchema).max(32),
  callouts: z
    .array(
      z.strictObject({
        id: IdSchema,
        when: ConditionSchema.optional(),
        /** Spoken when a value has changed by more than this and then stood still for so long. */
        moved: z
          .strictObject({
            follows: SourceSchema,
            byPct: z.number().min(0.5).max(50),
            settledS: z.number().min(0).max(5),
          })
          .optional(),
        say: LabelSchema,
        /** A value spoken after the words. */
        reading: SourceSchema.optional(),
        owner,
      }),
    )
    .max(32),
  timers: z
    .array(
      z.strictObject({
        id: IdSchema,
        label: LabelSchema,
        when: ConditionSchema,
        seconds: z.number().min(1).max(7200),
        owner,
      }),
    )
    .max(8),
});

export type Source = z.infer<typeof SourceSchema>;
export type Input = z.infer<typeof InputSchema>;
export type Logic = z.infer<typeof LogicSchema>;
export type Shape = z.infer<typeof ShapeSchema>;
export type Variable = z.infer<typeof VariableSchema>;
export type Line = z.infer<typeof LineSchema>;
export type Output = z.infer<typeof OutputSchema>;
export type Failsafe = z.infer<typeof FailsafeSchema>;
export type Program = z.infer<typeof ProgramSchema>;
