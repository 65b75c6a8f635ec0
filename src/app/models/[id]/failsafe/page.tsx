import { FailsafeStation } from '@/ui/recovery/FailsafeStation';

export default function Page() {
  return <FailsafeStation />;
}
