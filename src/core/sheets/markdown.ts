import type { Sheet } from './sheet';
import { pct } from './words';

/** A name may hold anything: what Markdown or HTML would take for its own is written so that it is read. */
const cell = (text: string) => text.replace(/\s+/g, ' ').replace(/[\\`*_[\]<>|~&]/g, '\\$&');

/** The sheet as Markdown, with tick boxes and empty fields for what is read back. */
export function sheetMarkdown(sheet: Sheet): string {
  const lines = [`# ${cell(sheet.title)}`, ''];
  for (const warning of sheet.warnings) lines.push(`> ${cell(warning)}`, '');
  lines.push('Propeller off, throttle cut on, before anything is entered.', '');
  for (const section of sheet.sections) {
    lines.push(`## ${cell(section.title)}`, '');
    for (const step of section.steps)
      lines.push(`- [ ] ${cell(step.entry)}: **${cell(step.value)}**`);
    lines.push('');
  }
  lines.push(
    '## Read back',
    '',
    '| hands | must show | shows |',
    '| --- | ---: | ---: |',
    ...sheet.readBacks.map(
      (r) =>
        `| ${cell(r.words)}${r.holdS > 0 ? `, held ${r.holdS} s` : ''} | ${pct(r.predictedPct)} |  |`,
    ),
    '',
  );
  return lines.join('\n');
}
