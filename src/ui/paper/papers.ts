import { jobOf, shortestWay } from '@/core/procedure';
import { preflightCard } from '@/core/preflight';
import { verify } from '@/core/verify';
import type { ModelView } from '@/server/models';
import { CAUTION_WORDS, SESSION_WORDS } from '../job/words';
import type { PaperList } from './listPdf';

const GROUND = new Set(['car', 'boat']);

/** The card for the field. */
export function preflightPaper({ setup, version }: ModelView): PaperList {
  return {
    title: `${setup.name}: preflight`,
    caution: `${CAUTION_WORDS.hold} Follow the rules of your country, club and site. Version ${version}.`,
    sections: [{ lines: preflightCard(setup) }],
    fields: ['Date, place', 'Wind, battery', 'Seen'],
  };
}

/** What is still to be done, in the shortest order. */
export function jobPaper({ setup, evidence, version }: ModelView): PaperList {
  const job = jobOf({ setup, evidence, findings: verify(setup) });
  const way = shortestWay(job);
  return {
    title: `${setup.name}: job sheet`,
    caution: `${CAUTION_WORDS['prop-off']} ${CAUTION_WORDS['throttle-locked']} Version ${version}.`,
    sections:
      way.length === 0
        ? [{ heading: 'Every step holds', lines: [] }]
        : way.map(({ session, steps }) => ({
            heading: SESSION_WORDS[session],
            lines: steps.flatMap(({ step, proofs }) => [
              { does: `${step.title}: ${step.does}`, sees: [] },
              ...proofs
                .filter((p) => p.status !== 'proven')
                .map((p) => ({ does: p.what, sees: p.reasons.map((r) => `${r} changed`) })),
            ]),
          })),
    fields: ['Done by, on'],
  };
}

/** What is plugged where. */
export function wiringPaper({ setup, version }: ModelView): PaperList {
  const { unit, installation, airframe } = setup;
  const label = (id: string) =>
    [...airframe.servos, ...airframe.motors].find((x) => x.id === id)?.label ?? id;
  return {
    title: `${setup.name}: wiring`,
    caution: `${GROUND.has(airframe.kind) ? 'Pinion out or wheels clear.' : 'Propeller off.'} Battery out while plugs are moved. Version ${version}.`,
    sections: [
      {
        lines: installation.plugs.map((plug) => {
          const port = unit.traits.ports.find((p) => p.id === plug.port);
          const output = unit.settings.outputs.find((o) => o.port === plug.port);
          return {
            does: `${port?.label ?? plug.port}: ${plug.drives.map(label).join(' and ')}`,
            sees: [
              ...(output ? [`carries ${output.carries}`] : []),
              ...(plug.lead === 'y-lead' ? ['on a Y-lead'] : []),
            ],
          };
        }),
      },
    ],
    fields: [],
  };
}
