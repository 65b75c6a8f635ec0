import { functionOf } from '../setup';
import type { Sheet } from './sheet';
import { pct, poseWords } from './words';

/** A name may hold anything: what Markdown or HTML would take for its own is written so that it is read. */
const cell = (text: string) => text.replace(/\s+/g, ' ').replace(/[\\`*_[\]<>|~&]/g, '\\$&');

/** The sheet as Markdown, with tick boxes and empty fields for what is read back. */
export function sheetMarkdown(sheet: Sheet): string {
  const lines = [`# ${cell(sheet.title)}`, '', cell(sheet.subtitle), ''];
  for (const warning of sheet.warnings) lines.push(`> ${cell(warning)}`, '');
  lines.push(`${sheet.safe}, throttle cut on, before anything is entered.`, '');
  for (const section of sheet.sections) {
    lines.push(`## ${cell(section.title)}`, '');
    for (const step of section.steps)
      lines.push(`- [ ] ${cell(step.entry)}: **${cell(step.value)}**`);
    lines.push('');
  }
  lines.push('## Read back', '');
  sheet.poses.forEach((pose, i) => {
    lines.push(
      `**${i + 1}. ${cell(poseWords(pose))}**`,
      '',
      '| channel | must show | shows |',
      '| --- | ---: | ---: |',
      ...pose.column.map(
        (r) =>
          `| ${r.channel}, ${cell(functionOf(r.carries).words)} | ${pct(Math.round(r.predictedPct))} |  |`,
      ),
      '',
    );
  });
  for (const other of sheet.others)
    lines.push(`- [ ] ${cell(other.does)}`, ...other.sees.map((s) => `  - ${cell(s)}`), '');
  return lines.join('\n');
}
