export { sheetChanges, type SheetChange } from './changes';
export { explain, mismatches, type Explanation, type Mismatch, type Readings } from './explain';
export { channelLost, type LostChannel } from './lost';
export { sheetMarkdown } from './markdown';
export { monitorOf, type Hands, type Monitor } from './monitor';
export {
  atLeastPoses,
  posesOf,
  rememberPoses,
  readBacksOf,
  type Pose,
  type Poses,
  type ReadBack,
} from './poses';
export { wrongEntries, type WrongEntry } from './wrong';
export type { SheetSection, SheetStep } from './section';
export { sheetFor, sheetSections, type Sheet } from './sheet';
export { STYLES } from './styles';
export { logicWords } from './common';
export { MENU_WORDS } from './menus';
export { MOST_SWITCHES } from './switch-value-style';
export { asMixes, type Mix } from './mixes';
export {
  channelWords,
  conditionWords,
  lineWords,
  pct,
  placeWords,
  poseWords,
  sourceWords,
} from './words';
export { entryScript } from './unseen';
export { byEye, BY_EYE_PCT, HALF_WAY_PCT, handWords, TOLERANCE_PCT } from './hands';
