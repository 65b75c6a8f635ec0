import { namedPosition } from '../chain';
import type { Named } from '../script';
import type { Setup } from '../setup';
import { proofOf } from '../verify';

/** The one movement that switches the gyro off, by the proof; undefined where there is none. */
export function offPosition(setup: Setup): Named | undefined {
  const [first] = proofOf(setup).masterOff;
  const control = setup.transmitter.controls.find((c) => c.id === first?.control);
  return control && namedPosition(control, first!.value);
}
