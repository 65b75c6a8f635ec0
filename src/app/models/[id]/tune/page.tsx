import { TuneStation } from '@/ui/tune/TuneStation';

export default function TunePage() {
  return <TuneStation />;
}
