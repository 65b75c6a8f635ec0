import { gateWords, type Caution, type StepId } from '@/core/procedure';
import type { ScriptStep } from '@/core/script';
import { stepNote, type Setup } from '@/core/setup';
import { gainLeadOf, leadsOf, leadWords } from '@/core/wiring';
import type { WayPart } from '@/server/judge';
import type { ModelView } from '@/server/models';
import { sessionWords } from '../words/sessions';
import type { PaperList } from './listPdf';
import { LOCAL_RULES } from '../words';

/** What must be true of the bench, before the rest; of a model without a motor nothing is said of one. */
const saidOf = ({ airframe }: Setup, cautions: readonly Caution[]): string =>
  airframe.motors.length === 0 ? '' : cautions.map((c) => `${gateWords(c, airframe)} `).join('');

/** The card for the field. */
export function preflightPaper(
  { setup, version }: ModelView,
  card: readonly ScriptStep[],
): PaperList {
  return {
    title: `${setup.name}: preflight`,
    caution: `${saidOf(setup, ['hold'])}${LOCAL_RULES} Version ${version}.`,
    sections: [{ lines: [...card] }],
    fields: ['Date, place', 'Wind, battery', 'Seen'],
  };
}

/** What is still to be done, in the shortest order. */
export function jobPaper({ setup, version }: ModelView, way: readonly WayPart[]): PaperList {
  return {
    title: `${setup.name}: job sheet`,
    caution: `${saidOf(setup, ['prop-off', 'throttle-locked'])}Version ${version}.`,
    sections:
      way.length === 0
        ? [{ heading: 'Every step holds', lines: [] }]
        : way.map(({ session, steps }) => ({
            heading: sessionWords(session, setup.airframe),
            lines: steps.flatMap(({ id, title, does, reasons, open }) => [
              {
                does: `${title}: ${does}`,
                sees: [
                  ...(reasons.length > 0 ? [`again, because ${reasons.join('; ')} changed`] : []),
                  ...noted(setup, id),
                ],
                leads: true as const,
              },
              ...alike(open).map((what) => ({ does: what, sees: [] })),
            ]),
          })),
    fields: ['Done by, on'],
  };
}

/** What the person wants to be reminded of at a step. */
function noted({ unit }: Setup, step: StepId): string[] {
  const note = stepNote(unit, step);
  return note ? [`Your note: ${note}`] : [];
}

/** Lines that say the same of one thing after another, as one line: "Roll; Pitch; Yaw: read it back." */
function alike(lines: readonly string[]): string[] {
  const byTail = new Map<string, string[]>();
  for (const line of lines) {
    const cut = line.indexOf(': ');
    // A short end is what one line is about; a long one is how all of them are done.
    const shared = cut >= 0 && line.length - cut > 40;
    const tail = shared ? line.slice(cut) : line;
    byTail.set(tail, [...(byTail.get(tail) ?? []), shared ? line.slice(0, cut) : '']);
  }
  return [...byTail].map(([tail, heads]) => heads.join('; ') + tail);
}

/** What is plugged where. */
export function wiringPaper({ setup, version }: ModelView): PaperList {
  const gainLead = gainLeadOf(setup)?.label;
  return {
    title: `${setup.name}: wiring`,
    caution: `Battery out while plugs are moved. Version ${version}.`,
    sections: [
      {
        lines: [...leadsOf(setup).map(leadWords), ...(gainLead ? [gainLead] : [])].map((does) => ({
          does,
          sees: [],
        })),
      },
    ],
    fields: [],
  };
}
