import { TRANSMITTERS, UNITS, buildAirframe, usualAnswers } from '@/core/catalogue';
import { composeSetup, learnTravel } from '@/core/plan';
import { parseSetup, type Condition, type Setup } from '@/core/setup';

/** A Setup in which as many fields of the schema as can stand beside each other have a value. */
export function richSetup(): Setup {
  const setup = composeSetup(
    'Rich',
    buildAirframe({ ...usualAnswers('conventional'), flaps: true }),
    UNITS.autopilot!,
    TRANSMITTERS['line-sixteen']!,
  );
  const { transmitter, program, unit, installation, intents } = setup;
  const switches = transmitter.controls.filter((c) => c.kind === 'switch-3').map((c) => c.id);
  const [spare = 'sa', other = 'sb'] = switches.slice(-2);
  const knob = transmitter.controls.find((c) => c.kind === 'knob')!.id;
  const trim = transmitter.controls.find((c) => c.kind === 'trim')!.id;
  const channelOf = (carries: string) =>
    program.outputs.find((o) => o.carries === carries)!.channel;
  const at = (position: number): Condition => ({ kind: 'switch', control: spare, position });
  const logic = (id: string): Condition => ({ kind: 'logic', id });
  program.shapes.push({
    id: 'soft',
    label: 'Soft',
    points: [
      { inPct: -100, outPct: -80 },
      { inPct: 0, outPct: 0 },
      { inPct: 100, outPct: 80 },
    ],
  });
  program.shapes.push({ ...structuredClone(program.shapes[0]!), id: 'hard', label: 'Hard' });
  program.variables.push({
    id: 'lift',
    label: 'Lift',
    valuePct: 5,
    adjust: { control: trim, rangePct: 10 },
  });
  program.logic.push(
    {
      id: 'high',
      label: 'High',
      op: 'greater',
      follows: { kind: 'control', id: knob },
      valuePct: 50,
    },
    {
      id: 'mid',
      label: 'Mid',
      op: 'near',
      follows: { kind: 'channel', channel: channelOf('flap') },
      valuePct: 0,
      withinPct: 5,
    },
    { id: 'far', label: 'Far', op: 'when', when: at(0) },
    { id: 'kept', label: 'Kept', op: 'latch', set: at(2), reset: at(0) },
    { id: 'once', label: 'Once', op: 'edge', of: at(1) },
    { id: 'late', label: 'Late', op: 'delay', of: logic('kept'), onS: 0.5, offS: 0.2 },
    { id: 'often', label: 'Often', op: 'toggles', of: at(2), count: 2, withinS: 3 },
  );
  const elevator = channelOf('elevator');
  const line = (id: string, when: Condition, more: object) => ({
    id,
    label: id,
    channel: elevator,
    follows: { kind: 'fixed' as const },
    sharePct: 3,
    shiftPct: 0,
    effect: 'adds' as const,
    when,
    ...more,
  });
  program.lines.push(
    line('l-var', logic('late'), { follows: { kind: 'variable', id: 'lift' }, sharePct: 100 }),
    line(
      'l-chan',
      { kind: 'all', of: [logic('far'), { kind: 'not', of: logic('mid') }] },
      {
        follows: { kind: 'channel', channel: channelOf('flap') },
        sharePct: 10,
        shiftPct: 2,
        shape: 'soft',
      },
    ),
    line('l-any', { kind: 'any', of: [logic('once'), logic('often'), logic('high')] }, {}),
    line(
      'l-switch',
      { kind: 'switch', control: other, position: 2 },
      { effect: 'scales', sharePct: 90 },
    ),
  );
  program.inputs[0]!.rates.unshift({ when: logic('kept'), sharePct: 60, expoPct: 30 });
  program.inputs[1]!.rates.unshift({ when: at(1), sharePct: 70, expoPct: 20 });
  program.callouts.push({
    id: 'say-lift',
    when: at(2),
    say: 'lift',
    reading: { kind: 'variable', id: 'lift' },
  });
  program.timers.push({ id: 'run', label: 'Run', when: at(2), seconds: 300 });
  // A servo that depends on nothing yet.
  setup.airframe.servos.push({
    ...setup.airframe.servos[0]!,
    id: 'spare-servo',
    label: 'Spare',
    carries: 'aux1',
  });
  unit.traits.ports.forEach((port) => (port.bank = 1));
  unit.traits.pinsAt = 'left';
  unit.settings.recovery ??= {
    mode: 'level',
    rollLimitDeg: 15,
    pitchLimitDeg: 15,
    delayMs: 200,
    thresholdUs: 1700,
  };
  unit.settings.pitchWithThrottle = {
    aboveThrottlePct: 51,
    fullThrottlePitchDeg: 15,
    belowThrottlePct: 30,
    idlePitchDeg: -2,
  };
  installation.levelCapture = { pitchDeg: 2 };
  installation.travelCapture = learnTravel(setup);
  installation.revisions.trimsMoved = 0;
  intents.pins = [{ carries: 'flap', channel: channelOf('flap') }];
  intents.seat = { place: 'centre-line', tilt: 'level' };
  const read = parseSetup(setup);
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  return read.value;
}
