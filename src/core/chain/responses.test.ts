import { describe, expect, it } from 'vitest';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../catalogue';
import { composeSetup } from '../plan';
import type { AirframeKind, Mode, Setup } from '../setup';
import { compileChain, type Stimulus } from './index';
import { movementOf } from './words';

/** Correct responses in words, as a person at the bench says them. Common practice, no source. */
const CORRECTIONS: [AirframeKind, string, Partial<Stimulus>, Record<string, string>][] = [
  [
    'conventional',
    'right wing dropped',
    { rollRateDegPerS: 90 },
    { 'aileron-right': 'down', 'aileron-left': 'up' },
  ],
  [
    'conventional',
    'left wing dropped',
    { rollRateDegPerS: -90 },
    { 'aileron-right': 'up', 'aileron-left': 'down' },
  ],
  ['conventional', 'nose raised', { pitchRateDegPerS: 90 }, { elevator: 'down' }],
  ['conventional', 'tail raised', { pitchRateDegPerS: -90 }, { elevator: 'up' }],
  ['conventional', 'nose swung right', { yawRateDegPerS: 90 }, { rudder: 'left' }],
  ['t-tail', 'nose raised', { pitchRateDegPerS: 90 }, { elevator: 'down' }],
  [
    'flying-wing',
    'right wing dropped',
    { rollRateDegPerS: 90 },
    { 'elevon-right': 'down', 'elevon-left': 'up' },
  ],
  [
    'flying-wing',
    'nose raised',
    { pitchRateDegPerS: 90 },
    { 'elevon-right': 'down', 'elevon-left': 'down' },
  ],
  [
    'v-tail',
    'right wing dropped',
    { rollRateDegPerS: 90 },
    { 'aileron-right': 'down', 'aileron-left': 'up' },
  ],
  [
    'v-tail',
    'nose raised',
    { pitchRateDegPerS: 90 },
    { 'panel-left': 'down', 'panel-right': 'down' },
  ],
  [
    'v-tail',
    'nose swung right',
    { yawRateDegPerS: 90 },
    { 'panel-left': 'down', 'panel-right': 'up' },
  ],
  [
    'inverted-v-tail',
    'nose swung right',
    { yawRateDegPerS: 90 },
    { 'panel-left': 'up', 'panel-right': 'down' },
  ],
  [
    'inverted-v-tail',
    'nose raised',
    { pitchRateDegPerS: 90 },
    { 'panel-left': 'down', 'panel-right': 'down' },
  ],
];

const STICKS: [AirframeKind, string, string, number, Record<string, string>][] = [
  [
    'conventional',
    'right stick',
    'stick-aileron',
    100,
    { 'aileron-right': 'up', 'aileron-left': 'down' },
  ],
  ['conventional', 'stick back', 'stick-elevator', -100, { elevator: 'up' }],
  ['conventional', 'right rudder', 'stick-rudder', 100, { rudder: 'right' }],
  [
    'flying-wing',
    'right stick',
    'stick-aileron',
    100,
    { 'elevon-right': 'up', 'elevon-left': 'down' },
  ],
  [
    'flying-wing',
    'stick back',
    'stick-elevator',
    -100,
    { 'elevon-right': 'up', 'elevon-left': 'up' },
  ],
  ['v-tail', 'right rudder', 'stick-rudder', 100, { 'panel-right': 'down', 'panel-left': 'up' }],
  [
    'inverted-v-tail',
    'right rudder',
    'stick-rudder',
    100,
    { 'panel-right': 'up', 'panel-left': 'down' },
  ],
];

function build(kind: AirframeKind): Setup {
  return composeSetup(
    'T',
    buildAirframe(usualAnswers(kind)),
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );
}

function movements(
  setup: Setup,
  mode: Mode,
  stimulus: Partial<Stimulus>,
  controls: Record<string, number> = {},
) {
  const own = structuredClone(setup);
  own.unit.settings.slots = [mode, mode, mode];
  const chain = compileChain(own);
  const frame = chain.newFrame();
  const input = { ...chain.restStimulus(), ...stimulus };
  input.controls[chain.layout.controls.get('k1')!] = 60;
  for (const [id, value] of Object.entries(controls))
    input.controls[chain.layout.controls.get(id)!] = value;
  chain.step(input, chain.newMemory(), frame);
  return Object.fromEntries(
    own.airframe.surfaces.map((s, i) => [s.id, movementOf(s, frame.surfaceDeg[i]!)]),
  );
}

describe('corrections, in rate damping and attitude hold', () => {
  it.each(CORRECTIONS)('%s: %s', (kind, _, stimulus, wanted) => {
    for (const mode of ['rate', 'hold'] as const)
      expect(movements(build(kind), mode, stimulus)).toMatchObject(wanted);
  });
  it.each(CORRECTIONS)('%s: %s, unit off: nothing', (kind, _, stimulus) => {
    expect(new Set(Object.values(movements(build(kind), 'off', stimulus)))).toEqual(
      new Set(['centre']),
    );
  });
});

describe('self-levelling holds the surfaces over while the model is tipped', () => {
  it.each([
    [{ rollDeg: 80 }, { 'aileron-right': 'down', 'aileron-left': 'up' }],
    [{ rollDeg: -80 }, { 'aileron-right': 'up', 'aileron-left': 'down' }],
    [{ pitchDeg: 40 }, { elevator: 'down' }],
    [{ pitchDeg: -40 }, { elevator: 'up' }],
  ])('%j', (stimulus, wanted) => {
    expect(movements(build('conventional'), 'level', stimulus)).toMatchObject(wanted);
  });
  it('rate damping does not', () => {
    expect(movements(build('conventional'), 'rate', { rollDeg: 80 })['aileron-left']).toBe(
      'centre',
    );
  });
});

describe('sticks', () => {
  it.each(STICKS)('%s: %s', (kind, _, control, value, wanted) => {
    for (const mode of ['off', 'rate', 'level'] as const)
      expect(movements(build(kind), mode, {}, { [control]: value })).toMatchObject(wanted);
  });
});
