import { CalibrationStation } from '@/ui/calibration/CalibrationStation';

export default function Page() {
  return <CalibrationStation />;
}
