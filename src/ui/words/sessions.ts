import { wayTitle, type Session } from '@/core/procedure';
import { kindOf, type Airframe } from '@/core/setup';

/** What the bench is set up for, in the words of this kind of model. */
export function sessionWords(
  session: Session,
  airframe: Pick<Airframe, 'kind' | 'motors'>,
): string {
  const { bench } = kindOf(airframe);
  const words: Record<Session, string> = {
    paper: wayTitle('paper', airframe),
    table: wayTitle('table', airframe),
    'prop-off': wayTitle('prop-off', airframe),
    'link-off': 'Link off, the model held',
    'prop-on': bench.motor,
    out: bench.out,
  };
  return words[session];
}
