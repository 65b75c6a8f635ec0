import { namedMode, namedPosition } from '../chain';
import { levellingMust } from './answers';
import { afterLoss, motorMust } from './lost';
import { FAILSAFE, PANIC } from './sentences';
import {
  fault,
  scriptOf,
  type BenchState,
  type Named,
  type ScriptStep,
  type Sentence,
} from '../script';
import { isSwitched, kindOf, type Control, type Mode, type Setup } from '../setup';
import { panicControlOf, proofOf, type ProofRow } from '../verify';

/** Far enough over that levelling cannot be mistaken for damping. */
const TIP_DEG = 50;

/** A place panic is pressed from: one position of the controls, or several that answer alike. */
interface Start {
  rows: ProofRow[];
  sees: Sentence[];
}

/** Every distinct position of the orders without panic pressed and without anything remembered. */
function startingRows(setup: Setup): ProofRow[] {
  const proof = proofOf(setup);
  const controls = proof.controls.map((id) => controlOf(setup, id));
  const handsOff = (row: ProofRow) => controls.filter((_, i) => letGo(controls, row, i)).length;
  const starts = new Map<string, ProofRow>();
  for (const row of proof.rows) {
    if (!row.panic || row.remembered.length > 0) continue;
    const key = row.values.filter((_, i) => isSwitched(controls[i]!)).join();
    // One place of each knob is enough for the hands, and sticks released; the proof has looked at the others.
    const before = starts.get(key);
    if (!before || handsOff(row) > handsOff(before)) starts.set(key, row);
  }
  return [...starts.values()];
}

const controlOf = (setup: Setup, id: string): Control =>
  setup.transmitter.controls.find((c) => c.id === id)!;

/** Whether this column is a stick that stands where it comes to by itself. */
function letGo(controls: readonly Control[], { lo, hi }: ProofRow, column: number): boolean {
  const { kind, rest = 0 } = controls[column]!;
  return kind === 'stick' && lo[column]! <= rest && rest <= hi[column]!;
}

/** Whether some control calls panic recovery. */
export const hasPanic = (setup: Setup): boolean => panicControlOf(setup) !== undefined;

/** Panic, tried from every position with the model in your hands. */
export function panicScript(setup: Setup): ScriptStep[] {
  const proof = proofOf(setup);
  const { panic } = proof;
  if (!panic) return [];
  const control = setup.transmitter.controls[panic.at]!;
  const pressed = { control };
  const starts = startsOf(setup);
  // Nothing is tried by leaving it out: what cannot be listed is asked for as a whole.
  if (starts.length === 0)
    return scriptOf('panic', [
      [
        'from-everywhere',
        [
          PANIC['from-everywhere'](),
          PANIC.tip({ deg: TIP_DEG }),
          control.kind === 'momentary' ? PANIC.hold(pressed) : PANIC.on(pressed),
        ],
        [...levellingMust(setup), PANIC['as-before']()],
      ],
    ]);
  return scriptOf(
    'panic',
    starts.map(({ rows, sees }, i) => [
      // Not the same test once it stands for other positions.
      `from-${i + 1}${rows.length > 1 ? `-of-${rows.length}` : ''}`,
      [
        ...placesOf(setup, rows),
        PANIC.tip({ deg: TIP_DEG }),
        control.kind === 'momentary' ? PANIC.hold(pressed) : PANIC.on(pressed),
      ],
      sees,
      {
        controls: { ...placed(setup, rows[0]!), [panic.id]: panic.value },
        attitudeDeg: { roll: TIP_DEG },
      },
    ]),
  );
}

/** Positions that differ in one switch and answer alike are one test: the switch is tried in each of its places. */
function startsOf(setup: Setup): Start[] {
  const answers = levellingMust(setup);
  const named = (mode: Mode) => namedMode(setup.unit, mode);
  const starts = startingRows(setup).map((row): Start => ({
    rows: [row],
    sees: [
      row.panic!.righted
        ? PANIC.comes({
            mode: named(row.panic!.mode),
            afterS: Math.round(row.panic!.afterMs / 100) / 10,
          })
        : fault(PANIC['wrong-mode']({ mode: named(row.panic!.mode) })),
      ...answers,
      PANIC['back-to']({ mode: named(row.mode) }),
    ],
  }));
  return starts.reduce<Start[]>((kept, start) => {
    const alike = kept.find(
      (k) =>
        JSON.stringify(k.sees) === JSON.stringify(start.sees) &&
        differing([...k.rows, ...start.rows]).length === 1,
    );
    if (alike) alike.rows.push(...start.rows);
    else kept.push(start);
    return kept;
  }, []);
}

/** Columns in which these rows do not all stand alike. */
const differing = (rows: readonly ProofRow[]): number[] =>
  rows[0]!.values.flatMap((value, i) => (rows.some((r) => r.values[i] !== value) ? [i] : []));

/** Controls that do not stand where they come to by themselves in a row. */
function placed(setup: Setup, row: ProofRow): Record<string, number> {
  const { controls } = proofOf(setup);
  const all = controls.map((id) => controlOf(setup, id));
  return Object.fromEntries(
    controls.flatMap((id, i) => (letGo(all, row, i) ? [] : [[id, row.values[i]!]])),
  );
}

/** Where every control stands but panic itself; one that is tried in several places, with all of them. */
function placesOf(setup: Setup, rows: readonly ProofRow[]): Sentence[] {
  const { controls, panic } = proofOf(setup);
  const all = controls.map((id) => controlOf(setup, id));
  const at = (i: number, value: number) => namedPosition(all[i]!, value);
  const [tried] = differing(rows);
  const [row] = rows;
  const fixed = controls.flatMap((id, i) =>
    id === panic?.id || i === tried || letGo(all, row!, i) ? [] : [at(i, row!.values[i]!)],
  );
  const first = tried === undefined ? [] : rows.map((r) => at(tried, r.values[tried]!));
  return fixed.length + first.length > 0 ? [PANIC.from({ controls: fixed, first })] : [];
}

/** The transmitter switched off with the model held: what must be seen, in which order. */
export function failsafeScript(setup: Setup): ScriptStep[] {
  const { safe, onSurface: ground, moves } = kindOf(setup.airframe);
  const motors = setup.airframe.motors.length > 0;
  const lost = afterLoss(setup);
  // With the transmitter off the unit keeps what it heard last.
  const off: BenchState = { controls: lost.controls, linkUp: false };
  const at: Named = { id: moves, label: ground ? 'the steering' : 'every surface' };
  return scriptOf('failsafe', [
    ...(motors
      ? [
          [
            'motor',
            FAILSAFE['run-and-lose']({
              safe: { id: moves, label: safe },
              runningPct: Math.round(lost.runningPct),
            }),
            [motorMust(lost, FAILSAFE['motor-stops']())],
            off,
          ] as const,
        ]
      : []),
    [
      'surfaces',
      motors ? FAILSAFE['then-look']({ at }) : FAILSAFE['lose-and-look']({ at }),
      lost.surfaces,
      off,
    ],
    ...(lost.levels
      ? [
          [
            'tilt',
            FAILSAFE.tip({ deg: TIP_DEG }),
            levellingMust(setup),
            { ...off, attitudeDeg: { roll: TIP_DEG } },
          ] as const,
        ]
      : []),
    [
      'back',
      motors ? FAILSAFE['back-on']() : FAILSAFE['back-on-without-motor'](),
      [
        FAILSAFE['follows-again']({ ground }),
        ...(motors
          ? [lost.unitDrives ? FAILSAFE['motor-follows-again']() : FAILSAFE['still-until-opened']()]
          : []),
      ],
      { controls: {} },
    ],
  ]);
}
