import { useMemo, useRef } from 'react';
import type { ByHand, Scenario } from '@/core/motion';
import type { Setup } from '@/core/setup';
import { LinkButton } from '../live/LinkButton';
import { useFaceShown } from '../live/useFaceShown';
import { usePut } from '../live/usePut';
import { LiveFace } from '../transmitter/LiveFace';
import type { Eye } from './eye';
import { FlyChart } from './FlyChart';
import { Stage } from './Stage';
import { useByHand } from './useByHand';

/** A flight in the hands of the person: the transmitter of the rig flies it, with fingers or keys. */
export function FlownByHand({
  setup,
  flight,
  words,
  eye,
  onOver,
}: {
  setup: Setup;
  flight: ByHand;
  words: string;
  eye: Eye;
  /** With the flight as it was flown. */
  onOver: (scenario: Scenario) => void;
}) {
  // The rig's hands go to where the flight has them, and back when it is over.
  usePut(
    useMemo(
      () => ({ controls: flight.hands, ...(flight.linkUp ? {} : { linkUp: false }) }),
      [flight],
    ),
  );
  const over = () => onOver(flight.scenario());
  const { at, points } = useByHand(setup, flight, over);
  const face = useRef<HTMLDivElement>(null);
  useFaceShown(face);
  return (
    <section className="flex flex-col gap-3" aria-label={`By hand: ${words}`}>
      <div className="flex flex-wrap items-center gap-2">
        <h2 className="flex-1 text-lg font-bold">By hand: {words}</h2>
        {/* It takes the focus from the button that was pressed: keys are heard at once. */}
        <button type="button" className="btn btn-main" autoFocus onClick={over}>
          Stop and look at it
        </button>
      </div>
      <Stage
        airframe={setup.airframe}
        unit={setup.unit}
        points={points}
        other={[]}
        at={at}
        eye={eye}
      />
      <div ref={face} className="card @max-lg:p-2">
        <LiveFace className="mx-auto h-60 max-w-2xl" />
        <div className="mt-1 flex flex-wrap items-center gap-3">
          <LinkButton />
          <p className="text-soft text-sm pointer-coarse:hidden">
            Keys: arrows for aileron and elevator, A and D rudder, W and S throttle, 1 to 9
            switches, space the button.
          </p>
        </div>
      </div>
      <FlyChart unit={setup.unit} points={points} other={[]} lengthS={at.timeS} timeS={at.timeS} />
    </section>
  );
}
