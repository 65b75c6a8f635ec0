import { BenchStation } from '@/ui/job/BenchStation';

export default function Page() {
  return <BenchStation />;
}
