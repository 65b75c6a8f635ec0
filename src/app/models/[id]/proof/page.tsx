import { ProofStation } from '@/ui/proof/ProofStation';

export default function Page() {
  return <ProofStation />;
}
