import { Document, Page, StyleSheet, Text, View, renderToBuffer } from '@react-pdf/renderer';
import { capital, functionOf } from '@/core/setup';
import {
  pct,
  poseWords,
  type Pose,
  type Sheet,
  type SheetSection,
  type SheetStep,
} from '@/core/sheets';
import { FAMILY, lettersOf, MOST_TITLE_LETTERS, registerFont, type Letters } from '../paper/font';

/** Read at arm's length: nothing on it is smaller than 9 pt. */
const styles = StyleSheet.create({
  page: {
    fontFamily: FAMILY,
    fontSize: 9,
    paddingHorizontal: 28,
    paddingTop: 22,
    paddingBottom: 30,
    lineHeight: 1.2,
  },
  title: { fontSize: 13, fontWeight: 700, lineHeight: 1.3 },
  subtitle: { fontSize: 10, marginBottom: 2 },
  caution: { marginBottom: 2 },
  heading: { fontSize: 10, fontWeight: 700, marginTop: 5, borderBottomWidth: 0.7 },
  cells: { flexDirection: 'row', flexWrap: 'wrap', justifyContent: 'space-between' },
  step: { width: '49%', flexDirection: 'row', paddingVertical: 0.8 },
  box: { width: 8, height: 8, borderWidth: 0.8, borderColor: '#000', marginRight: 4, marginTop: 1 },
  words: { flex: 1 },
  bold: { fontWeight: 700 },
  pose: { width: '32.5%', borderWidth: 1, padding: 3, marginTop: 4 },
  row: { flexDirection: 'row', borderTopWidth: 0.4, borderColor: '#888' },
  name: { flex: 1 },
  number: { width: 38, textAlign: 'right', fontWeight: 700 },
  field: { width: 34, borderLeftWidth: 0.4, marginLeft: 4 },
  other: { flexDirection: 'row', paddingVertical: 1 },
  foot: { position: 'absolute', bottom: 12, left: 28, right: 28, fontSize: 9, color: '#333' },
});

/** Poses that always fit on one page. */
const MOST_ON_A_PAGE = 9;

/** The entry sheet on paper: dense, with boxes to tick and a small grid for every pose. */
export async function sheetPdf(sheet: Sheet, paper: 'A4' | 'LETTER'): Promise<Buffer> {
  await registerFont();
  const { print, note } = lettersOf(sheet);
  return renderToBuffer(
    <Document title={`${sheet.title}, ${sheet.subtitle}`} creator="Tolvan">
      <Page size={paper} style={styles.page}>
        <Text style={styles.title}>{print(sheet.title, MOST_TITLE_LETTERS)}</Text>
        <Text style={styles.subtitle}>{print(sheet.subtitle)}</Text>
        <Text style={styles.caution}>
          {sheet.safe} and throttle cut on before anything is entered.
        </Text>
        {note && <Text style={styles.caution}>{note}</Text>}
        {sheet.warnings.map((w) => (
          <Text key={w} style={[styles.caution, styles.bold]}>
            {print(w)}
          </Text>
        ))}
        {packed(sheet).map((section) => (
          <View key={section.title}>
            <Text style={styles.heading} minPresenceAhead={24}>
              {print(section.title)}
            </Text>
            <View style={styles.cells}>
              {section.steps.map((step) => (
                <View key={step.id} style={styles.step} wrap={false}>
                  <View style={styles.box} />
                  <Text style={styles.words}>
                    {print(step.entry)} <Text style={styles.bold}>{print(step.value)}</Text>
                  </Text>
                </View>
              ))}
            </View>
          </View>
        ))}
        {/* Where it does not fit below, it begins the next page as a whole. */}
        <View wrap={sheet.poses.length > MOST_ON_A_PAGE}>
          <Text style={styles.heading}>
            Read it back: hands so, and the channel monitor must show
          </Text>
          <View style={styles.cells}>
            {sheet.poses.map((pose, i) => (
              <PoseGrid key={pose.id} pose={pose} number={i + 1} print={print} />
            ))}
          </View>
        </View>
        {sheet.others.length > 0 && (
          <Text style={styles.heading} minPresenceAhead={24}>
            No pose shows these
          </Text>
        )}
        {sheet.others.map((other) => (
          <View key={other.item} style={styles.other} wrap={false}>
            <View style={styles.box} />
            <Text style={styles.words}>
              <Text style={styles.bold}>{print(other.does)}</Text> {print(other.sees.join(' · '))}
            </Text>
          </View>
        ))}
        <Text
          style={styles.foot}
          fixed
          render={({ pageNumber, totalPages }) =>
            `${print(sheet.title)}   ${pageNumber} / ${totalPages}`
          }
        />
      </Page>
    </Document>,
  );
}

/**
 * The sections as paper has room for them: the lines of all channels under one heading, and channels
 * with the same entry in one place. Shifts and subtrims of 0 % are left out: they are there already.
 */
function packed({ sections, untouched }: Sheet): SheetSection[] {
  const list: SheetSection[] = [];
  for (const { title, menu, steps } of sections) {
    const channel = menu?.item === 'lines' ? menu.of?.split(',')[0] : undefined;
    const own = alike(
      steps.map((s) => ({
        id: s.id,
        entry: channel ? `${capital(channel)}: ${s.entry}` : s.entry,
        value: untouched.reduce((value, part) => value.replaceAll(part, ''), s.value),
      })),
    );
    const before = list.at(-1);
    if (channel && before?.menu?.item === 'lines') before.steps.push(...own);
    else list.push({ title: channel ? menu!.words : title, ...(menu ? { menu } : {}), steps: own });
  }
  return list;
}

const CHANNEL = /^Channel (\d+), (.*)$/;

/** Channels with the same value become one entry: "Channels 1 aileron, 2 elevator". */
function alike(steps: readonly SheetStep[]): SheetStep[] {
  const byValue = new Map<string, SheetStep[]>();
  for (const s of steps) {
    const key = CHANNEL.test(s.entry) ? s.value : s.id;
    byValue.set(key, [...(byValue.get(key) ?? []), s]);
  }
  return [...byValue.values()].map((group) =>
    group.length === 1
      ? group[0]!
      : {
          ...group[0]!,
          entry: `Channels ${group.map((s) => s.entry.replace(CHANNEL, '$1 $2')).join(', ')}`,
        },
  );
}

/** One pose: where the hands are, and the column of the monitor with room to write what it shows. */
function PoseGrid({
  pose,
  number,
  print,
}: {
  pose: Pose;
  number: number;
  print: Letters['print'];
}) {
  return (
    <View style={styles.pose} wrap={false}>
      <Text>
        <Text style={styles.bold}>{number}. </Text>
        {print(poseWords(pose))}
      </Text>
      {pose.column.map((r) => (
        <View key={r.id} style={styles.row}>
          <Text style={styles.name}>
            {r.channel} {print(functionOf(r.carries).words)}
          </Text>
          <Text style={styles.number}>{pct(Math.round(r.predictedPct))}</Text>
          <View style={styles.field} />
        </View>
      ))}
    </View>
  );
}
