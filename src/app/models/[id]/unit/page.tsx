import { UnitStation } from '@/ui/unit/UnitStation';

export default function Page() {
  return <UnitStation />;
}
