export { explain, mismatches, type Explanation, type Mismatch, type Readings } from './explain';
export { channelLost } from './lost';
export { sheetMarkdown } from './markdown';
export { TOLERANCE_PCT, readBacksOf, readerOf, type ReadBack } from './read-back';
export type { SheetSection, SheetStep } from './section';
export { sheetFor, type Sheet } from './sheet';
export { STYLES } from './styles';
export { asMixes, type Mix } from './mixes';
export { pct } from './words';
