import { controlWords, modeWords, UNIT_DRIVES } from '../chain';
import { levellingMust } from './answers';
import { afterLoss } from './lost';
import type { ScriptStep } from '../script';
import { isSwitched, kindOf, type Control, type Setup } from '../setup';
import { proofOf, type ProofRow } from '../verify';

/** Far enough over that levelling cannot be mistaken for damping. */
const TIP_DEG = 50;

/** A place panic is pressed from: one position of the controls, or several that answer alike. */
interface Start {
  rows: ProofRow[];
  sees: string[];
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
    // One place of each knob is enough for the hands, and sticks let go; the proof has looked at the others.
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

/** Panic, tried from every position with the model in hand. */
export function panicScript(setup: Setup): ScriptStep[] {
  const proof = proofOf(setup);
  const { panic } = proof;
  if (!panic) return [];
  const control = setup.transmitter.controls[panic.at]!;
  return startsOf(setup).map(({ rows, sees }, i) => ({
    check: 'test:panic',
    // Not the same test once it stands for other positions.
    item: `from-${i + 1}${rows.length > 1 ? `-of-${rows.length}` : ''}`,
    does: `${placesOf(setup, rows)}. Hold the model right wing down, about ${TIP_DEG}°. ${control.kind === 'momentary' ? `Press ${control.label} and hold it` : `${control.label} on`}.`,
    sees,
  }));
}

/** Positions that differ in one switch and answer alike are one test: the switch is tried in each of its places. */
function startsOf(setup: Setup): Start[] {
  const answers = levellingMust(setup);
  const starts = startingRows(setup).map((row): Start => ({
    rows: [row],
    sees: [
      row.panic!.righted
        ? `${modeWords(setup.unit, row.panic!.mode)} comes ${row.panic!.afterMs === 0 ? 'at once' : `after ${(row.panic!.afterMs / 1000).toFixed(1)} s`}`
        : `WRONG in the program: ${modeWords(setup.unit, row.panic!.mode)}, not self-levelling`,
      ...answers,
      `let go: ${modeWords(setup.unit, row.mode)} again`,
    ],
  }));
  return starts.reduce<Start[]>((kept, start) => {
    const alike = kept.find(
      (k) =>
        k.sees.join() === start.sees.join() && differing([...k.rows, ...start.rows]).length === 1,
    );
    if (alike) alike.rows.push(...start.rows);
    else kept.push(start);
    return kept;
  }, []);
}

/** Columns in which these rows do not all stand alike. */
const differing = (rows: readonly ProofRow[]): number[] =>
  rows[0]!.values.flatMap((value, i) => (rows.some((r) => r.values[i] !== value) ? [i] : []));

/** Where every control stands but panic itself; one that is tried in several places, with all of them. */
function placesOf(setup: Setup, rows: readonly ProofRow[]): string {
  const { controls, panic } = proofOf(setup);
  const all = controls.map((id) => controlOf(setup, id));
  const said = (i: number, value: number) => controlWords(all[i]!, value);
  const [tried] = differing(rows);
  const [row] = rows;
  const fixed = controls.flatMap((id, i) =>
    id === panic?.id || i === tried || letGo(all, row!, i) ? [] : [said(i, row!.values[i]!)],
  );
  if (tried === undefined) return fixed.join(', ');
  const places = rows.map((r) => said(tried, r.values[tried]!));
  return [...fixed, `first with ${places.join(', then with ')}`].join(', ');
}

/** The link switched off with the model held: what must be seen, in which order. */
export function failsafeScript(setup: Setup): ScriptStep[] {
  const { safe, onSurface } = kindOf(setup.airframe);
  const motors = setup.airframe.motors.length > 0;
  const lost = afterLoss(setup);
  const { runningPct, motorPct, surfaces, levels } = lost;
  const step = (item: string, does: string, sees: string[]): ScriptStep => ({
    check: 'test:failsafe',
    item,
    does,
    sees,
  });
  return [
    ...(motors
      ? [
          step(
            'motor',
            `${safe}, the model held all the same. Release the throttle cut and open the throttle one third${runningPct > 1 ? ` (the motor runs at ${runningPct.toFixed(0)} %)` : ''}. Switch the transmitter off.`,
            [
              lost.unitDrives
                ? UNIT_DRIVES
                : motorPct < 5
                  ? 'the motor stops within a second or two'
                  : `WRONG in the program: the motor runs on at ${motorPct.toFixed(0)} %`,
            ],
          ),
        ]
      : []),
    step(
      'surfaces',
      motors
        ? `Still off: look at ${onSurface ? 'the steering' : 'every surface'}.`
        : `Switch the transmitter off and look at ${onSurface ? 'the steering' : 'every surface'}.`,
      surfaces,
    ),
    ...(levels
      ? [step('tilt', `Still off: right wing down, about ${TIP_DEG}°.`, levellingMust(setup))]
      : []),
    step('back', 'Close the throttle, then switch the transmitter on again.', [
      onSurface ? 'the steering follows again' : 'surfaces follow the sticks again',
      ...(motors && !lost.unitDrives ? ['the motor stays still until the throttle is opened'] : []),
      ...(motors && lost.unitDrives
        ? ['the motor is yours again: still until you open the throttle']
        : []),
    ]),
  ];
}
