import { LevelStation } from '@/ui/level/LevelStation';

export default function Page() {
  return <LevelStation />;
}
