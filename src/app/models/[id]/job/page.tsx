import { JobStation } from '@/ui/job/JobStation';

export default function Page() {
  return <JobStation />;
}
