import { PlainStation } from '@/ui/plain/PlainStation';

export default function Page() {
  return <PlainStation />;
}
