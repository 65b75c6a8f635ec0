import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import canonicalize from 'canonicalize';
import { axisFunction, axisWeights, mixedFunction } from '../chain';
import { checksFor } from '../directions';
import { askedOf } from './asked';
import type { Part } from './part';
import { bareLine, ordersOf, partsOfReading } from './subjects';
import { testOf } from './tests';
import { AXES, type ChannelFunction, type Setup } from '../setup';

/** What a piece of evidence is about. */
export interface Subject {
  check: string;
  surface: string;
}

/** Channels that reach a surface through the unit: its own, or those of the sticks mixed into it. */
export function channelsReaching(setup: Setup, surfaceId: string): number[] {
  const { unit, installation, airframe } = setup;
  const surface = airframe.surfaces.find((s) => s.id === surfaceId);
  const plug = installation.plugs.find((p) => surface && p.drives.includes(surface.servo));
  const output = unit.settings.outputs.find((o) => o.port === plug?.port);
  if (!output) return [];
  const carries = mixedFunction(unit.settings.wingType, output.carries);
  const channelOf = (f: ChannelFunction) =>
    unit.settings.inputs.find((i) => i.carries === f)?.channel;
  const direct = channelOf(carries);
  const wanted =
    direct !== undefined
      ? [direct]
      : AXES.filter((axis) => axisWeights(carries)[axis]).map((axis) =>
          channelOf(axisFunction(setup, axis)),
        );
  return wanted.filter((c) => c !== undefined);
}

/** A part by its hash. */
export type HashedPart = Omit<Part, 'value'> & { hash: string };

const known = new WeakMap<Setup, Map<string, HashedPart[]>>();

/** What evidence depends on, hashed. Setups are immutable: worked out once for each. */
export function hashedParts(setup: Setup, subject: Subject): HashedPart[] {
  const own = known.get(setup) ?? new Map<string, HashedPart[]>();
  known.set(setup, own);
  const test = testOf(subject.check);
  const once = (name: string, parts: () => Part[]): HashedPart[] => {
    const found = own.get(name) ?? hashed(parts());
    own.set(name, found);
    return found;
  };
  const name = `${subject.check} ${subject.surface}`;
  // All items of a test, and all readings of a channel, share their parts; what is asked is each one's own.
  const shared = test ? subject.check : subject.check.startsWith('read:') ? subject.surface : name;
  return [
    ...once(`of ${shared}`, () => (test ? test.parts(setup) : partsOf(setup, subject))),
    ...once(`asked ${name}`, () => [askedPart(setup, subject)]),
  ];
}

const hashed = (parts: readonly Part[]): HashedPart[] =>
  parts.map(({ value, ...part }) => ({ ...part, hash: hashOf(value) }));

/** Key of the part that holds what the chain says must be seen. */
export const ASKED = 'asked';

const askedPart = (setup: Setup, { check, surface }: Subject): Part => ({
  key: ASKED,
  title: 'what is to be done or seen',
  value: askedOf(setup, check, surface),
});

/**
 * What a reading or an observation of a surface in a direction check depends on, piece by piece. A
 * stick check reads the path from stick to surface; a correction check also reads the unit's senses
 * and mounting.
 */
function partsOf(setup: Setup, subject: Subject): Part[] {
  if (subject.check.startsWith('read:'))
    return partsOfReading(setup, Number(subject.surface.slice(2)));
  const { airframe, unit, program, installation, transmitter } = setup;
  const check = checksFor(setup).find((c) => c.id === subject.check);
  const surface = airframe.surfaces.find((s) => s.id === subject.surface);
  const servo = airframe.servos.find((s) => s.id === surface?.servo);
  const plug = installation.plugs.find((p) => surface && p.drives.includes(surface.servo));
  const output = unit.settings.outputs.find((o) => o.port === plug?.port);
  const { revisions } = installation;
  const name = surface?.label.toLowerCase() ?? subject.surface;
  const parts: Part[] = [
    { key: 'kind', title: 'the kind of airframe', value: airframe.kind },
    {
      key: `rod:${subject.surface}`,
      title: `the linkage of the ${name}`,
      value: [surface?.role, surface?.side, surface?.servo, surface?.linkage.sense],
    },
    {
      key: `servo:${servo?.id}`,
      title: `the ${servo?.label.toLowerCase()}`,
      value: servo?.rotation,
    },
    { key: `plug:${servo?.id}`, title: `the plug of the ${name}`, value: plug?.port },
    {
      key: `output:${plug?.port}`,
      title: `what the unit puts out for the ${name}`,
      value: [output?.carries, output?.reversed],
    },
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
          title: `what the unit takes channel ${channel} for`,
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

/** Names and notes a person gave: with another one the thing is the same. */
const NAMES = new Set(['label', 'name', 'description', 'notes', 'say', 'owner']);

/** What fields and values of a line were called in version 1 of the format. */
const FIRST_FIELDS: Readonly<Record<string, string>> = {
  follows: 'source',
  sharePct: 'weightPct',
  shiftPct: 'offsetPct',
  shape: 'curve',
  effect: 'op',
  shapes: 'curves',
};
const FIRST_VALUES: Readonly<Record<string, string>> = {
  adds: 'add',
  scales: 'multiply',
  'takes-over': 'replace',
};

/** The same under the names of version 1, so that what was seen before an upgrade counts after it. */
function firstNamed(value: unknown): unknown {
  if (typeof value === 'string') return FIRST_VALUES[value] ?? value;
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const fields = Object.entries(value);
  if (fields.length === 1 && fields[0]![0] === 'kind' && fields[0]![1] === 'fixed')
    return { kind: 'constant' };
  return Object.fromEntries(fields.map(([key, v]) => [FIRST_FIELDS[key] ?? key, v]));
}

/** Short hash of a value, names aside: SHA-256 over canonical JSON (RFC 8785), first 16 bytes in hex. */
function hashOf(value: unknown): string {
  const named = JSON.stringify(value ?? null, (key, v: unknown) =>
    NAMES.has(key) ? undefined : firstNamed(v),
  );
  const text = canonicalize(JSON.parse(named)) ?? 'null';
  return bytesToHex(sha256(utf8ToBytes(text))).slice(0, 32);
}
