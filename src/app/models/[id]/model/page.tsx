import { ModelStation } from '@/ui/model/ModelStation';

export default function Page() {
  return <ModelStation />;
}
