import { describe, expect, it } from 'vitest';
import { GLOSSARY, termsIn } from './index';

const titles = (text: string) => termsIn(text).map((f) => f.term.title);

describe('glossary', () => {
  it('has one meaning for each form', () => {
    const forms = GLOSSARY.flatMap((t) => t.forms);
    expect(forms.filter((f, i) => forms.indexOf(f) !== i)).toEqual([]);
    expect(new Set(GLOSSARY.map((t) => t.id)).size).toBe(GLOSSARY.length);
  });
  it.each([...GLOSSARY])('$title: short, and whole sentences', ({ says }) => {
    expect(says.length).toBeLessThanOrEqual(190);
    expect(says).toMatch(/^[A-Z].*\.$/);
    expect(says.split(/[.:] /).length).toBeLessThanOrEqual(4);
  });
  it.each([
    ['Turn the gain up.', ['Gain']],
    ['Level capture comes before panic recovery.', ['Level capture', 'Panic recovery']],
    ['Rate damping, not self-levelling', ['Rate damping', 'Self-levelling']],
    ['Against the wind; a regained signal; the again-button', []],
    ['Set both ENDPOINTS, then read the channel monitor.', ['Endpoint', 'Channel monitor']],
    ['1500 µs', ['Pulse']],
    ['Y-leads and a V-tail', ['Y-lead', 'V-tail']],
    ['', []],
  ])('finds the words of “%s”', (text, expected) => {
    expect(titles(text)).toEqual(expected);
  });
  it('says where each stands', () => {
    const text = 'The gain of a mode.';
    expect(termsIn(text).map((f) => text.slice(f.from, f.to))).toEqual(['gain', 'mode']);
  });
});
