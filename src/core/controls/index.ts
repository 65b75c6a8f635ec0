export { tagsOf, tagWords, type Tag, type TagPlace } from './tags';
export { padsOf, sideOf, type Pad } from './pads';
