import { z } from 'zod';
import { GAIN_LAWS, ORIENTATION_LEARNED, UNIT_GROUNDS, type Mode } from '../lists';
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
  z.strictObject({
    by: z.literal('bands'),
    bands: z.array(ModeBandSchema).min(1).max(9),
    /** How far off its edges may be, microseconds, where they were read by hand; exact where nothing is said. */
    withinUs: z.number().min(0).max(60).optional(),
  }),
  z.strictObject({ by: z.literal('two-channels'), bands: z.array(ModeBandSchema).min(1).max(9) }),
  /** Slot 0 below centre, slot 1 within ±deadPct of it, slot 2 above. */
  z.strictObject({ by: z.literal('gain-sign'), deadPct: z.number().min(0).max(20) }),
]);

/** Sticks held at their ends, as the leaflet shows them. */
const StickHoldsSchema = z
  .array(z.strictObject({ stick: FunctionSchema, at: z.union([z.literal(-100), z.literal(100)]) }))
  .min(1)
  .max(4);

/** How a unit is taught what attitude counts as level. */
export const LevelCaptureSchema = z.discriminatedUnion('by', [
  z.strictObject({ by: z.literal('menu') }),
  z.strictObject({ by: z.literal('button'), presses: z.int().min(1).max(20) }),
  /** Sticks held in a corner, as the leaflet shows it, in a given mode. */
  z.strictObject({
    by: z.literal('corner'),
    mode: ModeSchema.optional(),
    holds: StickHoldsSchema,
    seconds: z.number().min(0).max(20),
  }),
  /** The mode switch from end to end and back. */
  z.strictObject({
    by: z.literal('flick'),
    times: z.int().min(1).max(6),
    withinS: z.number().min(0.5).max(10),
  }),
  z.strictObject({ by: z.literal('power-up') }),
  /** A channel of its own taken off and on its middle. */
  z.strictObject({
    by: z.literal('channel'),
    times: z.int().min(1).max(6),
    withinS: z.number().min(0.5).max(10),
  }),
]);

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
  correctionDirection: z.enum([
    'menu',
    'switches',
    'button',
    'gestures',
    'dial-side',
    'learned',
    'none',
  ]),
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
    .array(z.enum(['menu', 'button', 'stick-corners', 'mode-flick', 'power-up', 'channel']))
    .max(6),
  /** How it is taught what level is; as any other capture where nothing is said. */
  levelCapture: LevelCaptureSchema.optional(),
  /** How often its button is pressed for what. */
  presses: z
    .array(z.strictObject({ for: LabelSchema, presses: z.int().min(1).max(20) }))
    .max(20)
    .optional(),
  /** Which stick corner changes what, where it is set by the sticks alone; it answers with twitches. */
  gestures: z
    .array(
      z.strictObject({
        for: LabelSchema,
        holds: StickHoldsSchema,
        seconds: z.number().min(0).max(20),
        twitches: z.int().min(1).max(9).optional(),
      }),
    )
    .max(20)
    .optional(),
  /** How it learns which way it is mounted: level, then nose down; or tail lifted, then turned right. */
  orientationLearned: z.enum(ORIENTATION_LEARNED).optional(),
  /** What each side of the middle of the gain channel does, in the leaflet’s words: "slow return". */
  gainSides: z.strictObject({ below: LabelSchema, above: LabelSchema }).optional(),
  /** What a gain is kept for; for each axis where nothing is said. */
  gainKept: z.enum(['axis', 'axis-and-mode', 'output-and-set']).optional(),
  /** An output has a centre and ends of its own. */
  outputTravel: z.boolean().optional(),
  arming: z.enum(['always', 'after-throttle', 'position-fix']),
  /** Levelling and home hold the throttle off until there is a position fix. */
  refusesThrottle: z.boolean().optional(),
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
        'response',
        'roll-through',
      ]),
    )
    .max(9),
});

const gainPct = z.number().min(0).max(200).optional();
const GainByModeSchema = z.strictObject({
  rate: gainPct,
  hold: gainPct,
  level: gainPct,
  trainer: gainPct,
  home: gainPct,
  hover: gainPct,
} satisfies Record<Exclude<Mode, 'off'>, typeof gainPct>);

export const AxisSettingsSchema = z.strictObject({
  gainPct: z.number().min(0).max(200),
  /** Used where the sign of the gain channel chooses a second set. */
  secondGainPct: z.number().min(0).max(200),
  reversed: z.boolean(),
  fadePct: z.number().min(0).max(200),
  holdAllowed: z.boolean(),
  /** Gains of their own in some modes; the axis gain in all others. */
  gainByMode: GainByModeSchema.optional(),
});

/** What an output does with one side of the gain channel. */
export const GainSetSchema = z.strictObject({
  gainPct: z.number().min(0).max(200),
  maxGainPct: ShareSchema,
  /** Taken away, it never holds on this side, whatever the mode. */
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
        /** Its own for each side of the gain channel, where the sign chooses. */
        sets: z.strictObject({ below: GainSetSchema, above: GainSetSchema }).optional(),
        /** Where it stands with the stick released, and where it ends, in percent of its travel. */
        travel: z
          .strictObject({
            centrePct: z.number().min(-50).max(50),
            minPct: z.number().min(-150).max(0),
            maxPct: z.number().min(0).max(150),
          })
          .optional(),
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
  /** Banks of outputs that are stabilized; all of them where nothing is said. */
  banks: z.array(z.int().min(1).max(2)).max(2).optional(),
  /** What levelling does at full stick; it limits the angle where nothing is said. */
  levelKind: z.enum(['limits', 'rolls-through']).optional(),
  /** How soon it answers, and how hard it stops after a stick movement, in its own steps. */
  response: z
    .strictObject({ character: z.int().min(1).max(9), stop: z.int().min(1).max(9) })
    .optional(),
  /** Gain falls as speed rises, from one speed on, by so much at twice that speed. */
  speedGain: z
    .strictObject({ fromMps: z.number().min(1).max(80), lessPct: ShareSchema })
    .optional(),
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

/** What a line of a description stands on: seen on the unit, said by its leaflet, or neither. */
export const UnitGroundSchema = z.enum(UNIT_GROUNDS);

/** Of each trait and setting; the leaflet where nothing is said. */
export const UnitGroundsSchema = z.strictObject({
  traits: z.partialRecord(UnitTraitsSchema.keyof(), UnitGroundSchema).optional(),
  settings: z.partialRecord(UnitSettingsSchema.keyof(), UnitGroundSchema).optional(),
});

export const UnitSchema = z.strictObject({
  name: LabelSchema,
  description: NoteSchema,
  traits: UnitTraitsSchema,
  settings: UnitSettingsSchema,
  /** What each line of the description stands on. */
  grounds: UnitGroundsSchema.optional(),
  /** The settings it has after a reset; unknown where nothing is said. */
  shipped: UnitSettingsSchema.optional(),
  /** What the person’s leaflet calls a setting. */
  leaflet: z
    .array(z.strictObject({ setting: IdSchema, word: LabelSchema }))
    .max(60)
    .optional(),
  /** What the person wants to be reminded of at a step: “the leaflet has the picture the wrong way round”. */
  notes: z
    .array(z.strictObject({ step: IdSchema, note: z.string().trim().min(1).max(400) }))
    .max(60)
    .optional(),
});

export type GainSet = z.infer<typeof GainSetSchema>;
export type StickHolds = z.infer<typeof StickHoldsSchema>;
export type LevelCapture = z.infer<typeof LevelCaptureSchema>;
export type Port = z.infer<typeof PortSchema>;
export type UnitTraits = z.infer<typeof UnitTraitsSchema>;
export type UnitSettings = z.infer<typeof UnitSettingsSchema>;
export type UnitGround = z.infer<typeof UnitGroundSchema>;
export type UnitGrounds = z.infer<typeof UnitGroundsSchema>;
export type Unit = z.infer<typeof UnitSchema>;
