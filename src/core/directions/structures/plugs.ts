import { pointer, type Setup } from '../../setup';
import { replaced, type Structure, type StructuralRemedy } from './structure';

const labelOf = ({ unit }: Setup, port: string) =>
  unit.traits.ports.find((p) => p.id === port)?.label ?? port;

const servoPlugs = ({ airframe, installation }: Setup) => {
  const servos = new Set(airframe.servos.map((s) => s.id));
  return installation.plugs.flatMap((p, i) =>
    p.drives.every((d) => servos.has(d)) ? [{ ...p, i }] : [],
  );
};

/** Every pair of servo plugs changed over. */
export function swappedPlugs(setup: Setup): Structure[] {
  const plugs = servoPlugs(setup);
  return plugs.flatMap((a, n) =>
    plugs.slice(n + 1).map((b): Structure => ({
      id: `swap-${a.port}-${b.port}`,
      place: 'plug',
      title: `The plugs on ${labelOf(setup, a.port)} and ${labelOf(setup, b.port)} are swapped`,
      why: 'Each surface answers what is meant for the other.',
      cost: 1,
      needsMore: true,
      patch: [
        ...replaced(pointer('installation', 'plugs', a.i), {
          port: a.port,
          lead: b.lead,
          drives: b.drives,
        }),
        ...replaced(pointer('installation', 'plugs', b.i), {
          port: b.port,
          lead: a.lead,
          drives: a.drives,
        }),
      ],
    })),
  );
}

/** Each servo plug out, or its servo without power. */
export function missingPlugs(setup: Setup): Structure[] {
  return servoPlugs(setup).map((plug) => ({
    id: `out-${plug.port}`,
    place: 'plug',
    title: `The plug on ${labelOf(setup, plug.port)} is not plugged in, or its servo has no power`,
    why: 'Neither stick nor unit moves what is plugged in there.',
    cost: 1,
    patch: [{ op: 'remove', path: pointer('installation', 'plugs', plug.i) }],
    act: `Push the plug of ${labelOf(setup, plug.port)} fully in, the right way round, and check that its servo resists your finger.`,
  }));
}

/** Plugs back where the plan has them. */
export function plugRemedy(written: Setup, known: Setup): StructuralRemedy[] {
  const moved = known.installation.plugs.filter(
    (p, i) => p.drives.join() !== written.installation.plugs[i]?.drives.join(),
  );
  if (moved.length === 0) return [];
  return [
    {
      id: 'plugs-back',
      place: 'plug',
      title: `Change the plugs on ${moved.map((p) => labelOf(known, p.port)).join(' and ')} over`,
      why: 'Then each surface is plugged in where the plan says.',
      patch: replaced('/installation/plugs', written.installation.plugs),
    },
  ];
}
