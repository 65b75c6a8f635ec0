export type { ArchiveChange, ArchivePreview } from './format';
export { receiveArchive } from './receive';
export {
  endTask,
  finished,
  packedFile,
  startIn,
  startLook,
  startOut,
  taskOf,
  type Task,
} from './tasks';
