import { Document, Page, StyleSheet, Text, View, renderToBuffer } from '@react-pdf/renderer';
import { pct, type Sheet } from '@/core/sheets';
import { FAMILY, printable, registerFont } from '../paper/font';

const styles = StyleSheet.create({
  page: { fontFamily: FAMILY, fontSize: 9, padding: 36, lineHeight: 1.35 },
  title: { fontSize: 15, fontWeight: 700, marginBottom: 4 },
  caution: { borderLeftWidth: 3, borderColor: '#000', paddingLeft: 6, marginBottom: 6 },
  columns: { flexDirection: 'row', flexWrap: 'wrap' },
  section: { marginTop: 8 },
  heading: { fontSize: 11, fontWeight: 700, marginBottom: 2 },
  row: { flexDirection: 'row', alignItems: 'flex-start', paddingVertical: 1.5 },
  box: { width: 9, height: 9, borderWidth: 1, borderColor: '#000', marginRight: 6, marginTop: 1.5 },
  entry: { width: '42%', paddingRight: 6 },
  value: { width: '54%', fontWeight: 700 },
  words: { width: '66%', paddingRight: 6 },
  number: { width: '14%', textAlign: 'right', paddingRight: 8 },
  field: { width: '18%', borderBottomWidth: 1, borderColor: '#000', height: 11 },
  foot: { position: 'absolute', bottom: 18, left: 36, right: 36, fontSize: 8, color: '#444' },
});

/** The entry sheet on paper, with tick boxes and lines to write readings on. */
export function sheetPdf(sheet: Sheet, paper: 'A4' | 'LETTER'): Promise<Buffer> {
  registerFont();
  return renderToBuffer(
    <Document title={sheet.title} creator="Tolvan">
      <Page size={paper} style={styles.page}>
        <Text style={styles.title}>{printable(sheet.title)}</Text>
        <View style={styles.caution}>
          <Text>
            Propeller off (pinion out, wheels clear) and throttle cut on before anything is entered.
          </Text>
        </View>
        {sheet.warnings.map((w) => (
          <View key={w} style={styles.caution}>
            <Text>{printable(w)}</Text>
          </View>
        ))}
        {sheet.sections.map((section) => (
          <View key={section.title} style={styles.section}>
            <Text style={styles.heading} minPresenceAhead={30}>
              {printable(section.title)}
            </Text>
            {section.steps.map((step) => (
              <View key={step.id} style={styles.row} wrap={false}>
                <View style={styles.box} />
                <Text style={styles.entry}>{printable(step.entry)}</Text>
                <Text style={styles.value}>{printable(step.value)}</Text>
              </View>
            ))}
          </View>
        ))}
        <View style={styles.section}>
          <Text style={styles.heading} minPresenceAhead={30}>
            Read it back: what the channel monitor shows
          </Text>
          {sheet.readBacks.map((r) => (
            <View key={r.id} style={styles.row} wrap={false}>
              <Text style={styles.words}>
                {printable(r.words)}
                {r.holdS > 0 ? `, held ${r.holdS} s` : ''}
              </Text>
              <Text style={styles.number}>{pct(Math.round(r.predictedPct))}</Text>
              <View style={styles.field} />
            </View>
          ))}
        </View>
        <Text
          style={styles.foot}
          fixed
          render={({ pageNumber, totalPages }) =>
            `${printable(sheet.title)}   ${pageNumber} / ${totalPages}`
          }
        />
      </Page>
    </Document>,
  );
}
