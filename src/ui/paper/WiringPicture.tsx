import { Line, StyleSheet, Svg, Text, View } from '@react-pdf/renderer';
import type { Drawn } from '@/core/wiring';
import type { Letters } from './font';

/** A row of the drawing, and where its three columns begin and end, as shares of the width. */
const ROW = 24;
const HEAD = 32;
const COLUMNS = { channels: [0, 0.26], plugs: [0.37, 0.63], ends: [0.74, 0.998] } as const;
type Column = keyof typeof COLUMNS;

const styles = StyleSheet.create({
  box: {
    position: 'absolute',
    height: ROW - 4,
    paddingHorizontal: 4,
    justifyContent: 'center',
    borderWidth: 1,
    borderColor: '#000',
  },
  head: {
    position: 'absolute',
    top: 0,
    height: HEAD,
    justifyContent: 'flex-end',
    paddingBottom: 3,
  },
  bold: { fontWeight: 700 },
});

/** Channels, the unit's plugs, servos and motors, and the leads between them. */
export function WiringPicture({
  drawn: { channels, plugs, ends, unplugged },
  unit,
  width,
  print,
}: {
  drawn: Drawn;
  unit: string;
  /** Width between the margins, in points. */
  width: number;
  print: Letters['print'];
}) {
  const inside = channels.some((c) => c.port === undefined);
  const rows = Math.max(
    channels.length,
    plugs.length + (inside ? 1 : 0),
    ends.length + (unplugged.length > 0 ? 1 : 0),
  );
  const height = HEAD + rows * ROW;
  const topOf = (row: number) => HEAD + row * ROW;
  const middle = (row: number) => topOf(row) + (ROW - 4) / 2;
  const plugRow = (port: string | undefined) => {
    const at = plugs.findIndex((p) => p.port === port);
    return at < 0 ? plugs.length : at;
  };
  const placeOf = (column: Column) => {
    const [from, to] = COLUMNS[column];
    return { left: from * width, width: (to - from) * width };
  };
  const box = (column: Column, row: number) => ({ top: topOf(row), ...placeOf(column) });
  const heads = { channels: 'Channels', plugs: unit, ends: 'Servos and motors' };
  const lead = (from: Column, row: number, to: Column, end: number) => (
    <Line
      key={`${from} ${row} ${end}`}
      x1={COLUMNS[from][1] * width}
      y1={middle(row)}
      x2={COLUMNS[to][0] * width}
      y2={middle(end)}
      strokeWidth={1}
      stroke="#000"
    />
  );
  return (
    <View style={{ height, marginBottom: 6 }} wrap={false}>
      <Svg style={{ position: 'absolute', top: 0, left: 0 }} width={width} height={height}>
        {channels.map((c, row) => lead('channels', row, 'plugs', plugRow(c.port)))}
        {ends.map((e, row) => lead('plugs', plugRow(e.port), 'ends', row))}
      </Svg>
      {(['channels', 'plugs', 'ends'] as const).map((column) => (
        <View key={column} style={[styles.head, placeOf(column)]}>
          <Text style={styles.bold}>{print(heads[column])}</Text>
        </View>
      ))}
      {channels.map((c, row) => (
        <View key={c.channel} style={[styles.box, box('channels', row)]}>
          <Text>
            {c.channel} {print(c.words)}
          </Text>
        </View>
      ))}
      {plugs.map((p, row) => (
        <View key={p.port} style={[styles.box, box('plugs', row), { backgroundColor: '#eee' }]}>
          <Text>
            {print(`${p.label}${p.onReceiver ? ' (on the receiver)' : ''}`)}: {print(p.words)}
          </Text>
        </View>
      ))}
      {inside && (
        <View style={[styles.box, box('plugs', plugs.length), { backgroundColor: '#eee' }]}>
          <Text>used inside the unit</Text>
        </View>
      )}
      {ends.map((e, row) => (
        <View key={e.label} style={[styles.box, box('ends', row)]}>
          <Text>
            {print(e.label)}
            {e.yLead ? ' (Y-lead)' : ''}
          </Text>
        </View>
      ))}
      {unplugged.length > 0 && (
        <View style={[styles.head, { ...box('ends', ends.length) }]}>
          <Text style={styles.bold}>Not plugged in: {print(unplugged.join(', '))}</Text>
        </View>
      )}
    </View>
  );
}
