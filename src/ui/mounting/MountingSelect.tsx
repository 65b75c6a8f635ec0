import { endWords, kindOf, MOUNTINGS, type Mounting } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';

/** One of the 24 by two lists: where the arrow points, where the label faces. */
export function MountingSelect({
  label,
  value,
  choices,
  onChange,
}: {
  label: string;
  value: Mounting;
  choices: readonly Mounting[] | undefined;
  onChange: (value: Mounting) => void;
}) {
  const ends = kindOf(useModel((s) => s.setup.airframe));
  const [arrow, face] = value.split('-') as [string, string];
  const list = choices ?? MOUNTINGS;
  const arrows = [...new Set(list.map((m) => m.split('-')[0]!))];
  const faces = list.filter((m) => m.startsWith(`${arrow}-`)).map((m) => m.split('-')[1]!);
  const pick = (a: string, f: string) =>
    onChange(list.find((m) => m === `${a}-${f}`) ?? list.find((m) => m.startsWith(`${a}-`))!);
  return (
    <fieldset>
      <legend className="font-semibold">{label}</legend>
      <div className="grid grid-cols-2 gap-2">
        <label className="text-sm">
          arrow towards the
          <Select value={arrow} onChange={(e) => pick(e.target.value, face)}>
            {!arrows.includes(arrow) && (
              <option value={arrow}>{endWords(arrow, ends)} (not possible)</option>
            )}
            {arrows.map((a) => (
              <option key={a} value={a}>
                {endWords(a, ends)}
              </option>
            ))}
          </Select>
        </label>
        <label className="text-sm">
          label facing
          <Select value={face} onChange={(e) => pick(arrow, e.target.value)}>
            {!faces.includes(face) && (
              <option value={face}>{endWords(face, ends)} (not possible)</option>
            )}
            {faces.map((f) => (
              <option key={f} value={f}>
                {endWords(f, ends)}
              </option>
            ))}
          </Select>
        </label>
      </div>
    </fieldset>
  );
}
