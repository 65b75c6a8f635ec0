import { endWords, kindOf, MOUNTINGS, type Mounting } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { PickWord } from '../parts/PickWord';

/** One of the 24 as a sentence with two words to change: where the arrow points, where the label faces. */
export function MountingWords({
  label,
  before,
  value,
  choices,
  onChange,
}: {
  /** What the sentence is about, for those who hear it. */
  label: string;
  /** What stands before the two words: "In the model its arrow points". */
  before: string;
  value: Mounting;
  choices: readonly Mounting[] | undefined;
  onChange: (value: Mounting) => void;
}) {
  const ends = kindOf(useModel((s) => s.setup.airframe));
  const [arrow, face] = value.split('-') as [string, string];
  const list = choices ?? MOUNTINGS;
  const arrows = [...new Set([...list.map((m) => m.split('-')[0]!), arrow])];
  const faces = [
    ...new Set([
      ...list.filter((m) => m.startsWith(`${arrow}-`)).map((m) => m.split('-')[1]!),
      face,
    ]),
  ];
  const pick = (a: string, f: string) =>
    onChange(list.find((m) => m === `${a}-${f}`) ?? list.find((m) => m.startsWith(`${a}-`))!);
  const side = (word: string) =>
    word === 'up' || word === 'down' ? endWords(word, ends) : `to the ${endWords(word, ends)}`;
  return (
    <p role="group" aria-label={label} className="text-lg">
      {before}{' '}
      <PickWord
        label="arrow towards the"
        value={arrow}
        options={arrows.map((a) => ({
          value: a,
          words: side(a),
          refused: list.some((m) => m.startsWith(`${a}-`))
            ? undefined
            : 'This unit cannot be set so.',
        }))}
        onPick={(a) => pick(a, face)}
      />
      , label{' '}
      <PickWord
        label="label facing"
        value={face}
        options={faces.map((f) => ({
          value: f,
          words: side(f),
          refused: list.includes(`${arrow}-${f}` as Mounting)
            ? undefined
            : 'This unit cannot be set so.',
        }))}
        onPick={(f) => pick(arrow, f)}
      />
      .
    </p>
  );
}
