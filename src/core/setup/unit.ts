import { z } from 'zod';
import {
  AngleDegSchema,
  ChannelSchema,
  IdSchema,
  LabelSchema,
  ModeSchema,
  MountingSchema,
  NoteSchema,
  PulseUsSchema,
  SenseSchema,
  ShareSchema,
  AxisSchema,
} from './basics';
import { FunctionSchema } from './functions';

/** A plug on the unit. */
export const PortSchema = z.strictObject({
  id: IdSchema,
  label: LabelSchema,
  /** A labelled port takes this servo whatever channel the transmitter uses for it. */
  labelledFor: FunctionSchema.optional(),
  canStabilize: z.boolean(),
  /** Where the plug is: a gyro between receiver and servos leaves the others on the receiver. */
  on: z.enum(['unit', 'receiver']).optional(),
  /** Ports of one bank are switched on and off together. */
  bank: z.int().min(1).max(2).optional(),
});

/** A stretch of pulse widths on the mode channel (and on a second one) that selects a slot. */
export const ModeBandSchema = z.strictObject({
  fromUs: PulseUsSchema,
  toUs: PulseUsSchema,
  secondFromUs: PulseUsSchema.optional(),
  secondToUs: PulseUsSchema.optional(),
  slot: z.int().min(0).max(8),
});

export const ModeSelectSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('fixed') }),
  z.strictObject({ by: z.literal('bands'), bands: z.array(ModeBandSchema).min(1).max(9) }),
  z.strictObject({ by: z.literal('two-channels'), bands: z.array(ModeBandSchema).min(1).max(9) }),
  /** Slot 0 below centre, slot 1 within ±deadPct of it, slot 2 above. */
  z.strictObject({ by: z.literal('gain-sign'), deadPct: z.number().min(0).max(20) }),
]);

export const GAIN_LAWS = [
  'fixed',
  'zero-to-full',
  'magnitude',
  'full-range',
  'sign-selects-set',
] as const;

export const UnitTraitsSchema = z.strictObject({
  place: z.enum(['receiver', 'between', 'satellite', 'single-axis']),
  axes: z.array(AxisSchema).min(1).max(3),
  inputChannels: z.int().min(1).max(32),
  ports: z.array(PortSchema).min(1).max(24),
  /** 'fixed': this order of functions on channels 1, 2, 3 …; 'free': mapped inside the unit. */
  inputOrder: z.discriminatedUnion('kind', [
    z.strictObject({ kind: z.literal('fixed'), order: z.array(FunctionSchema).min(1).max(16) }),
    z.strictObject({ kind: z.literal('free') }),
  ]),
  mixer: z.enum(['unit', 'transmitter', 'either']),
  modes: z.array(ModeSchema).min(1).max(7),
  modeSelect: ModeSelectSchema,
  /** Whether each slot of the mode switch can be given any mode by the user. */
  slotsSettable: z.boolean(),
  gainLaw: z.enum(GAIN_LAWS),
  dials: z.enum(['none', 'one-turn', 'centre-zero']),
  axisGains: z.boolean(),
  maxGainLimit: z.boolean(),
  gainLeadMissing: z.enum(['keeps-last', 'zero', 'full']),
  correctionDirection: z.enum(['menu', 'switches', 'button', 'dial-side', 'learned', 'none']),
  /** What a longer pulse is taken to ask for, before any reversal: roll right, nose up, nose right = 1. */
  nominalSense: z.strictObject({ roll: SenseSchema, pitch: SenseSchema, yaw: SenseSchema }),
  /** Which way its own mixer takes each stick, where it was found to differ from the usual. */
  mixSense: z
    .strictObject({
      roll: SenseSchema.optional(),
      pitch: SenseSchema.optional(),
      yaw: SenseSchema.optional(),
    })
    .optional(),
  orientations: z.array(MountingSchema).min(1).max(24),
  stabilizedOutputs: z.enum(['all', 'two-banks', 'chosen']),
  portReverse: z.boolean(),
  stickFade: z.enum(['fixed', 'adjustable']),
  captureGestures: z
    .array(z.enum(['menu', 'button', 'stick-corners', 'mode-flick', 'power-up']))
    .max(5),
  arming: z.enum(['always', 'after-throttle', 'position-fix']),
  armThrottlePct: ShareSchema,
  panic: z.enum(['none', 'channel', 'mode-band', 'mode-limits-delay']),
  failsafe: z
    .array(z.enum(['preset', 'hold', 'no-pulses', 'unit-mode', 'autopilot']))
    .min(1)
    .max(5),
  lights: z
    .array(
      z.strictObject({
        mode: ModeSchema,
        colour: z.enum(['red', 'green', 'blue', 'amber', 'white', 'none']),
        blinks: z.int().min(0).max(9),
      }),
    )
    .max(7),
  twitchesAtPowerUp: z.int().min(0).max(9),
  /** The end or side its pins are at, seen along the arrow with the label up. */
  pinsAt: z.enum(['arrow-end', 'far-end', 'left', 'right']).optional(),
  extras: z
    .array(
      z.enum([
        'pitch-with-throttle',
        'speed-gain',
        'frame-rate',
        'output-matching',
        'vibration-readout',
        'sensitivity-class',
        'six-face-calibration',
      ]),
    )
    .max(7),
});

export const AxisSettingsSchema = z.strictObject({
  gainPct: z.number().min(0).max(200),
  /** Used where the sign of the gain channel chooses a second set. */
  secondGainPct: z.number().min(0).max(200),
  reversed: z.boolean(),
  fadePct: z.number().min(0).max(200),
  holdAllowed: z.boolean(),
});

export const UnitSettingsSchema = z.strictObject({
  wingType: z.enum(['normal', 'delta', 'v-tail', 'steering']),
  inputs: z.array(z.strictObject({ carries: FunctionSchema, channel: ChannelSchema })).max(32),
  outputs: z
    .array(
      z.strictObject({
        port: IdSchema,
        carries: FunctionSchema,
        stabilized: z.boolean(),
        maxGainPct: ShareSchema,
        /** Reverses everything this port sends: stick and correction. */
        reversed: z.boolean(),
        /** Reverses only the correction on this port. */
        correctionReversed: z.boolean(),
      }),
    )
    .max(24),
  /** Mode of each slot the mode switch can select. */
  slots: z.array(ModeSchema).min(1).max(9),
  axes: z.strictObject({
    roll: AxisSettingsSchema,
    pitch: AxisSettingsSchema,
    yaw: AxisSettingsSchema,
  }),
  sensitivity: z.union([z.literal(1), z.literal(2), z.literal(4)]),
  orientation: MountingSchema,
  levelOffsetDeg: z.strictObject({ roll: AngleDegSchema, pitch: AngleDegSchema }),
  angleLimitsDeg: z.strictObject({
    roll: z.number().min(5).max(90),
    pitchUp: z.number().min(5).max(90),
    pitchDown: z.number().min(5).max(90),
  }),
  servoFrameMs: z.number().min(2).max(25),
  recovery: z
    .strictObject({
      mode: ModeSchema,
      rollLimitDeg: z.number().min(0).max(90),
      pitchLimitDeg: z.number().min(0).max(90),
      delayMs: z.number().min(0).max(5000),
      thresholdUs: PulseUsSchema,
    })
    .optional(),
  failsafe: z
    .strictObject({
      mode: ModeSchema,
      pitchDeg: z.number().min(-45).max(45),
      rollDeg: z.number().min(-60).max(60),
      cutThrottle: z.boolean(),
    })
    .optional(),
  pitchWithThrottle: z
    .strictObject({
      aboveThrottlePct: ShareSchema,
      fullThrottlePitchDeg: z.number().min(-30).max(45),
      belowThrottlePct: ShareSchema,
      idlePitchDeg: z.number().min(-30).max(45),
    })
    .optional(),
});

export const UnitSchema = z.strictObject({
  name: LabelSchema,
  description: NoteSchema,
  traits: UnitTraitsSchema,
  settings: UnitSettingsSchema,
});

export type Port = z.infer<typeof PortSchema>;
export type GainLaw = (typeof GAIN_LAWS)[number];
export type UnitTraits = z.infer<typeof UnitTraitsSchema>;
export type UnitSettings = z.infer<typeof UnitSettingsSchema>;
export type Unit = z.infer<typeof UnitSchema>;
