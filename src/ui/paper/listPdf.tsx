import { Document, Page, StyleSheet, Text, View, renderToBuffer } from '@react-pdf/renderer';
import type { Drawn } from '@/core/wiring';
import { WiringPicture } from './WiringPicture';
import { FAMILY, lettersOf, MOST_TITLE_LETTERS, registerFont, type Letters } from './font';

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
  /** The model's name; the subtitle says which paper it is. */
  title: string;
  subtitle: string;
  caution: string;
  /** Drawn above the lines. */
  wiring?: { drawn: Drawn; unit: string };
  sections: { heading?: string; lines: PaperLine[] }[];
  /** Fields to be filled in by hand at the end. */
  fields: readonly string[];
}

const WIDTH_PT: Record<Paper, number> = { A4: 595.28, LETTER: 612, A5: 419.53, A6: 297.64 };
const isSmall = (paper: Paper): boolean => paper === 'A6' || paper === 'A5';
const marginOf = (paper: Paper): number => (isSmall(paper) ? 16 : 36);

/** Small paper gets small margins and a type just large enough for arm's length. */
const stylesFor = (paper: Paper) => {
  const small = isSmall(paper);
  return StyleSheet.create({
    page: {
      fontFamily: FAMILY,
      fontSize: paper === 'A6' ? 7 : 9,
      padding: marginOf(paper),
      paddingBottom: small ? 20 : 40,
      lineHeight: paper === 'A6' ? 1.2 : 1.3,
    },
    title: { fontSize: small ? 11 : 15, fontWeight: 700, lineHeight: 1.3 },
    subtitle: { fontSize: small ? 8 : 11, marginBottom: 4 },
    caution: { borderLeftWidth: 2, borderColor: '#000', paddingLeft: 5, marginBottom: 5 },
    heading: { fontWeight: 700, marginTop: 6, marginBottom: 2 },
    group: { flexDirection: 'row', flexWrap: 'wrap' },
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
    <Document title={`${list.title}, ${list.subtitle}`} creator="Tolvan">
      <Page size={paper} style={styles.page}>
        <Text style={styles.title}>{print(list.title, MOST_TITLE_LETTERS)}</Text>
        <Text style={styles.subtitle}>{print(list.subtitle)}</Text>
        <View style={styles.caution}>
          <Text>{print(list.caution)}</Text>
        </View>
        {note && <Text>{note}</Text>}
        {list.wiring && (
          <WiringPicture
            {...list.wiring}
            width={WIDTH_PT[paper] - 2 * marginOf(paper)}
            print={print}
          />
        )}
        {list.sections.map((section, i) => (
          <View key={i}>
            {section.heading && (
              <Text style={styles.heading} minPresenceAhead={24}>
                {print(section.heading)}
              </Text>
            )}
            {groupsOf(section.lines).map((group, k) => (
              // What belongs to one step stays on one page.
              <View key={k} wrap={group.length > MOST_TOGETHER} style={styles.group}>
                {group.map((line, n) => (
                  <LineOf
                    key={n}
                    line={line}
                    mostBeside={isSmall(paper) ? 0 : MOST_BESIDE}
                    print={print}
                    styles={styles}
                  />
                ))}
              </View>
            ))}
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
            `${print(list.title)}, ${print(list.subtitle)}   ${pageNumber} / ${totalPages}`
          }
        />
      </Page>
    </Document>,
  );
}

const MOST_BESIDE = 52;

/** Lines of one step, kept together up to this many. */
const MOST_TOGETHER = 12;

/** Lines grouped by their leading line. */
function groupsOf(lines: readonly PaperLine[]): PaperLine[][] {
  const groups: PaperLine[][] = [];
  for (const line of lines)
    if (line.leads || groups.length === 0) groups.push([line]);
    else groups.at(-1)!.push(line);
  return groups;
}

const WHOLE = { width: '100%' } as const;
const HALF = { width: '50%' } as const;

function LineOf({
  line: { does, sees, leads },
  mostBeside,
  print,
  styles,
}: {
  line: PaperLine;
  /** Letters of a line that has room beside another. */
  mostBeside: number;
  print: Letters['print'];
  styles: ReturnType<typeof stylesFor>;
}) {
  const seen = sees.length > 0 && <Text>{print(sees.join('; '))}</Text>;
  if (leads)
    return (
      <View style={[styles.lead, WHOLE]} wrap={false} minPresenceAhead={20}>
        <Text style={styles.does}>{print(does)}</Text>
        {seen}
      </View>
    );
  return (
    <View style={[styles.row, seen || does.length > mostBeside ? WHOLE : HALF]} wrap={false}>
      <View style={styles.box} />
      <View style={styles.words}>
        <Text style={sees.length > 0 ? styles.does : {}}>{print(does)}</Text>
        {seen}
      </View>
    </View>
  );
}
