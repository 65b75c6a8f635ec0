import { describe, expect, it } from 'vitest';
import { cleanSetup } from '../../../../tests/kit/clean';
import { editOf } from '../../../../tests/kit/edits';
import { randomOf } from '../../../../tests/kit/random-program';
import { FULL, SEED } from '../../../../tests/kit/share';
import { compileChain } from '../../chain';
import { setAside } from '../../edit';
import { takenIn } from '../../infer';
import { differingParts, merged } from '../../merge';
import { applyPatch } from '../../patch';
import { parseSetup, WISHES, type ProgramWishes, type Setup } from '../../setup';
import { choose, type Choice } from './choose';
import { claimed } from './claim';
import { differs } from './differs';

const SEQUENCES = FULL ? 600 : 16;
const STEPS = 14;

/** Lines, wherever they stand, that are the person's. */
const own = ({ program }: Setup) => [
  ...program.lines.filter((l) => !l.owner),
  ...(program.aside ?? []).map((a) => a.line),
];
const read = (setup: Setup): Setup => {
  const found = parseSetup(JSON.parse(JSON.stringify(setup)));
  if (!found.ok) throw new Error(found.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return found.value;
};

/** A choice taken out, put back as it once was, or changed to what another model has. */
function someChoice(now: Setup, others: readonly Setup[], random: () => number): Choice {
  const names = WISHES.filter((w) => w !== 'sticks');
  const wish = names[Math.floor(random() * names.length)]!;
  const from = others[Math.floor(random() * others.length)]!;
  const value = random() < 0.4 && wish !== 'rates' ? undefined : from.intents.program[wish];
  return {
    wish,
    value: value ?? (wish === 'rates' ? now.intents.program.rates : undefined),
  } as Choice;
}

/** A line of the person's that reads whatever logic there is. */
function withReader(setup: Setup, n: number, random: () => number): Setup {
  const { logic, outputs } = setup.program;
  const entry = logic[Math.floor(random() * logic.length)];
  if (!entry) return setup;
  const next = structuredClone(setup);
  next.program.lines.push({
    id: `mine-${n}`,
    label: `Mine ${n}`,
    channel: outputs[Math.floor(random() * outputs.length)]!.channel,
    follows: { kind: 'fixed' },
    sharePct: 5,
    shiftPct: 0,
    when: { kind: 'logic', id: entry.id },
    effect: 'adds',
  });
  return next;
}

describe('choices, edits, undo, merging and reading in, one after another by dice', () => {
  const starts = Array.from({ length: 40 }, (_, i) => cleanSetup(i + 1)).flatMap((c) =>
    c ? [c.setup] : [],
  );
  it.each(Array.from({ length: SEQUENCES }, (_, i) => i + (FULL ? 0 : SEED * 1000)))(
    'sequence %i: nothing throws, and nothing of one’s own is lost',
    (seed) => {
      const random = randomOf(seed + 77);
      const first = starts[seed % starts.length]!;
      const others = starts.filter(
        (s) => s.transmitter.name === first.transmitter.name && s.unit.name === first.unit.name,
      );
      let now = first;
      const past: Setup[] = [first];
      const done: string[] = [];
      for (let step = 0; step < STEPS; step++) {
        const dice = random();
        let next: Setup = now;
        if (dice < 0.45) {
          const choice = someChoice(now, others, random);
          const also = random() < 0.5 ? 'all' : [];
          const hanging = (['keep', 'aside', undefined] as const)[Math.floor(random() * 3)];
          const taken = choose(now, choice, also, hanging);
          done.push(`${choice.wish} ${choice.value ? 'chosen' : 'out'} ${taken.ok}`);
          if (taken.ok) next = taken.setup;
          else expect(taken.reasons.join()).not.toBe('');
          const left = own(next).map((l) => JSON.stringify(l));
          for (const line of own(now))
            expect(left, done.join('\n')).toContain(JSON.stringify(line));
        } else if (dice < 0.6) {
          next = withReader(now, step, random);
          done.push('a line that reads');
        } else if (dice < 0.75) {
          const edit = editOf(now, random);
          next = edit ? claimed(now, edit.setup) : now;
          done.push(edit?.words ?? 'no edit');
        } else if (dice < 0.82) {
          next = past[Math.floor(random() * past.length)]!;
          done.push('undone');
        } else if (dice < 0.88 && now.program.lines[0]) {
          next = applyPatch(now, setAside(now, now.program.lines.at(-1)!.id)) as Setup;
          done.push('put aside');
        } else if (dice < 0.94) {
          const other = others[Math.floor(random() * others.length)]!;
          const parts = differingParts(now, other).filter(() => random() < 0.5);
          const both = merged(now, other, new Set(parts.map((p) => p.id)));
          // Whether parts go together is judged by the reader, and refused in words.
          const judged = parseSetup(JSON.parse(JSON.stringify(both)));
          if (judged.ok) next = judged.value;
          done.push(`merged ${judged.ok}`);
        } else {
          const [output] = now.program.outputs;
          if (output)
            next = applyPatch(
              now,
              takenIn(now, [
                {
                  channel: output.channel,
                  lines: [
                    {
                      id: 'read',
                      channel: output.channel,
                      follows: { kind: 'control', id: now.transmitter.controls[0]!.id },
                      sharePct: 100,
                      shiftPct: 0,
                      effect: 'adds',
                    },
                  ],
                  shapes: [],
                  open: [],
                },
              ]),
            ) as Setup;
          done.push('read in');
        }
        try {
          now = read(next);
          compileChain(now);
          for (const wish of WISHES) differs(now, wish);
        } catch (error) {
          throw new Error(`${done.join('\n')}\n${String(error)}`, { cause: error });
        }
        past.push(now);
      }
      // Every choice that is left can be taken out in the end.
      for (const wish of Object.keys(now.intents.program) as (keyof ProgramWishes)[]) {
        if (wish === 'rates') continue;
        const out = choose(now, { wish, value: undefined } as Choice, 'all', 'keep');
        if (out.ok) now = read(out.setup);
        else expect(out.reasons.join()).not.toBe('');
      }
    },
  );
});
