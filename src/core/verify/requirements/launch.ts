import { pointer } from '../../setup';
import type { Claim, Scope } from '../engine';
import type { Requirement } from './requirement';

/** A surface within this angle is where it was. */
const STILL_DEG = 0.5;

export const launchLifts: Requirement = {
  id: 'launch',
  title: 'Launch help lifts the nose, and ends',
  must: 'Some control switches launch help on. While it is on and the sticks are released, every surface that pitches is up. Moving the aileron or elevator stick ends it.',
  from: 'The choice of launch help.',
  leavesOut: 'Trims away from their rest; how far up is right for this model.',
  applies: (setup) =>
    setup.intents.program.launch !== undefined ||
    setup.program.lines.some((l) => l.purpose === 'launch'),
  looksAt: (facts) => facts.everyChannel,
  claims(facts) {
    const { setup } = facts;
    const lines = setup.program.lines.flatMap((l, i) => (l.purpose === 'launch' ? [i] : []));
    const first = lines[0];
    if (first === undefined)
      return [
        {
          form: 'setup',
          key: 'missing',
          failure: {
            severity: 'stop',
            says: 'You chose launch help, and nothing in the program does it.',
            where: '/intents/program/launch',
            about: { how: 'missing' },
          },
        },
      ];
    const where = pointer('program', 'lines', first);
    const pitching = setup.airframe.surfaces.flatMap((_, s) =>
      facts.surfaces.authority[s]!.pitch ? [s] : [],
    );
    const channels = [
      ...new Set([
        ...lines.map((i) => setup.program.lines[i]!.channel),
        ...pitching.flatMap((s) => [...facts.surfaces.channels[s]!]),
      ]),
    ];
    const sticks = ['aileron', 'elevator', 'rudder'] as const;
    const flying = sticks.flatMap((hand) => {
      const at = facts.stick(hand);
      return at < 0 ? [] : [{ hand, at }];
    });
    const scope: Scope = { channels, sticks: 'released', unit: 'in-use', trimsAtRest: true };
    const still: Scope = {
      ...scope,
      hands: flying.map(({ at }) => [at, setup.transmitter.controls[at]!.rest] as const),
    };
    const adds = lines.some((i) => {
      const { effect, sharePct } = setup.program.lines[i]!;
      return effect === 'adds' && sharePct !== 0;
    });
    return [
      {
        key: 'comes on',
        form: 'moment',
        asked: 'somewhere',
        scope: still,
        severity: 'caution',
        where: `${where}/sharePct`,
        about: { how: 'missing' },
        shows: 'nothing switches it on',
        holds: ({ launching }) => (launching ? 1 : -1),
        says: () => 'Nothing you can do switches launch help on.',
      },
      ...(adds ? pitching : []).map((s): Claim => {
        const surface = setup.airframe.surfaces[s]!;
        return {
          key: `lifts ${surface.id}`,
          form: 'moment',
          asked: 'always',
          scope: still,
          severity: 'stop',
          where: `${where}/sharePct`,
          about: { surface: surface.id, axis: 'pitch' },
          shows: 'launch help on, sticks released',
          when: (now) => now.launching,
          // Up of where it is in line, and not of wherever something else has it stand.
          holds: ({ frame }) => -STILL_DEG - frame.surfaceDeg[s]!,
          says({ now, state }) {
            const stands = now.frame.surfaceDeg[s]!;
            return {
              says: `With launch help on (${state}) the ${surface.label.toLowerCase()} ${stands > STILL_DEG ? `stands ${stands.toFixed(0)}° down` : 'does not move'}; it must go up.`,
              about: { how: stands > STILL_DEG ? 'down' : 'still' },
            };
          },
        };
      }),
      ...flying
        .filter(({ hand }) => hand !== 'rudder')
        .map(({ hand, at }): Claim => ({
          key: `${hand} ends it`,
          form: 'twin',
          asked: 'always',
          scope: still,
          severity: 'stop',
          where,
          about: { control: setup.transmitter.controls[at]!.id, how: 'stays' },
          shows: `launch help on, then the ${hand} stick moved`,
          when: (now) => now.launching,
          scripts: [-100, 100].map((to) => [{ hand: at, to }, { waitS: 1 }, { look: {} }]),
          holds: (seen) => (seen.some((m) => m.launching) ? -1 : 1),
          says: () => ({
            says: `Launch help stays on when you move the ${hand} stick: your own stick does not end it.`,
            then: [at, 100],
          }),
        })),
    ];
  },
};
