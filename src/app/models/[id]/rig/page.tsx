import { RigStation } from '@/ui/rig/RigStation';

export default function Page() {
  return <RigStation />;
}
