import { DirectionsStation } from '@/ui/directions/DirectionsStation';

export default function Page() {
  return <DirectionsStation />;
}
