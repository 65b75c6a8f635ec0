import { PreflightStation } from '@/ui/preflight/PreflightStation';

export default function Page() {
  return <PreflightStation />;
}
