'use client';

import { CategoryScale, Chart, LineElement, LinearScale, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { pitchWithThrottleDeg } from '@/core/chain';
import type { UnitSettings } from '@/core/setup';

Chart.register(CategoryScale, LinearScale, PointElement, LineElement, Tooltip);

/** Pitch the unit aims for over the whole throttle. */
export function PitchChart({ curve }: { curve: NonNullable<UnitSettings['pitchWithThrottle']> }) {
  const throttle = Array.from({ length: 21 }, (_, i) => i * 5);
  return (
    <div className="h-44">
      <Line
        aria-label={`Pitch target: ${curve.idlePitchDeg}° at idle, ${curve.fullThrottlePitchDeg}° at full throttle`}
        role="img"
        data={{
          labels: throttle,
          datasets: [
            {
              data: throttle.map((t) => pitchWithThrottleDeg(curve, t)),
              borderColor: '#8a3a12',
              borderWidth: 2,
              pointRadius: 0,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: { title: { display: true, text: 'throttle, %' } },
            y: { title: { display: true, text: 'pitch target, °' } },
          },
        }}
      />
    </div>
  );
}
