import { PlanStation } from '@/ui/plan/PlanStation';

export default function Page() {
  return <PlanStation />;
}
