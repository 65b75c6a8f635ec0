import { ProgramStation } from '@/ui/program/ProgramStation';

export default function Page() {
  return <ProgramStation />;
}
