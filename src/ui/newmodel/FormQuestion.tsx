/** One question of the form, and what answers it. */
export const FormQuestion = ({ words, children }: { words: string; children: React.ReactNode }) => (
  <label className="flex flex-col gap-1">
    <span className="font-semibold">{words}</span>
    {children}
  </label>
);
