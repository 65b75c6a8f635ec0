import type { PatchOperation } from '../patch';
import { MOUNTINGS, pointer, type Mounting, type Setup } from '../setup';
import type { Place } from './atoms';

/**
 * Something other than a reversal that makes surfaces answer wrongly: the unit fixed another way
 * than written down, or two plugs changed over. As a fact about the real model, and its remedy.
 */
export interface Structure {
  id: string;
  place: Place;
  title: string;
  why: string;
  cost: number;
  patch: PatchOperation[];
}

/** What is to be done about a structure once it is known. */
export type StructuralRemedy = Omit<Structure, 'cost'>;

const words = (mounting: Mounting): string => {
  const [arrow, label] = mounting.split('-');
  return `arrow to the ${arrow}, label ${label}`;
};

const replace = (path: string, value: unknown): PatchOperation[] => [
  { op: 'replace', path, value },
];

/** Every way the unit could sit but the one written down, and every pair of plugs changed over. */
export function structuresOf(setup: Setup): Structure[] {
  const { installation, airframe, unit } = setup;
  const mountings = MOUNTINGS.filter((m) => m !== installation.mounting).map((m): Structure => ({
    id: `mounting-${m}`,
    place: 'mounting',
    title: `The unit is fixed with its ${words(m)}`,
    why: 'Two axes wrong together, or a movement answered on another axis, is how a turned unit looks. One axis alone cannot be the mounting.',
    cost: 1,
    patch: replace('/installation/mounting', m),
  }));
  const servos = new Set(airframe.servos.map((s) => s.id));
  const plugs = installation.plugs.flatMap((p, i) =>
    p.drives.every((d) => servos.has(d)) ? [{ ...p, i }] : [],
  );
  const label = (port: string) => unit.traits.ports.find((p) => p.id === port)?.label ?? port;
  const swaps = plugs.flatMap((a, n) =>
    plugs.slice(n + 1).map((b): Structure => ({
      id: `swap-${a.port}-${b.port}`,
      place: 'plug',
      title: `The plugs on ${label(a.port)} and ${label(b.port)} are changed over`,
      why: 'Surfaces answer to what is meant for others.',
      cost: 1,
      patch: [
        ...replace(pointer('installation', 'plugs', a.i), {
          port: a.port,
          lead: b.lead,
          drives: b.drives,
        }),
        ...replace(pointer('installation', 'plugs', b.i), {
          port: b.port,
          lead: a.lead,
          drives: a.drives,
        }),
      ],
    })),
  );
  return [...mountings, ...swaps];
}

/**
 * What to do on a model that is known to be like this, beside reversing things: plugs back where the
 * written Setup has them, and the unit told how it is fixed, or turned where it cannot be told.
 */
export function structuralRemedies(written: Setup, known: Setup): StructuralRemedy[] {
  const remedies: StructuralRemedy[] = [];
  const moved = known.installation.plugs.filter(
    (p, i) => p.drives.join() !== written.installation.plugs[i]?.drives.join(),
  );
  if (moved.length > 0) {
    const names = moved.map(
      (p) => known.unit.traits.ports.find((t) => t.id === p.port)?.label ?? p.port,
    );
    remedies.push({
      id: 'plugs-back',
      place: 'plug',
      title: `Change the plugs on ${names.join(' and ')} over`,
      why: 'Then each surface hangs where the plan has it.',
      patch: replace('/installation/plugs', written.installation.plugs),
    });
  }
  const { mounting } = known.installation;
  const { orientation } = known.unit.settings;
  if (mounting !== orientation) {
    const tell = known.unit.traits.orientations.includes(mounting);
    remedies.push(
      tell
        ? {
            id: 'orientation',
            place: 'unit',
            title: `Tell the unit that it is fixed with its ${words(mounting)}`,
            why: `It believes ${words(orientation)}, and takes movements for others than they are.`,
            patch: replace('/unit/settings/orientation', mounting),
          }
        : {
            id: 'remount',
            place: 'mounting',
            title: `Turn the unit: ${words(orientation)}`,
            why: `This unit cannot be told that it is fixed with its ${words(mounting)}.`,
            patch: replace('/installation/mounting', orientation),
          },
    );
  }
  return remedies;
}
