'use client';

import { ackermannOuterDeg, ackermannRows } from '@/core/linkage';
import type { Steering } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

/** How the outer wheel follows the inner one, beside the ideal of a car that does not slide. */
export function Ackermann({ steering }: { steering: Steering }) {
  const { trackMm, wheelbaseMm } = useModel((s) => s.setup.airframe.measures);
  const rows = ackermannRows(steering);
  return (
    <Section title="Outer wheel against inner">
      <table className="mt-1 w-full text-right">
        <thead className="text-soft text-sm">
          <tr>
            <th scope="col">inner</th>
            <th scope="col">outer</th>
            <th scope="col">ideal</th>
            <th scope="col">toe-out</th>
          </tr>
        </thead>
        <tbody className="font-num">
          {rows.map(({ innerDeg, outerDeg }) => (
            <tr key={innerDeg} className="border-t border-(--card-edge)">
              <td className="py-1">{innerDeg.toFixed(0)}°</td>
              <td>{outerDeg.toFixed(1)}°</td>
              <td>{ackermannOuterDeg(innerDeg, trackMm, wheelbaseMm).toFixed(1)}°</td>
              <td>{(innerDeg - outerDeg).toFixed(1)}°</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-soft mt-1 text-sm">
        Ideal: both wheels roll round one point on the line of the rear axle (Ackermann). Cars that
        slide are often set with less; knuckle arms turned further inward give more.
      </p>
    </Section>
  );
}
