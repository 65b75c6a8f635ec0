import { describe, expect, it } from 'vitest';
import { preflightCard } from '@/core/preflight';
import { sheetFor } from '@/core/sheets';
import type { Setup } from '@/core/setup';
import { everything } from '@/demo/kit';
import { QUESTIONS } from '@/server/judge/questions';
import type { ModelView } from '@/server/models';
import { inMeasures } from '@/ui/paper/inMeasures';
import { lettersOf } from '@/ui/paper/font';
import { PAPERS, listPdf } from '@/ui/paper/listPdf';
import { jobPaper, preflightPaper, wiringPaper } from '@/ui/paper/papers';
import { sheetPdf } from '@/ui/sheet/sheetPdf';
import { sampleOf } from '../kit/dependence';
import { makeSetup } from '../kit/setups';

/** Width and height in points of each page, from the boxes in the file. */
function pagesOf(pdf: Uint8Array): [number, number][] {
  const text = Buffer.from(pdf).toString('latin1');
  expect(text.startsWith('%PDF-')).toBe(true);
  return [...text.matchAll(/\/MediaBox \[0 0 ([\d.]+) ([\d.]+)\]/g)].map((m) => [
    Math.round(Number(m[1])),
    Math.round(Number(m[2])),
  ]);
}

const view = (setup: Setup, seen = false): ModelView => ({
  id: 'm',
  version: 3,
  setup,
  evidence: seen
    ? sampleOf(setup).evidence.filter((e) =>
        everything(setup).some((s) => s.check === e.check && s.surface === e.surface),
      )
    : [],
});
const jobOf = (v: ModelView) => jobPaper(v, QUESTIONS.way(v.setup, v.evidence));
const SIZES = { A4: [595, 842], LETTER: [612, 792], A5: [420, 595], A6: [298, 420] } as const;

describe('papers', () => {
  it.each(PAPERS)('the preflight card on %s is one page', async (paper) => {
    const pdf = await listPdf(preflightPaper(view(makeSetup()), preflightCard(makeSetup())), paper);
    expect(pagesOf(pdf)).toEqual([SIZES[paper]]);
  });
  it.each(['A4', 'LETTER'] as const)(
    'the job sheet on %s is two pages at the most',
    async (paper) => {
      const pages = pagesOf(await listPdf(jobOf(view(makeSetup())), paper));
      expect(pages.length).toBeLessThanOrEqual(2);
      for (const page of pages) expect(page).toEqual(SIZES[paper]);
    },
  );
  it('a note to a step stands on the job sheet, at its step', () => {
    const setup = makeSetup();
    const plain = jobOf(view(setup));
    setup.unit.notes = [{ step: 'corrections', note: 'the leaflet has it the wrong way round' }];
    const noted = jobOf(view(setup));
    const heads = (list: typeof plain) => list.sections.flatMap((s) => s.lines);
    const changed = heads(noted).filter((l, i) => l.sees.length > heads(plain)[i]!.sees.length);
    expect(changed.map((l) => l.does.split(':')[0])).toEqual(['Corrections']);
    expect(changed[0]!.sees).toContain('Your note: the leaflet has it the wrong way round');
  });
  it('says lengths, weights and speeds in inches, ounces and miles where they are wished for', () => {
    const list = {
      title: 'Teal',
      subtitle: 'Card',
      caution: 'Nobody within 5 m.',
      sections: [
        { heading: 'Before', lines: [{ does: 'Block of 35 mm', sees: ['flies at 14 m/s'] }] },
      ],
      fields: [],
    };
    expect(inMeasures(list, 'metric')).toEqual(list);
    const said = JSON.stringify(inMeasures(list, 'imperial'));
    expect(said).not.toMatch(/\d (?:mm|m\/s)\b/);
    expect(said).toContain('1.38 in');
    expect(said).toContain('31.3 mph');
  });
  it('names of any length and of other letters, and many channels, still make a sheet', async () => {
    const setup = makeSetup();
    setup.name = 'Ett mycket långt namn utan ände '.repeat(2).trim();
    setup.airframe.servos.forEach((s) => (s.label = `${'Siebenundzwanzigstes'.repeat(3)} ${s.id}`));
    for (let channel = 9; channel <= 16; channel++)
      setup.program.outputs.push({
        channel,
        carries: 'aux3',
        reversed: false,
        subtrimPct: 0,
        minPct: -100,
        maxPct: 100,
      });
    expect(pagesOf(await listPdf(wiringPaper(view(setup)), 'A4')).length).toBe(1);
    const sheet = pagesOf(await sheetPdf(sheetFor(setup, 'line'), 'LETTER'));
    expect(sheet[0]).toEqual(SIZES.LETTER);
  });
  it.each([
    ['Turkish', 'Kızıl', undefined],
    ['Polish, Greek, Russian at once', 'Łódź Αετός Орёл', undefined],
    ['Hebrew', 'שלום טיסן', undefined],
    ['Arabic', 'طائرة شراعية', undefined],
    ['Thai', 'เครื่องร่อน', undefined],
    ['Chinese, two names', '图一号 机', '[1] to [2] stand for them'],
    ['an emoji', 'Loon 🦆', '[1] stands for it'],
  ])('%s is small, and what has no letters is numbered and said', async (_, name, note) => {
    const setup = makeSetup();
    setup.name = name;
    const letters = lettersOf(sheetFor(setup, 'line'));
    if (note === undefined) {
      expect(letters.note).toBeUndefined();
      expect(letters.print(name)).toBe(name.normalize('NFC'));
    } else {
      expect(letters.note).toContain(note);
      expect(letters.print(name)).toMatch(/\[1\]/);
    }
    expect((await sheetPdf(sheetFor(setup, 'line'), 'A4')).length).toBeLessThan(40_000);
  });
  it('a long word is broken without a hyphen, and no letter of it is lost', () => {
    const word = 'Donaudampfschifffahrtselektrizitätenhauptbetriebswerk';
    const { print } = lettersOf(word);
    expect(print(word).replaceAll('\n', '')).toBe(word);
    expect(
      Math.max(
        ...print(word)
          .split('\n')
          .map((l) => l.length),
      ),
    ).toBeLessThanOrEqual(20);
  });
  it('the job sheet lists what is open under what it belongs to, and nothing that holds', () => {
    const open = jobOf(view(makeSetup()));
    const lines = open.sections.flatMap((s) => s.lines);
    expect(lines.filter((l) => l.leads).map((l) => l.does)).toContainEqual(
      expect.stringMatching(/^Corrections: /),
    );
    expect(lines.map((l) => l.does)).toContain(
      'Raise the left wing, quickly: left aileron; right aileron',
    );
    expect(lines.map((l) => l.does)).toContain('The card');
    const done = jobOf(view(makeSetup(), true)).sections.flatMap((s) => s.lines);
    expect(done.length).toBeLessThan(lines.length);
  });
  it('the wiring lists every plug once', () => {
    const setup = makeSetup();
    expect(wiringPaper(view(setup)).sections[0]!.lines).toHaveLength(
      setup.installation.plugs.length,
    );
  });
});
