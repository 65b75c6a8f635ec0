import { WiringStation } from '@/ui/wiring/WiringStation';

export default function Page() {
  return <WiringStation />;
}
