import { compileChain, switchValue } from '../../chain';
import { freeControl, pointer, type Setup } from '../../setup';
import type { Found, Rule } from '../finding';

/** Runs the motor with the throttle stick somewhere and every switch in every place that matters to it. */
function motorAt(setup: Setup, stickShare: 'rest' | 'full') {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const { controls } = setup.transmitter;
  const stick = controls.findIndex((c) => c.kind === 'stick' && c.hand === 'throttle');
  const run = (values: Record<string, number>) => {
    const stimulus = chain.restStimulus();
    if (stick >= 0 && stickShare === 'full') stimulus.controls[stick] = 100;
    for (const [id, value] of Object.entries(values))
      stimulus.controls[chain.layout.controls.get(id)!] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return Math.max(0, ...frame.motorPct);
  };
  return {
    run,
    switches: controls.filter((c) => c.kind.startsWith('switch') || c.kind === 'momentary'),
  };
}

const LIVE_PCT = 5;

export const throttleReversed: Rule = {
  id: 'M29',
  title: 'Motor runs with the throttle at its low end',
  why: 'A throttle reversed because a leaflet said so starts the motor when the battery goes in.',
  check(setup) {
    if (setup.airframe.motors.length === 0) return [];
    const { run, switches } = motorAt(setup, 'rest');
    const states = [
      {},
      ...switches.flatMap((s) =>
        (s.kind === 'switch-3' ? [0, 1, 2] : [0, 1]).map((p) => ({
          [s.id]: switchValue(s.kind, p),
        })),
      ),
    ];
    const live = states.find((s) => run(s) > LIVE_PCT);
    if (!live) return [];
    const at = setup.program.outputs.findIndex((o) => o.carries === 'throttle');
    return [
      {
        severity: 'stop',
        says: `With the throttle low the motor runs at ${run(live).toFixed(0)} %.`,
        where: at < 0 ? '/airframe/motors' : pointer('program', 'outputs', at, 'reversed'),
        witness: { controls: live, words: 'throttle stick low' },
        remedies:
          at < 0
            ? []
            : [
                {
                  label: 'Turn the throttle channel round',
                  patch: [
                    {
                      op: 'replace',
                      path: pointer('program', 'outputs', at, 'reversed'),
                      value: !setup.program.outputs[at]!.reversed,
                    },
                  ],
                },
              ],
      },
    ];
  },
};

export const noThrottleCut: Rule = {
  id: 'M42',
  title: 'Throttle live while programming',
  why: 'A sleeve on the stick starts the motor with a hand in the way.',
  check(setup): Found[] {
    const { motors } = setup.airframe;
    if (motors.length === 0) return [];
    const { run } = motorAt(setup, 'full');
    if (run({}) <= LIVE_PCT) return [];
    const { controls } = setup.transmitter;
    const free = freeControl(setup, ['switch-2']);
    const channel = setup.program.outputs.find((o) => o.carries === 'throttle')?.channel;
    const stick = controls.find((c) => c.kind === 'stick' && c.hand === 'throttle');
    return [
      {
        severity: 'stop',
        says: `With every switch at rest, a full throttle stick gives ${run({}).toFixed(0)} %: nothing holds the motor off.`,
        where: '/program/lines',
        witness: {
          controls: stick ? { [stick.id]: 100 } : {},
          words: 'throttle stick full, switches at rest',
        },
        remedies:
          free && channel
            ? [
                {
                  label: `Throttle cut on ${free.label}, on at rest`,
                  patch: [
                    {
                      op: 'add',
                      path: '/program/lines/-',
                      value: {
                        id: `cut-${free.id}`,
                        label: 'Throttle cut',
                        channel,
                        source: { kind: 'constant' },
                        weightPct: stick?.rest ?? -100,
                        offsetPct: 0,
                        when: { kind: 'switch', control: free.id, position: 0 },
                        op: 'replace',
                        purpose: 'throttle-cut',
                      },
                    },
                  ],
                },
              ]
            : [],
      },
    ];
  },
};
