import { TransmitterStation } from '@/ui/transmitter/TransmitterStation';

export default function Page() {
  return <TransmitterStation />;
}
