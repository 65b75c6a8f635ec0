import { wayTitle, type Session } from '@/core/procedure';
import { kindOf, type Airframe } from '@/core/setup';

/** What the bench is set up for, in the words of this kind of model. */
export function sessionWords(session: Session, airframe: Pick<Airframe, 'kind'>): string {
  const manner = kindOf(airframe);
  const { bench } = manner;
  const words: Record<Session, string> = {
    paper: wayTitle('paper', manner),
    table: wayTitle('table', manner),
    'prop-off': wayTitle('prop-off', manner),
    'link-off': 'Link off, the model held',
    'prop-on': bench.motor,
    out: bench.out,
  };
  return words[session];
}
