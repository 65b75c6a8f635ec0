import { Document, Page, StyleSheet, Text, View, renderToBuffer } from '@react-pdf/renderer';
import { FAMILY, lettersOf, MOST_TITLE_LETTERS, registerFont } from './font';

/** Sizes paper is printed in; the card for the pocket is A6. */
export const PAPERS = ['A4', 'LETTER', 'A5', 'A6'] as const;
export type Paper = (typeof PAPERS)[number];

/** What is done and what must be seen; a group's first line has no box of its own. */
export interface PaperLine {
  does: string;
  sees: readonly string[];
  leads?: true;
}

/** A page of lines with tick boxes. */
export interface PaperList {
  title: string;
  caution: string;
  sections: { heading?: string; lines: PaperLine[] }[];
  /** Fields to be filled in by hand at the end. */
  fields: readonly string[];
}

/** Small paper gets small margins and a type just large enough for arm's length. */
const stylesFor = (paper: Paper) => {
  const small = paper === 'A6' || paper === 'A5';
  return StyleSheet.create({
    page: {
      fontFamily: FAMILY,
      fontSize: paper === 'A6' ? 7 : 9,
      padding: small ? 16 : 36,
      paddingBottom: small ? 20 : 40,
      lineHeight: paper === 'A6' ? 1.2 : 1.3,
    },
    title: { fontSize: small ? 11 : 15, fontWeight: 700, lineHeight: 1.4, marginBottom: 4 },
    caution: { borderLeftWidth: 2, borderColor: '#000', paddingLeft: 5, marginBottom: 5 },
    heading: { fontWeight: 700, marginTop: 6, marginBottom: 2 },
    row: { flexDirection: 'row', paddingVertical: paper === 'A6' ? 1 : 1.5 },
    lead: { paddingTop: 4, paddingBottom: 1 },
    box: { width: 8, height: 8, borderWidth: 1, borderColor: '#000', marginRight: 5, marginTop: 1 },
    does: { fontWeight: 700 },
    words: { flex: 1 },
    field: { flexDirection: 'row', marginTop: small ? 4 : 8 },
    rule: { flex: 1, borderBottomWidth: 1, borderColor: '#000', marginLeft: 4 },
    foot: {
      position: 'absolute',
      bottom: small ? 7 : 18,
      left: small ? 18 : 36,
      right: small ? 18 : 36,
      fontSize: 7,
      color: '#444',
    },
  });
};

/** Lines with boxes on paper of any of the sizes. */
export async function listPdf(list: PaperList, paper: Paper): Promise<Buffer> {
  await registerFont();
  const { print, note } = lettersOf(list);
  const styles = stylesFor(paper);
  return renderToBuffer(
    <Document title={list.title} creator="Tolvan">
      <Page size={paper} style={styles.page}>
        <Text style={styles.title}>{print(list.title, MOST_TITLE_LETTERS)}</Text>
        <View style={styles.caution}>
          <Text>{print(list.caution)}</Text>
        </View>
        {note && <Text>{note}</Text>}
        {list.sections.map((section, i) => (
          <View key={i}>
            {section.heading && (
              <Text style={styles.heading} minPresenceAhead={24}>
                {print(section.heading)}
              </Text>
            )}
            {section.lines.map((line, k) =>
              line.leads ? (
                <View key={k} style={styles.lead} wrap={false} minPresenceAhead={20}>
                  <Text style={styles.does}>{print(line.does)}</Text>
                  {line.sees.length > 0 && <Text>{print(line.sees.join('; '))}</Text>}
                </View>
              ) : (
                <View key={k} style={styles.row} wrap={false}>
                  <View style={styles.box} />
                  <View style={styles.words}>
                    <Text style={line.sees.length > 0 ? styles.does : {}}>{print(line.does)}</Text>
                    {line.sees.length > 0 && <Text>{print(line.sees.join('; '))}</Text>}
                  </View>
                </View>
              ),
            )}
          </View>
        ))}
        {list.fields.map((name) => (
          <View key={name} style={styles.field} wrap={false}>
            <Text>{print(name)}</Text>
            <View style={styles.rule} />
          </View>
        ))}
        <Text
          style={styles.foot}
          fixed
          render={({ pageNumber, totalPages }) =>
            `${print(list.title)}   ${pageNumber} / ${totalPages}`
          }
        />
      </Page>
    </Document>,
  );
}
