import { PanicStation } from '@/ui/recovery/PanicStation';

export default function Page() {
  return <PanicStation />;
}
