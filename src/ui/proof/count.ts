/** A large number as it is read aloud: 36, 12,400, 77 million. */
export const count = (n: number) =>
  n < 1e6
    ? n.toLocaleString('en')
    : n < 1e9
      ? `${(n / 1e6).toFixed(0)} million`
      : `${(n / 1e9).toFixed(1)} billion`;
