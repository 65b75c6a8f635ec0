import { gateWords, type Caution, type StepId } from '@/core/procedure';
import type { ScriptStep } from '@/core/script';
import { capital, stepNote, type Setup } from '@/core/setup';
import { drawn, gainLeadOf, leadsOf, leadWords } from '@/core/wiring';
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
    title: setup.name,
    subtitle: 'Preflight card',
    caution: `${saidOf(setup, ['hold'])}${LOCAL_RULES} Version ${version}.`,
    sections: [{ lines: [...card] }],
    fields: ['Date, place', 'Wind, battery', 'Seen'],
  };
}

/** What is still to be done, in the shortest order. */
export function jobPaper({ setup, version }: ModelView, way: readonly WayPart[]): PaperList {
  return {
    title: setup.name,
    subtitle: 'What is still to be done',
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
              ...alike(open).map((what) => ({ does: capital(what), sees: [] })),
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

/** A longer text after the colon is an instruction, a shorter one the item it concerns. */
const MOST_SUBJECT = 40;

/**
 * Lines that say the same of one thing after another, as one line: "Roll; Pitch; Yaw: read it back.",
 * "Raise the left wing, quickly: left aileron; right aileron".
 */
function alike(lines: readonly string[]): string[] {
  const split = lines.map((line) => {
    const cut = line.indexOf(': ');
    if (cut < 0) return { head: line, tail: '', by: line };
    const [head, tail] = [line.slice(0, cut), line.slice(cut + 2)];
    return { head, tail, by: tail.length > MOST_SUBJECT ? tail : head };
  });
  const groups = new Map<string, typeof split>();
  for (const line of split) groups.set(line.by, [...(groups.get(line.by) ?? []), line]);
  return [...groups.values()].map((group) => {
    const said = (part: 'head' | 'tail') => [...new Set(group.map((s) => s[part]))].join('; ');
    return group[0]!.tail === '' ? group[0]!.head : `${said('head')}: ${said('tail')}`;
  });
}

/** What is plugged where. */
export function wiringPaper({ setup, version }: ModelView): PaperList {
  const gainLead = gainLeadOf(setup)?.label;
  return {
    title: setup.name,
    subtitle: 'Wiring',
    wiring: { drawn: drawn(setup), unit: setup.unit.name },
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
