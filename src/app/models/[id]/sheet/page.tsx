import { SheetStation } from '@/ui/sheet/SheetStation';

export default function Page() {
  return <SheetStation />;
}
