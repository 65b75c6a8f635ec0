import { gainWords, unitGuide } from '@/core/catalogue';
import type { Unit } from '@/core/setup';

/** One page about a unit: order of set-up, gestures, what it cannot do. */
export function UnitGuideCard({ unit }: { unit: Unit }) {
  const guide = unitGuide(unit);
  return (
    <article className="card flex flex-col gap-3" aria-labelledby="guide-title">
      <h2 id="guide-title" className="text-lg font-bold">
        {unit.name}, on one page
      </h2>
      <p>{unit.description}</p>
      <p>It {gainWords(unit.traits)}.</p>
      <div>
        <h3 className="font-bold">In this order</h3>
        <ol className="list-decimal pl-6">
          {guide.order.map((step) => (
            <li key={step} className="py-0.5">
              {step}
            </li>
          ))}
        </ol>
      </div>
      <div>
        <h3 className="font-bold">How a capture is started</h3>
        <dl>
          {guide.gestures.map(({ name, how }) => (
            <div key={name} className="py-0.5">
              <dt className="inline font-semibold">{name}. </dt>
              <dd className="inline">{how}</dd>
            </div>
          ))}
        </dl>
      </div>
      <div>
        <h3 className="font-bold">It cannot</h3>
        <ul className="list-disc pl-6">
          {guide.cannot.map((limit) => (
            <li key={limit}>{limit}</li>
          ))}
        </ul>
      </div>
      <p className="text-soft text-sm">
        Where its own leaflet says otherwise about safety, stop and find out why.
      </p>
    </article>
  );
}
