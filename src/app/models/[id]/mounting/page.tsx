import { MountingStation } from '@/ui/mounting/MountingStation';

export default function Page() {
  return <MountingStation />;
}
