import { CaptureStation } from '@/ui/capture/CaptureStation';

export default function Page() {
  return <CaptureStation />;
}
