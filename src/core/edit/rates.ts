import { isSwitched, type Condition, type Input, type Setup } from '../setup';
import { atomsFor } from './conditions';

type Rates = Input['rates'];
type Rate = Rates[number];

/** Without whose it was: what is changed by hand is the person's. */
const own = ({ owner: _, ...rate }: Rate): Rate => rate;

/** The other end of a switch that no rate of this input waits for yet; of any switch where all are taken. */
function freePlace(setup: Setup, input: Input): Condition | undefined {
  const taken = JSON.stringify(input.rates.map((r) => r.when));
  const switches = setup.transmitter.controls.filter(isSwitched);
  const free = switches.find((c) => !taken.includes(`"${c.id}"`)) ?? switches[0];
  return atomsFor(setup).findLast((a) => a.kind === 'switch' && a.control === free?.id);
}

/** One more rate, counting before the others while a switch is in a place; none where there is no switch. */
export function withMoreRate(setup: Setup, input: Input): Rates | undefined {
  const when = freePlace(setup, input);
  const { when: _, ...last } = own(input.rates.at(-1)!);
  return when && [{ ...last, when }, ...input.rates];
}

/**
 * A rate that counts under another condition. Whatever happens some rate must count: behind the last one comes the
 * same for all other places, once it waits for something.
 */
export function withRateWhen(rates: Rates, at: number, when: Condition | undefined): Rates {
  const { when: _, ...rate } = own(rates[at]!);
  const next = rates.with(at, when === undefined ? rate : { ...rate, when });
  return when !== undefined && at === rates.length - 1 ? [...next, rate] : next;
}
