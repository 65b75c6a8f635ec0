import { axisWeights, mixedFunction } from '../../../chain';
import { checksFor } from '../../../directions';
import { AXES, type Setup, type Surface } from '../../../setup';
import { channelsReaching } from '../../channels';
import type { Dependency } from '../part';
import { bareLine, ordersOf } from '../shared';

/**
 * What an observation of a surface in a direction check depends on, piece by piece. A stick check
 * reads the path from stick to surface; a correction check also reads the unit's senses and mounting.
 */
export function partsOfDirection(
  setup: Setup,
  subject: { check: string; surface: string },
): Dependency[] {
  const { airframe, unit, program, installation, transmitter } = setup;
  const check = checksFor(setup).find((c) => c.id === subject.check);
  const surface = airframe.surfaces.find((s) => s.id === subject.surface);
  const servo = airframe.servos.find((s) => s.id === surface?.servo);
  const plug = installation.plugs.find((p) => surface && p.drives.includes(surface.servo));
  const output = unit.settings.outputs.find((o) => o.port === plug?.port);
  const { revisions } = installation;
  const name = surface?.label.toLowerCase() ?? subject.surface;
  const parts: Dependency[] = [
    { key: 'kind', title: 'the kind of airframe', value: airframe.kind },
    {
      key: `rod:${subject.surface}`,
      title: `the linkage of the ${name}`,
      value: [
        surface?.role,
        surface?.side,
        surface?.servo,
        surface?.linkage.sense,
        ...(surface?.ganged ?? []).map((g) => [g.servo, g.linkage.sense]),
      ],
    },
    {
      key: `servo:${servo?.id}`,
      title: `the ${servo?.label.toLowerCase()}`,
      value: servo?.rotation,
    },
    { key: `plug:${servo?.id}`, title: `the plug of the ${name}`, value: plug?.port },
    {
      key: `output:${plug?.port}`,
      title: `what the unit outputs for the ${name}`,
      value: [output?.carries, output?.reversed],
    },
    ...gangedParts(setup, surface, plug?.port),
    {
      key: 'wing-type',
      title: 'the wing type set in the unit, and which way it mixes',
      value: [unit.settings.wingType, unit.traits.mixSense ?? null],
    },
    {
      key: 'servo-work',
      title: 'a servo or a linkage (work recorded)',
      value: [revisions.servoReplaced, revisions.linkageChanged, revisions.crash],
    },
    { key: 'unit-reset', title: 'the unit (reset)', value: revisions.unitReset },
  ];
  if (check?.kind !== 'correction')
    for (const channel of channelsReaching(setup, subject.surface)) {
      const lines = program.lines.filter((l) => l.channel === channel);
      const used = new Set(
        lines.flatMap((l) => (l.follows.kind === 'input' ? [l.follows.id] : [])),
      );
      parts.push(
        {
          key: `reverse:${channel}`,
          title: `the reversal of channel ${channel} in the transmitter`,
          value: program.outputs.find((o) => o.channel === channel)?.reversed,
        },
        {
          key: `lines:${channel}`,
          title: `what channel ${channel} is made of`,
          value: [
            lines.map(bareLine),
            program.inputs.filter((i) => used.has(i.id)).map((i) => i.control),
            transmitter.throttleReversedInside,
          ],
        },
        {
          key: `input:${channel}`,
          title: `the function the unit gives channel ${channel}`,
          value: unit.settings.inputs.filter((i) => i.channel === channel).map((i) => i.carries),
        },
      );
    }
  if (check?.kind === 'correction') {
    const weights = axisWeights(mixedFunction(unit.settings.wingType, output?.carries ?? 'aux1'));
    for (const axis of AXES.filter((a) => a === check.axis || weights[a]))
      parts.push({
        key: `axis:${axis}`,
        title: `the ${axis} correction direction in the unit`,
        value: [
          unit.settings.axes[axis].reversed,
          unit.traits.nominalSense[axis],
          unit.traits.correctionDirection,
          unit.traits.correctionDirection === 'learned' ? installation.travelCapture : null,
        ],
      });
    if (check.again)
      parts.push({
        key: 'modes',
        title: 'the modes, or how they are chosen',
        value: [unit.settings.slots, unit.traits.modeSelect, ordersOf(setup)],
      });
    parts.push(
      {
        key: `correct:${plug?.port}`,
        title: `the correction on the output of the ${name}`,
        value: [output?.correctionReversed, output?.stabilized],
      },
      {
        key: 'orientation',
        title: 'the orientation set in the unit',
        value: unit.settings.orientation,
      },
      {
        key: 'mounting',
        title: 'how the unit sits in the model',
        value: [installation.mounting, installation.skewDeg, revisions.unitMoved],
      },
      {
        key: 'unit-firmware',
        title: 'the unit’s firmware',
        value: [installation.unitFirmware, revisions.unitFirmware],
      },
    );
  }
  return parts;
}

/** The same of servos that move the surface together with its first; of an output once. */
function gangedParts(
  { airframe, installation, unit }: Setup,
  surface: Surface | undefined,
  first: string | undefined,
): Dependency[] {
  const ports = new Set([first]);
  return (surface?.ganged ?? []).flatMap(({ servo: id }): Dependency[] => {
    const servo = airframe.servos.find((s) => s.id === id)!;
    const port = installation.plugs.find((p) => p.drives.includes(id))?.port;
    const output = unit.settings.outputs.find((o) => o.port === port);
    const name = servo.label.toLowerCase();
    const parts: Dependency[] = [
      { key: `servo:${id}`, title: `the ${name}`, value: servo.rotation },
      { key: `plug:${id}`, title: `the plug of the ${name}`, value: port },
    ];
    if (ports.size < ports.add(port).size)
      parts.push({
        key: `output:${port}`,
        title: `what the unit outputs for the ${name}`,
        value: [output?.carries, output?.reversed],
      });
    return parts;
  });
}
