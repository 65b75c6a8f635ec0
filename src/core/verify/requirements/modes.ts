import { functionOf, pointer, type Mode } from '../../setup';
import type { Claim, Facts, Moment } from '../engine';
import { orderScope, type Requirement } from './requirement';

/** A trim click or a little drift moves a pulse by about this. Common practice, no source. */
const CLICK_US = 12;
const DRIFT_US = 40;
/** What 100 % is on other transmitters. Common practice, no source. */
const SCALES_US = [400, 500, 512];
/** Modes in which a unit refuses to be set up, or does things nobody asked for. */
export const BLOCKS: ReadonlySet<Mode> = new Set(['home', 'level', 'hover']);

const quiet = (now: Moment) => !now.panicking && !now.launching && !now.frame.recovering;

export const modesAsChosen: Requirement = {
  id: 'modes',
  title: 'Every switch position gives its mode',
  must: 'Each position of the mode switches gives the mode that was chosen, wherever everything else stands, while nothing else has priority.',
  from: 'The choice of modes.',
  leavesOut: 'While panic or launch help acts.',
  applies: (setup) => setup.intents.program.modes !== undefined,
  looksAt: (facts) => facts.orderChannels,
  claims(facts) {
    const choice = facts.setup.intents.program.modes!;
    const at = choice.switches.map((id) => facts.at(id));
    return facts.combinations(choice.switches).map(({ values, words }, i): Claim => {
      const chosen = choice.table[i]!;
      return {
        key: `position ${i}`,
        form: 'moment',
        asked: 'always',
        scope: orderScope(facts),
        severity: chosen === 'off' ? 'stop' : 'caution',
        where: pointer('intents', 'program', 'modes', 'table', i),
        about: { how: 'other-mode', figure: i },
        shows: words,
        when: (now) => quiet(now) && at.every((c, n) => now.hands[c] === values[n]),
        holds: ({ frame }) => (frame.mode === chosen ? 1 : -1),
        says: ({ now }) => ({
          says: `${words} gives ${facts.mode(now.frame.mode)}; you chose ${facts.mode(chosen)}.`,
          about: { mode: now.frame.mode },
        }),
      };
    });
  },
};

/** Where a pulse stands among the bands of its channel: how much room it has, and whether another scale moves it out. */
function roomOf(
  { setup, edgesWithinUs: within }: Facts,
  carries: 'mode' | 'mode2',
  slot: number,
  us: number,
) {
  const select = setup.unit.traits.modeSelect;
  const bands = 'bands' in select ? select.bands : [];
  const edgesOf = (b: (typeof bands)[number]) =>
    carries === 'mode'
      ? ([b.fromUs, b.toUs] as const)
      : ([b.secondFromUs ?? 0, b.secondToUs ?? 9999] as const);
  const inBand = (x: number) =>
    bands.some((b) => b.slot === slot && x >= edgesOf(b)[0] && x < edgesOf(b)[1]);
  const { pulse } = setup.transmitter;
  const scaled = SCALES_US.find(
    (scale) => !inBand(pulse.centreUs + ((us - pulse.centreUs) * scale) / pulse.usAt100),
  );
  const own = bands.find((b) => b.slot === slot);
  const keeps = (clear: number) => inBand(us - clear - within) && inBand(us + clear + within);
  return {
    click: !keeps(CLICK_US),
    drift: !keeps(DRIFT_US),
    within,
    scaled,
    roomUs: own ? Math.max(0, Math.min(us - edgesOf(own)[0], edgesOf(own)[1] - us)) : undefined,
  };
}

/** A pulse that sweeps through its band by a knob is chosen by the person, not by a click. */
const standsStill = (now: Moment, channel: number): boolean =>
  now.widthUs !== undefined && now.widthUs(channel) <= 2 * CLICK_US;

export const modeMargins: Requirement = {
  id: 'mode-margins',
  title: 'Mode values keep clear of band edges',
  must: `No pulse on a mode channel that stands still lies within ${CLICK_US} µs of the edge of its band, or of where an edge that was read by hand may be, nor outside it on a transmitter with another pulse scale; none on a recovery channel near its threshold, nor on a gain channel near the edge of its middle.`,
  from: 'The unit’s mode bands.',
  leavesOut: 'Pulses that a knob sweeps through a band.',
  applies: (setup) =>
    'bands' in setup.unit.traits.modeSelect ||
    setup.unit.traits.modeSelect.by === 'gain-sign' ||
    setup.unit.settings.inputs.some((i) => i.carries === 'recovery'),
  looksAt: (facts) => facts.orderChannels,
  claims(facts) {
    const { inputs } = facts.setup.unit.settings;
    const watched = facts.orderChannels;
    const banded = 'bands' in facts.setup.unit.traits.modeSelect;
    return [
      ...(['mode', 'mode2'] as const).flatMap((carries): Claim[] => {
        const channel = inputs.find((i) => i.carries === carries)?.channel;
        return banded && channel !== undefined && watched.includes(channel)
          ? [bandClaim(facts, carries, channel)]
          : [];
      }),
      ...inputs.flatMap(({ carries, channel }): Claim[] =>
        (carries === 'recovery' ||
          (carries === 'gain' &&
            facts.setup.installation.gainLead &&
            facts.setup.unit.traits.modeSelect.by === 'gain-sign')) &&
        watched.includes(channel)
          ? [edgeClaim(facts, carries, channel)]
          : [],
      ),
    ];
  },
  told: (failures) => failures.slice(0, 3),
};

function bandClaim(facts: Facts, carries: 'mode' | 'mode2', channel: number): Claim {
  const name = carries === 'mode' ? 'mode channel' : 'second mode channel';
  const usOf = ({ frame }: Moment) => frame.receivedUs[channel - 1]!;
  const room = (now: Moment) => roomOf(facts, carries, now.frame.slot, usOf(now));
  return {
    key: carries,
    form: 'moment',
    asked: 'somewhere',
    // Each pulse that stands still is asked about once.
    each: (now) => `${usOf(now).toFixed(1)} ${now.frame.slot}`,
    scope: orderScope(facts),
    severity: 'caution',
    where: '/program/lines',
    about: {},
    shows: `the ${name} near an edge`,
    when: (now) => !now.frame.recovering && standsStill(now, channel),
    holds(now) {
      const { click, drift, scaled } = room(now);
      return click ? -2 : drift || scaled !== undefined ? -1 : 1;
    },
    says({ now }) {
      const { click, scaled, roomUs, within } = room(now);
      const where =
        roomUs === undefined
          ? 'in no band at all'
          : `${roomUs.toFixed(0)} µs from the edge of ${facts.mode(now.frame.mode)}${within > 0 ? `, which is known to ±${within} µs` : ''}`;
      const other =
        scaled !== undefined && (roomUs ?? 0) > DRIFT_US + within
          ? `; where 100 % is ${scaled} µs it is another mode`
          : '';
      return {
        severity: click ? 'stop' : 'caution',
        says: `${usOf(now).toFixed(0)} µs on the ${name} is ${where}${other}.`,
        about: { mode: now.frame.mode, how: click ? 'click' : 'drift', figure: roomUs ?? 0 },
      };
    },
  };
}

/** Pulses that stand still near a recovery's threshold, or near the edge of a gain channel's middle. */
function edgeClaim(facts: Facts, carries: 'recovery' | 'gain', channel: number): Claim {
  const usOf = ({ frame }: Moment) => frame.receivedUs[channel - 1]!;
  const edges = facts.edgesOf(channel);
  // Dead in the middle of a gain channel is meant; a recovery at its threshold is not.
  const nearest = (us: number) =>
    edges.reduce<number | undefined>((best, cut) => {
      const off = Math.abs(us - cut);
      if (off >= DRIFT_US || (carries === 'gain' && off < 1)) return best;
      return best === undefined || off < best ? off : best;
    }, undefined);
  return {
    key: `${carries} edge`,
    form: 'moment',
    asked: 'somewhere',
    each: (now) => usOf(now).toFixed(0),
    scope: orderScope(facts),
    severity: 'caution',
    where: '/program/lines',
    about: {},
    shows: `channel ${channel} near an edge`,
    // Off, in the middle of the dead zone, stands as clear as it can.
    when: (now) => standsStill(now, channel) && !(carries === 'gain' && now.frame.mode === 'off'),
    holds: (now) => (nearest(usOf(now)) === undefined ? 1 : -1),
    says({ now }) {
      const roomUs = nearest(usOf(now))!;
      const click = roomUs < CLICK_US;
      return {
        severity: click ? 'stop' : 'caution',
        says: `${usOf(now).toFixed(0)} µs on channel ${channel} (${functionOf(carries).words}) is ${roomUs.toFixed(0)} µs from where the unit changes mode.`,
        about: { mode: now.frame.mode, how: click ? 'click' : 'drift', figure: roomUs },
      };
    },
  };
}

export const restCalm: Requirement = {
  id: 'rest',
  title: 'Switched on at rest, the unit leaves the model alone',
  must: 'From power-up with every control at rest, before and after the unit is armed and knows its position, it neither levels nor steers by itself, for as long as nothing is touched.',
  from: 'Some units refuse their menus or the throttle; surfaces would move while someone is close.',
  leavesOut: 'What follows once something was touched.',
  applies: () => true,
  looksAt: (facts) => facts.orderChannels,
  claims(facts) {
    const { panic } = facts;
    const rests = panic && facts.setup.transmitter.controls[panic.at]!.rest === panic.value;
    return [
      ...(rests
        ? [
            {
              form: 'setup' as const,
              key: 'panic rests pressed',
              failure: {
                severity: 'stop' as const,
                says: `${facts.label(panic.at)} switches panic on in its rest position.`,
                where: '/intents/program/panic/control',
                witness: { controls: {}, words: 'nothing touched' },
                about: { control: panic.id, how: 'panic' },
              },
            },
          ]
        : []),
      {
        key: 'calm',
        form: 'moment',
        asked: 'always',
        scope: orderScope(facts, { before: 'nothing-touched', unit: 'any', reads: [] }),
        severity: 'caution',
        where: '/intents/program/modes/table',
        about: {},
        shows: 'nothing touched',
        holds: ({ frame }) =>
          frame.mode === 'home' || frame.recovering ? -2 : BLOCKS.has(frame.mode) ? -1 : 1,
        says: ({ now: { frame } }) => ({
          severity: frame.mode === 'home' || frame.recovering ? 'stop' : 'caution',
          says: frame.recovering
            ? 'Panic is on with every switch at its rest position.'
            : `With every switch at its rest position the unit is in ${facts.mode(frame.mode)}.`,
          about: { mode: frame.mode, how: frame.recovering ? 'panic' : 'blocks' },
        }),
      },
    ];
  },
};
